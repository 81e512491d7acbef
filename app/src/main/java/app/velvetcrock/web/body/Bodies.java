package app.velvetcrock.web.body;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Which bodies there are beside those of forms: pictures, on the one route that takes them. */
public final class Bodies {

    /** Below it pictures are taken, and nothing else has such a body. */
    public static final String PICTURES = "/pictures/of/";

    private static final List<String> KINDS = List.of("image/jpeg", "image/png");

    private Bodies() {}

    /** Whether a picture may come with it, as far as its address says. */
    static boolean isForPictures(HttpServletRequest request) {
        return request.getMethod().equals("POST")
                && request.getRequestURI().startsWith(request.getContextPath() + PICTURES);
    }

    /** Whether it says that it brings one; whether that is one is asked when it is read. */
    public static boolean bringsPicture(HttpServletRequest request) {
        String type = request.getContentType();
        return isForPictures(request)
                && type != null
                && KINDS.stream().anyMatch(type.toLowerCase(Locale.ROOT)::startsWith);
    }

    /** What came, once it is whole. */
    public static Optional<byte[]> whole(HttpServletRequest request) {
        return request.getAttribute(Incoming.WHOLE) instanceof byte[] body ? Optional.of(body) : Optional.empty();
    }
}
