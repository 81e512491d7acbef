package app.velvetcrock.live;

import app.velvetcrock.core.text.Linear;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** Where a browser listens. */
@Controller
class LiveController {

    private static final int LONGEST_NUMBER = 18;

    private final Streams streams;
    private final Changes changes;

    LiveController(Streams streams, Changes changes) {
        this.streams = streams;
        this.changes = changes;
    }

    /**
     * Opens a stream of what changes.
     *
     * @param last what the browser heard before it lost the connection
     * @param since the revision its page was made at; absent where it will ask for its parts by itself
     */
    @GetMapping(path = "/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    void live(
            @RequestHeader(name = "Last-Event-ID", required = false) @Nullable String last,
            @RequestParam(required = false) @Nullable String since,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        SignedIn person = Current.person();
        response.setHeader("X-Accel-Buffering", "no");
        long now = changes.revision();
        String known = Objects.requireNonNullElse(last, Objects.requireNonNullElse(since, Long.toString(now)));
        streams.open(
                new Streams.Who(
                        person.stillroom(),
                        person.account(),
                        Streams.Who.session(request.getSession(true).getId())),
                request,
                response,
                number(known),
                now);
    }

    /** The number somebody sent; 0 where it is none. */
    private static long number(String sent) {
        return Linear.matches(sent, "\\d{1," + LONGEST_NUMBER + "}") ? Long.parseLong(sent) : 0;
    }
}
