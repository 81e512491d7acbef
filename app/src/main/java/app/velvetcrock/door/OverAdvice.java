package app.velvetcrock.door;

import app.velvetcrock.stillroom.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;

/** Shows whoever asks by a sign-in that does not hold any more to the door. */
@ControllerAdvice(annotations = Controller.class)
class OverAdvice {

    /**
     * Nothing is shown, nothing is written, and the session ends; what was typed is kept in the page. A stream is told not to
     * come again.
     */
    @ExceptionHandler(SignedIn.Over.class)
    @Nullable
    String signedOut(HttpServletRequest request, HttpServletResponse response) {
        SecurityContextHolder.clearContext();
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        if (String.valueOf(request.getHeader(HttpHeaders.ACCEPT)).contains(MediaType.TEXT_EVENT_STREAM_VALUE)) {
            response.setStatus(HttpStatus.NO_CONTENT.value());
            return null;
        }
        return request.getMethod().equals("POST") ? "forward:/kept" : "redirect:/sign-in?ended";
    }
}
