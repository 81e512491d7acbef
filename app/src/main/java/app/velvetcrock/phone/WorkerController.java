package app.velvetcrock.phone;

import app.velvetcrock.web.Assets;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Serves the worker at the root, so that every page is within its reach, led by the list of what is served under which hash. */
@Controller
class WorkerController {

    private static final MediaType SCRIPT = MediaType.parseMediaType("text/javascript;charset=UTF-8");

    /** Their addresses carry a hash. */
    private static final List<String> HASHED = List.of("/css/app.css", "/js/app.js");

    private static final List<String> PLAIN = List.of(
            "/favicon.svg",
            "/fonts/alegreya-latin.woff2",
            "/fonts/alegreya-latin-ext.woff2",
            "/fonts/atkinson-hyperlegible-next-latin.woff2",
            "/fonts/atkinson-hyperlegible-next-latin-ext.woff2");

    private final String plain;
    private final String worker;
    private final Assets assets;

    WorkerController(Assets assets) throws IOException {
        this.assets = assets;
        this.worker = new String(bytes("/js/worker.js"), StandardCharsets.UTF_8);
        StringBuilder all = new StringBuilder();
        for (String path : PLAIN) {
            all.append(",{\"url\":\"%s\",\"revision\":\"%s\"}".formatted(path, hash(bytes(path))));
        }
        this.plain = all.toString();
    }

    @GetMapping("/sw.js")
    ResponseEntity<String> worker() {
        String hashed = HASHED.stream()
                .map(path -> "{\"url\":\"%s\",\"revision\":null}".formatted(assets.at(path)))
                .collect(Collectors.joining(","));
        return ResponseEntity.ok()
                .contentType(SCRIPT)
                .cacheControl(CacheControl.noCache())
                .body("self.__ASSETS=[%s%s];\n%s".formatted(hashed, plain, worker));
    }

    private static byte[] bytes(String path) throws IOException {
        try (InputStream in = new ClassPathResource("static" + path).getInputStream()) {
            return in.readAllBytes();
        }
    }

    private static String hash(byte[] of) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(of), 0, 16);
        } catch (GeneralSecurityException none) {
            throw new IllegalStateException("every Java has SHA-256", none);
        }
    }
}
