package app.velvetcrock.door;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.SignedIn;
import app.velvetcrock.web.NotHere;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * A form that came after its sign-in had ended: what was typed is kept in the page, nowhere else, and goes on its way once the same
 * person of the same household has signed in; anybody else sees it, and can drop it.
 *
 * <p>Who filled a form in stands in the form itself, as a mark nobody can make up who was never signed in as them: so a form that
 * another site sends here is shown as well, and goes nowhere.
 */
@Controller
class KeptController implements AccessDeniedHandler {

    /** The field a form carries the mark of its person in. */
    static final String BY = "by";

    /** A name before each kept field, so that none is taken for those of the sign-in. */
    private static final String KEPT = "kept_";

    private static final String PAGE = "/kept";

    /** What a page asks of people who are not signed in is typed anew. */
    private static final List<String> DOOR =
            List.of("/sign-in", "/sign-up", "/sign-out", "/set-up", "/demo-entry", "/join/", "/api/", PAGE);

    private static final Set<String> NOT_SHOWN = Set.of("key", "_csrf", BY);

    private final People people;
    private final SignInLimit limit;
    private final Entrance entrance;

    KeptController(People people, SignInLimit limit, Entrance entrance) {
        this.people = people;
        this.limit = limit;
        this.entrance = entrance;
    }

    /** A field as it was filled in. */
    record Field(String name, String value) {

        /** Whether people typed or chose it, as against what a form carries along. */
        public boolean isShown() {
            return !NOT_SHOWN.contains(name) && !value.isBlank();
        }
    }

    @Override
    public void handle(HttpServletRequest request, HttpServletResponse response, AccessDeniedException denied)
            throws IOException, ServletException {
        String path = request.getRequestURI().substring(request.getContextPath().length());
        if (denied instanceof CsrfException
                && request.getMethod().equals("POST")
                && DOOR.stream().noneMatch(path::startsWith)) {
            request.getRequestDispatcher(PAGE).forward(request, response);
        } else {
            response.sendError(HttpStatus.FORBIDDEN.value());
        }
    }

    /** Only led to from within, by a form that could not be taken. */
    @RequestMapping(PAGE)
    String keep(HttpServletRequest request, HttpServletResponse response, Model model) {
        if (!(request.getAttribute(RequestDispatcher.FORWARD_SERVLET_PATH) instanceof String from)) {
            throw new NotHere("anything kept");
        }
        response.setStatus(HttpStatus.FORBIDDEN.value());
        return show(model, from, fields(request.getParameterMap(), ""), "");
    }

    @PostMapping("/sign-in/kept")
    String signIn(
            @RequestParam String to,
            @RequestParam String email,
            @RequestParam String password,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        List<Field> fields = fields(request.getParameterMap(), KEPT);
        if (!limit.mayTry(email, request.getRemoteAddr())) {
            return show(model, to, fields, "Too many tries. Wait a quarter of an hour, then try again.");
        }
        Optional<SignedIn> person = people.whoIs(email, password);
        if (person.isEmpty()) {
            return show(model, to, fields, "Email and password do not belong together.");
        }
        limit.cameIn(email, request.getRemoteAddr());
        if (!person.get().isSomewhere()) {
            entrance.turnsAway(person.get(), request);
            return "redirect:/set-up";
        }
        entrance.enter(person.get(), request, response);
        return show(model, to, fields, "");
    }

    private static List<Field> fields(Map<String, String[]> sent, String prefix) {
        List<Field> fields = new ArrayList<>();
        sent.forEach((name, values) -> {
            // A password is typed anew, whatever else was typed beside it.
            if (name.startsWith(prefix)
                    && !name.equals("_csrf")
                    && !name.toLowerCase(Locale.ROOT).contains("password")) {
                Arrays.stream(values)
                        .map(value -> new Field(name.substring(prefix.length()), value))
                        .forEach(fields::add);
            }
        });
        return fields;
    }

    private static String show(Model model, String to, List<Field> fields, String wrong) {
        Optional<String> mine = Current.signedIn().map(SignedIn::mark);
        boolean same = mine.isPresent() && fields.stream().anyMatch(field -> isBy(field, mine.get()));
        model.addAttribute("to", to.startsWith("/") && !to.startsWith("//") ? to : "/shelf");
        model.addAttribute(
                "kept",
                fields.stream()
                        .filter(field -> !field.name().equals(BY) || !same)
                        .toList());
        model.addAttribute("prefix", KEPT);
        model.addAttribute("wrong", wrong);
        model.addAttribute("signedOut", mine.isEmpty());
        model.addAttribute("same", same);
        return "door/kept";
    }

    private static boolean isBy(Field field, @Nullable String mark) {
        return field.name().equals(BY) && field.value().equals(mark);
    }
}
