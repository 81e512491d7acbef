package app.velvetcrock.door;

import app.velvetcrock.core.text.Linear;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.HouseSettings;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.SignedIn;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** Signing up, signing in, and the demo's one-button entry. */
@Controller
class SignUpController {

    static final String TAKEN = "There is an account with this email already.";

    private final People people;
    private final Passwords passwords;
    private final SignInLimit limit;
    private final Entrance entrance;
    private final DemoEntry demo;

    SignUpController(People people, Passwords passwords, SignInLimit limit, Entrance entrance, DemoEntry demo) {
        this.demo = demo;
        this.entrance = entrance;
        this.people = people;
        this.passwords = passwords;
        this.limit = limit;
    }

    /** The sign-up form as sent. */
    record SignUpForm(
            @Nullable String name,
            @Nullable String email,
            @Nullable String password,
            @Nullable HouseForm house,
            @Nullable String wish) {

        SignUpForm {
            house = HouseForm.orBlank(house);
        }

        /** Where it leads: to what was planned at the door, where anything was. */
        String leadsTo() {
            return WishForm.leadsTo(wish).orElse("/shelf");
        }
    }

    @GetMapping("/sign-in")
    String signIn(Model model, HttpServletRequest request) {
        if (Current.signedIn().isPresent()) {
            return "redirect:/shelf";
        }
        model.addAttribute("demo", demo.person(request).isPresent());
        return "door/sign-in";
    }

    /** What was planned at the door is carried along, as its address says it. */
    @GetMapping("/sign-up")
    String signUp(Model model, HttpServletRequest request) {
        return form(
                model,
                new SignUpForm("", "", "", HouseForm.guessed(request), request.getQueryString()),
                new Fields(House.usual().reader()));
    }

    @PostMapping("/sign-up")
    String signUp(SignUpForm form, Reply reply, HttpServletRequest request, HttpServletResponse response) {
        Fields fields = new Fields(House.usual().reader());
        Optional<String> name = fields.words("name", form.name(), 80);
        Optional<HouseSettings> settings = Objects.requireNonNull(form.house()).read(fields);
        checkEmail(fields, form.email());
        passwords.check(
                fields,
                "password",
                form.password(),
                Stream.of(form.name(), form.email(), form.house().household())
                        .filter(Objects::nonNull)
                        .toList());
        if (fields.isClear()) {
            if (!limit.maySignUp(request.getRemoteAddr())) {
                fields.trouble("email", "Too many were signed up from here.", "it again in an hour");
            } else if (people.isTaken(Objects.requireNonNull(form.email()))) {
                fields.trouble("email", TAKEN, "another email, or sign in");
            }
        }
        if (!fields.isClear()) {
            // Whoever is refused waits as long as whoever is let in: how long it took tells nothing.
            people.takeTime();
        }
        return reply.answer(
                new FormSent("", null, fields, form.leadsTo()), () -> form(reply.model(), form, fields), () -> {
                    entrance.enter(opened(form, name.orElseThrow(), settings.orElseThrow()), request, response);
                    limit.cameIn(Objects.requireNonNull(form.email()), request.getRemoteAddr());
                    return new Done(form.leadsTo(), "Your stillroom is open.");
                });
    }

    /** Two who take one address at once: the second is told as if it had been taken before. */
    private SignedIn opened(SignUpForm form, String name, HouseSettings settings) {
        try {
            return people.signUp(
                    new People.NewPerson(
                            Objects.requireNonNull(form.email()), Objects.requireNonNull(form.password()), name),
                    settings,
                    false);
        } catch (DataIntegrityViolationException taken) {
            throw new Refused("email", TAKEN, "another email, or sign in");
        }
    }

    @PostMapping("/demo-entry")
    String demo(HttpServletRequest request, HttpServletResponse response) {
        entrance.enter(demo.person(request).orElseThrow(() -> new NotHere("the demo")), request, response);
        return "redirect:/shelf";
    }

    private String form(Model model, SignUpForm form, Fields fields) {
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        return "door/sign-up";
    }

    static void checkEmail(Fields fields, @Nullable String email) {
        fields.words("email", email, 254)
                .filter(text -> !Linear.matches(text, "[^@\\s]+@[^@\\s]+"))
                .ifPresent(text -> fields.trouble(
                        "email", "“%s” is not an email address.".formatted(text), "something like name@example.org"));
    }
}
