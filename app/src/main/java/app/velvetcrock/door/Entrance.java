package app.velvetcrock.door;

import app.velvetcrock.stillroom.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRequestHandler;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;
import org.springframework.security.web.csrf.XorCsrfTokenRequestAttributeHandler;
import org.springframework.stereotype.Component;

/** Signs somebody in who has just shown who they are. */
@Component
class Entrance {

    private final HttpSessionSecurityContextRepository sessions = new HttpSessionSecurityContextRepository();
    private final HttpSessionCsrfTokenRepository tokens = new HttpSessionCsrfTokenRepository();
    private final CsrfTokenRequestHandler masks = new XorCsrfTokenRequestAttributeHandler();

    /** Under which the account of somebody who signed in rightly, but belongs to no stillroom, is kept until they set one up. */
    private static final String NOWHERE = "nowhere";

    /** Whoever signed in rightly is let in, unless they belong nowhere now: that is kept, and they are signed in to nothing. */
    boolean turnsAway(SignedIn person, HttpServletRequest request) {
        if (person.isSomewhere()) {
            Sessions.note(request);
            return false;
        }
        SecurityContextHolder.clearContext();
        request.getSession().removeAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY);
        request.getSession().setAttribute(NOWHERE, person.account());
        return true;
    }

    /** Who was turned away so; nobody where none was. */
    static Optional<UUID> turnedAway(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session == null ? Optional.empty() : Optional.ofNullable((UUID) session.getAttribute(NOWHERE));
    }

    void enter(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        SecurityContext context = new SecurityContextImpl(
                UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
        SecurityContextHolder.setContext(context);
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        sessions.saveContext(context, request, response);
        // Whoever was here before knew the form token; a page written from here on carries the new one.
        CsrfToken token = tokens.generateToken(request);
        tokens.saveToken(token, request, response);
        masks.handle(request, response, () -> token);
        request.getSession().removeAttribute(NOWHERE);
        Sessions.note(request);
    }
}
