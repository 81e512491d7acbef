package app.velvetcrock.door;

import java.net.URI;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Where this installation is reached by others. Links that are handed on are built from it; what a request calls it is believed
 * by nobody, since whoever asks writes that themselves.
 */
@Component
public class OwnAddress {

    private static final Set<String> THIS_MACHINE = Set.of("localhost", "127.0.0.1", "[::1]");

    private final Environment environment;
    private final String set;

    /**
     * Takes it from the settings; where none is set it is this machine's own.
     *
     * @throws IllegalStateException where what is set is no address of http or https
     */
    OwnAddress(Environment environment, @Value("${crock.address}") String set) {
        this.environment = environment;
        this.set = set.strip();
        if (!this.set.isEmpty() && !isAddress(this.set)) {
            throw new IllegalStateException(
                    "CROCK_ADDRESS is “%s”, which is no address such as https://herbs.example.org".formatted(set));
        }
    }

    private static boolean isAddress(String text) {
        try {
            URI uri = URI.create(text);
            return uri.getHost() != null
                    && ("http".equals(uri.getScheme()) || "https".equals(uri.getScheme()))
                    && uri.getQuery() == null
                    && uri.getFragment() == null;
        } catch (IllegalArgumentException unreadable) {
            return false;
        }
    }

    /** The whole address of a page, by its path. */
    public String of(String path) {
        return (base().endsWith("/") ? base().substring(0, base().length() - 1) : base()) + path;
    }

    /** Tells whether nobody but this machine reaches it, as far as it was told. */
    public boolean isThisMachine() {
        return THIS_MACHINE.contains(String.valueOf(URI.create(base()).getHost()));
    }

    private String base() {
        return set.isEmpty()
                ? (environment.getProperty("crock.authority", "").isBlank() ? "http" : "https") + "://127.0.0.1:"
                        + environment.getProperty("local.server.port", environment.getProperty("server.port", "80"))
                        + environment.getProperty("server.servlet.context-path", "")
                : set;
    }
}
