package app.velvetcrock.web;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** The page for whatever nobody else answered. */
@Controller
class ErrorPage implements ErrorController {

    @RequestMapping("/error")
    String error(HttpServletRequest request, HttpServletResponse response, Model model) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        // What broke off on its way here is no mistake of ours.
        boolean brokeOff = request.getAttribute(RequestDispatcher.ERROR_EXCEPTION) instanceof IOException;
        int code = brokeOff ? 400 : status instanceof Integer number ? number : 404;
        // Called by its address it is not here, like any other that leads nowhere.
        response.setStatus(code);
        model.addAttribute("title", code == 404 ? "Not here" : code == 403 ? "Not sent" : "Something went wrong");
        model.addAttribute("words", words(code));
        return "web/trouble";
    }

    private static String words(int code) {
        return switch (code) {
            case 404 -> "There is nothing at this address. It may be mistyped.";
            case 403 -> "The page was open too long or the sign-in has ended. Open the page again and send once more.";
            case 413 -> "That is more than a form holds. Nothing was written.";
            case 400, 405 -> "The address was not called as it should be. Go back and try from the page itself.";
            default -> "That was our mistake, not yours. What was saved before is safe. Go back and try again.";
        };
    }
}
