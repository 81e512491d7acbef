package app.velvetcrock.jot;

import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.phone.Waited;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.OneTime;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply.Done;
import java.time.Clock;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * What waited on a device for the network: each deed a line, with the key that was made at the tap and the moment by the device's clock. It
 * is answered by what it did the first time it arrived, under whichever address.
 */
@Controller
class WaitingController {

    private static final String PLACE = "/deeds";

    private final JotDesk desk;
    private final JotWriting writing;
    private final OneTime oneTime;
    private final Clock clock;

    WaitingController(JotDesk desk, JotWriting writing, OneTime oneTime, Clock clock) {
        this.desk = desk;
        this.writing = writing;
        this.oneTime = oneTime;
        this.clock = clock;
    }

    /** What a device needs to send: a token of now, since the one of the page it was tapped on may be long gone. */
    @GetMapping(PLACE + "/token")
    ResponseEntity<Map<String, String>> token(CsrfToken token) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .body(Map.of("header", token.getHeaderName(), "token", token.getToken()));
    }

    /**
     * Does one.
     *
     * @param at when it was tapped, and {@code sent} when it is sent, both by the device's clock: what that is wrong by does not matter
     */
    @PostMapping(PLACE)
    ResponseEntity<Map<String, String>> deed(
            @RequestParam(required = false) @Nullable UUID key,
            @RequestParam(required = false) @Nullable String line,
            @RequestParam(required = false) @Nullable String at,
            @RequestHeader(name = "Crock-Sent", required = false) @Nullable String sent) {
        Optional<Instant> written = Waited.moment(at, sent, clock.instant());
        if (key == null || line == null || written.isEmpty()) {
            return refused(HttpStatus.BAD_REQUEST, "It came without its key, its line or its moment.");
        }
        Optional<Done> before = oneTime.arrived(Current.stillroom(), key, PLACE);
        if (before.isPresent()) {
            return done(before.get());
        }
        if (Waited.isTooLongAgo(written.get(), clock.instant())) {
            return refused(HttpStatus.CONFLICT, Waited.TOO_LONG_AGO);
        }
        try {
            return done(oneTime.once(Current.stillroom(), key, () -> {
                Jotted read = desk.reader(desk.things(), written.get()).read(line);
                if (!read.isClear()) {
                    throw new Refused("“%s” is not understood as things stand now: %s. Nothing was written."
                            .formatted(
                                    line,
                                    read.doubts().stream()
                                            .findFirst()
                                            .map(Jotted.Doubt::why)
                                            .orElse("it says nothing")));
                }
                return writing.write(new JotWriting.Sent(line, key, written.get(), "/shelf"), read);
            }));
        } catch (Refused refused) {
            return refused(HttpStatus.CONFLICT, refused.reason());
        } catch (DataIntegrityViolationException | ConcurrencyFailureException overtaken) {
            // It is sent again: the one that was in its way is done by then.
            return refused(HttpStatus.SERVICE_UNAVAILABLE, "Somebody was at it in the same moment.");
        }
    }

    private static ResponseEntity<Map<String, String>> done(Done done) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .body(Map.of(
                        "done",
                        done.words(),
                        "undo",
                        Optional.ofNullable(done.undo()).orElse("")));
    }

    private static ResponseEntity<Map<String, String>> refused(HttpStatus status, String why) {
        return ResponseEntity.status(status)
                .cacheControl(CacheControl.noStore())
                .body(Map.of("refused", why));
    }
}
