package app.velvetcrock.door;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** The devices somebody is signed in with. */
@Component
class Sessions {

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    Sessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /** Signs somebody out everywhere but on the device this is asked from. */
    void endOthers(String email, HttpServletRequest request) {
        String here = request.getSession(true).getId();
        sessions.findByPrincipalName(email).keySet().stream()
                .filter(id -> !id.equals(here))
                .forEach(sessions::deleteById);
    }
}
