package app.velvetcrock.door;

import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Collections;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Who looks round the demo household with one tap: whoever sits at this machine, where one is loaded. */
@Component
public class DemoEntry {

    private static final Set<String> LOOPBACK_NAMES = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    private final People people;
    private final OwnAddress own;

    DemoEntry(People people, OwnAddress own) {
        this.people = people;
        this.own = own;
    }

    /** Whom they are then; nobody where no demo is loaded, or who asks does not sit here. */
    public Optional<SignedIn> person(HttpServletRequest request) {
        return isLoopback(request) ? people.demoPerson() : Optional.empty();
    }

    /** Asked from this machine itself, by one of its own names, and not handed on by anything before it. */
    private boolean isLoopback(HttpServletRequest request) {
        boolean handedOn = request.getProtocol().equals("HTTP/1.0")
                || Collections.list(request.getHeaderNames()).stream()
                        .map(name -> name.toLowerCase(Locale.ROOT))
                        .anyMatch(name -> name.startsWith("x-") && !name.equals("x-requested-with")
                                || name.equals("forwarded")
                                || name.equals("via"));
        if (handedOn || !own.isThisMachine() || !LOOPBACK_NAMES.contains(request.getServerName())) {
            return false;
        }
        try {
            return InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }
}
