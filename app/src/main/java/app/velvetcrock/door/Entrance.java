package app.velvetcrock.door;

import app.velvetcrock.stillroom.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Component;

/** Signs somebody in who has just shown who they are. */
@Component
class Entrance {

    private final HttpSessionSecurityContextRepository sessions = new HttpSessionSecurityContextRepository();

    void enter(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        SecurityContext context = new SecurityContextImpl(
                UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
        SecurityContextHolder.setContext(context);
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        sessions.saveContext(context, request, response);
        Sessions.note(request);
    }
}
