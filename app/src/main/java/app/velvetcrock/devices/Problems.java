package app.velvetcrock.devices;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;

/** What a device is told when it was not heard, as RFC 9457 says it. */
final class Problems {

    private Problems() {}

    static void write(HttpServletResponse response, HttpStatus status, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType("application/problem+json");
        response.getOutputStream().write(json(status, detail).getBytes(StandardCharsets.UTF_8));
    }

    /** The words are this program's own and hold nothing that would have to be escaped. */
    static String json(HttpStatus status, String detail) {
        return "{\"type\":\"about:blank\",\"title\":\"%s\",\"status\":%d,\"detail\":\"%s\"}"
                .formatted(status.getReasonPhrase(), status.value(), detail);
    }
}
