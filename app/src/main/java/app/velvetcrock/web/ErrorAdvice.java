package app.velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Turns what went wrong into a page that says what happened and what to do. */
@ControllerAdvice(annotations = Controller.class)
class ErrorAdvice {

    @ExceptionHandler(NotHere.class)
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String notHere(NotHere e, Model model) {
        return page(model, "Not here", "That is not in this stillroom. It may have been taken back, or the address is mistyped.");
    }

    @ExceptionHandler(Refused.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    String refused(Refused e, Model model) {
        return page(model, "Not done", e.getMessage());
    }

    @ExceptionHandler(OptimisticLockingFailureException.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    String overtaken(OptimisticLockingFailureException e, Model model, HttpServletRequest request) {
        return page(model, "Somebody else was quicker",
                "Somebody changed this while you were at it. Nothing of theirs was lost and nothing of yours was written. Go back, look, and send again.");
    }

    private static String page(Model model, String title, String words) {
        model.addAttribute("title", title);
        model.addAttribute("words", words);
        return "web/trouble";
    }
}
