package app.velvetcrock.devices;

import app.velvetcrock.readings.Devices;
import app.velvetcrock.readings.Devices.Speaker;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.SignedIn;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.web.filter.OncePerRequestFilter;

/** Knows a device by its token; whoever has none that holds is told so, and never shown a page. */
class BearerFilter extends OncePerRequestFilter {

    /** Under which what speaks is found later in the request. */
    static final String SPEAKER = "app.velvetcrock.speaker";

    private static final Pattern TOKEN = Pattern.compile("[Bb]earer ([A-Za-z0-9_-]{20,100})");

    private final Devices devices;
    private final People people;
    private final SpeakingLimit limit;

    BearerFilter(Devices devices, People people, SpeakingLimit limit) {
        this.devices = devices;
        this.people = people;
        this.limit = limit;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<Speaker> speaker = speaker(request.getHeader(HttpHeaders.AUTHORIZATION));
        Optional<SignedIn> person = speaker.flatMap(one -> people.member(one.stillroom(), one.account()));
        long waits = person.isPresent()
                ? limit.waits(speaker.orElseThrow().device().toString())
                : limit.waitsToGuess(request.getRemoteAddr());
        if (waits > 0) {
            response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(waits));
            Problems.write(
                    response,
                    HttpStatus.TOO_MANY_REQUESTS,
                    "Too many messages: wait %d s, then send what has gathered in one.".formatted(waits));
        } else if (person.isEmpty()) {
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer");
            Problems.write(
                    response,
                    HttpStatus.UNAUTHORIZED,
                    "No device has this token. One is made in Settings, Probes and scales, and sent as Authorization: Bearer.");
        } else {
            request.setAttribute(SPEAKER, speaker.orElseThrow());
            SecurityContextHolder.setContext(new SecurityContextImpl(UsernamePasswordAuthenticationToken.authenticated(
                    person.get(), null, person.get().getAuthorities())));
            try {
                chain.doFilter(request, response);
            } finally {
                SecurityContextHolder.clearContext();
            }
        }
    }

    private Optional<Speaker> speaker(@Nullable String header) {
        Matcher token = TOKEN.matcher(header == null ? "" : header);
        return token.matches() ? devices.speaks(token.group(1)) : Optional.empty();
    }
}
