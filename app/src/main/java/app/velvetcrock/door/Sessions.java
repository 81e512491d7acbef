package app.velvetcrock.door;

import app.velvetcrock.stillroom.Secrets;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** The devices somebody is signed in with. */
@Component
class Sessions {

    private static final String KIND = "device";

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    Sessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /**
     * A device somebody is signed in with.
     *
     * @param id a name of its session that is no key to it
     * @param isHere whether it is the one this is asked from
     */
    record Device(String id, String kind, Instant since, Instant seen, boolean isHere) {}

    /** Keeps what kind of device somebody signs in with. */
    static void note(HttpServletRequest request) {
        String agent =
                Objects.requireNonNullElse(request.getHeader("User-Agent"), "").toLowerCase(Locale.ROOT);
        boolean small = agent.contains("mobi") || agent.contains("tablet");
        request.getSession().setAttribute(KIND, small ? "phone or tablet" : "computer");
    }

    /** Where somebody is signed in, the latest seen first. */
    List<Device> of(String email, HttpServletRequest request) {
        String here = request.getSession(true).getId();
        return sessions.findByPrincipalName(email).values().stream()
                .map(session -> new Device(
                        Secrets.hash(session.getId()),
                        Objects.requireNonNullElse(session.getAttribute(KIND), "device"),
                        session.getCreationTime(),
                        session.getLastAccessedTime(),
                        session.getId().equals(here)))
                .sorted(Comparator.comparing(Device::seen).reversed())
                .toList();
    }

    /** Signs one of somebody's devices out; false where it is not signed in. */
    boolean end(String email, String device) {
        return sessions.findByPrincipalName(email).keySet().stream()
                .filter(id -> Secrets.hash(id).equals(device))
                .peek(sessions::deleteById)
                .findFirst()
                .isPresent();
    }

    /** Signs somebody out everywhere. */
    void endAll(String email) {
        sessions.findByPrincipalName(email).keySet().forEach(sessions::deleteById);
    }

    /** Signs somebody out everywhere but on the device this is asked from. */
    void endOthers(String email, HttpServletRequest request) {
        String here = request.getSession(true).getId();
        sessions.findByPrincipalName(email).keySet().stream()
                .filter(id -> !id.equals(here))
                .forEach(sessions::deleteById);
    }
}
