package app.velvetcrock.web.markup;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.ClassPathResource;

/** Pages that need neither session nor database nor template: written where none of them can be asked. */
public final class PlainPage {

    private PlainPage() {}

    /** Writes one of the pages beside the templates, by its name. */
    public static void write(HttpServletResponse response, int status, String page) throws IOException {
        response.setStatus(status);
        response.setHeader(
                "Content-Security-Policy",
                "default-src 'none'; style-src 'self'; base-uri 'none'; frame-ancestors 'none'");
        response.setContentType("text/html;charset=UTF-8");
        response.getOutputStream()
                .write(new ClassPathResource("templates/web/%s.html".formatted(page))
                        .getContentAsString(StandardCharsets.UTF_8)
                        .getBytes(StandardCharsets.UTF_8));
    }
}
