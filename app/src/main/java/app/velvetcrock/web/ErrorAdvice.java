package app.velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.beans.BeansException;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.converter.HttpMessageConversionException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.InitBinder;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Turns what went wrong into a page that says what happened and what to do. */
@ControllerAdvice(annotations = Controller.class)
class ErrorAdvice {

    @ExceptionHandler(NotHere.class)
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String notHere(NotHere e, Model model) {
        return page(
                model,
                "Not here",
                "That is not in this stillroom. It may have been taken back, or the address is mistyped.");
    }

    /** A row that is named without its place grows nothing; it is refused as malformed. */
    @InitBinder
    void growNothing(WebDataBinder binder) {
        binder.setAutoGrowNestedPaths(false);
    }

    @ExceptionHandler(Refused.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    String refused(Refused e, Model model) {
        return page(model, "Not done", e.reason());
    }

    @ExceptionHandler(OptimisticLockingFailureException.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    String overtaken(OptimisticLockingFailureException e, Model model, HttpServletRequest request) {
        return page(
                model,
                "Somebody else was quicker",
                "Somebody changed this while you were at it. Nothing of theirs was lost and nothing of yours "
                        + "was written. Go back, look, and send again.");
    }

    /** Two who do the same at the same moment: the database lets one of them through. */
    @ExceptionHandler({DataIntegrityViolationException.class, ConcurrencyFailureException.class})
    @ResponseStatus(HttpStatus.CONFLICT)
    String atOnce(Exception e, Model model) {
        return page(
                model,
                "Somebody else was quicker",
                "The same was done a moment ago. Nothing was written twice. Go back and look how it stands now.");
    }

    /** What no form here sends: a word where a number stands, a row that is not there. */
    @ExceptionHandler({
        BeansException.class,
        TypeMismatchException.class,
        BindException.class,
        ServletRequestBindingException.class,
        HttpMessageConversionException.class
    })
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    String malformed(Exception e, Model model) {
        return page(
                model,
                "Not understood",
                "The address was not called as it should be. Nothing was written. Go back and try from the page itself.");
    }

    private static String page(Model model, String title, String words) {
        model.addAttribute("title", title);
        model.addAttribute("words", words);
        return "web/trouble";
    }
}
