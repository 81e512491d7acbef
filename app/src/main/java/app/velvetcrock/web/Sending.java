package app.velvetcrock.web;

import app.velvetcrock.web.body.Bodies;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * A form as it was sent: where to, and a hash of all it said.
 *
 * @param body hash over every field but the key and the token against forgery, in the order of their names
 */
public record Sending(String path, String body) {

    /** Where a request notes when its form was tapped, if it waited on a device since; to everything it does that is now. */
    public static final String TAPPED = Sending.class.getName() + ".tapped";

    static Sending of(HttpServletRequest request) {
        Map<String, String[]> fields = new TreeMap<>(request.getParameterMap());
        fields.remove("key");
        fields.remove("_csrf");
        MessageDigest digest = sha256();
        fields.forEach((name, values) ->
                digest.update((name + "=" + Arrays.toString(values) + "\n").getBytes(StandardCharsets.UTF_8)));
        if (Bodies.bringsPicture(request)) {
            Bodies.whole(request).ifPresent(digest::update);
        }
        return new Sending(request.getRequestURI(), HexFormat.of().formatHex(digest.digest()));
    }

    /** The form that is being answered on this thread; absent outside a request, as while the demo is loaded. */
    static Optional<HttpServletRequest> request() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now
                ? Optional.of(now.getRequest())
                : Optional.empty();
    }

    /** When the form that is being answered was tapped, if it waited since. */
    static Optional<Instant> tapped() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now
                        && now.getRequest().getAttribute(TAPPED) instanceof Instant then
                ? Optional.of(then)
                : Optional.empty();
    }

    /** The one-time key that came with it. */
    static Optional<UUID> key(HttpServletRequest request) {
        String typed = request.getParameter("key");
        try {
            return typed == null || typed.length() != 36 ? Optional.empty() : Optional.of(UUID.fromString(typed));
        } catch (IllegalArgumentException noKey) {
            return Optional.empty();
        }
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
