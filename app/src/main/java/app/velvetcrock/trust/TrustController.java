package app.velvetcrock.trust;

import app.velvetcrock.web.NotHere;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Hands the authority over, and says how it is trusted and taken away again. Anybody may ask: it is no secret. */
@Controller
class TrustController {

    private static final String PLACE = "/trust";
    private static final MediaType AUTHORITY = MediaType.parseMediaType("application/x-x509-ca-cert");

    private final Authority authority;
    private final Clock clock;

    TrustController(Authority authority, Clock clock) {
        this.authority = authority;
        this.clock = clock;
    }

    /**
     * How this machine is reached.
     *
     * @param inTheClear the page itself came over plain http
     * @param own by the household's own certificate; then what it is told by
     * @param parts of the fingerprint, a few signs each, to be compared
     */
    record Page(boolean inTheClear, boolean own, String[][] parts, LocalDate ends, boolean endsSoon) {}

    @GetMapping(PLACE)
    String trust(HttpServletRequest request, Model model) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        model.addAttribute(
                "page",
                authority
                        .handed()
                        .map(handed -> {
                            LocalDate ends = LocalDate.ofInstant(handed.ends(), ZoneOffset.UTC);
                            return new Page(
                                    !request.isSecure(),
                                    true,
                                    parts(handed.fingerprint()),
                                    ends,
                                    ends.isBefore(today.plusMonths(2)));
                        })
                        .orElseGet(() -> new Page(!request.isSecure(), false, new String[0][], today, false)));
        return "trust/trust";
    }

    /** Four rows of eight pairs: so many can be compared without losing one's place. */
    private static String[][] parts(String fingerprint) {
        String[][] rows = new String[4][8];
        for (int pair = 0; pair < 32; pair++) {
            rows[pair / 8][pair % 8] = fingerprint.substring(pair * 3, pair * 3 + 2);
        }
        return rows;
    }

    @GetMapping(PLACE + "/authority.crt")
    ResponseEntity<byte[]> certificate() {
        Authority.Handed handed = authority.handed().orElseThrow(() -> new NotHere("a certificate"));
        return ResponseEntity.ok()
                .contentType(AUTHORITY)
                .cacheControl(CacheControl.noStore())
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("velvet-crock-at-home.crt")
                                .build()
                                .toString())
                .body(handed.certificate());
    }
}
