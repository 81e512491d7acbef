package app.velvetcrock.door;

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
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Collections;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
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

    private static final Set<String> LOOPBACK_NAMES = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    static final String TAKEN = "There is an account with this email already.";

    private final People people;
    private final Passwords passwords;
    private final SignInLimit limit;
    private final Entrance entrance;

    SignUpController(People people, Passwords passwords, SignInLimit limit, Entrance entrance) {
        this.entrance = entrance;
        this.people = people;
        this.passwords = passwords;
        this.limit = limit;
    }

    /** The sign-up form as sent. */
    record SignUpForm(
            @Nullable String name, @Nullable String email, @Nullable String password, @Nullable HouseForm house) {

        SignUpForm {
            house = HouseForm.orBlank(house);
        }
    }

    @GetMapping("/sign-in")
    String signIn(Model model, HttpServletRequest request) {
        if (Current.signedIn().isPresent()) {
            return "redirect:/shelf";
        }
        model.addAttribute("demo", isLoopback(request) && people.demoPerson().isPresent());
        return "door/sign-in";
    }

    @GetMapping("/sign-up")
    String signUp(Model model) {
        return form(
                model,
                new SignUpForm("", "", "", HouseForm.usual()),
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
        if (fields.isClear() && people.isTaken(Objects.requireNonNull(form.email()))) {
            taken(fields, request);
        }
        return reply.answer(new FormSent("", null, fields, "/shelf"), () -> form(reply.model(), form, fields), () -> {
            entrance.enter(opened(form, name.orElseThrow(), settings.orElseThrow()), request, response);
            return new Done("/shelf", "Your stillroom is open.");
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

    /** Says so, but not to somebody who goes through a list of addresses. */
    private void taken(Fields fields, HttpServletRequest request) {
        if (limit.maySayTaken(request.getRemoteAddr())) {
            fields.trouble("email", TAKEN, "another email, or sign in");
        } else {
            fields.trouble("email", "Nobody can be signed up from here for now.", "it again in a quarter of an hour");
        }
    }

    @PostMapping("/demo-entry")
    String demo(HttpServletRequest request, HttpServletResponse response) {
        if (!isLoopback(request)) {
            throw new NotHere("the demo");
        }
        entrance.enter(people.demoPerson().orElseThrow(() -> new NotHere("the demo")), request, response);
        return "redirect:/shelf";
    }

    private String form(Model model, SignUpForm form, Fields fields) {
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        return "door/sign-up";
    }

    static void checkEmail(Fields fields, @Nullable String email) {
        fields.words("email", email, 254)
                .filter(text -> !text.matches("[^@\\s]+@[^@\\s]+"))
                .ifPresent(text -> fields.trouble(
                        "email", "“%s” is not an email address.".formatted(text), "something like name@example.org"));
    }

    /** Asked from this machine itself, by one of its own names, and not handed on by anything before it. */
    private static boolean isLoopback(HttpServletRequest request) {
        boolean forwarded = request.getHeader("Forwarded") != null
                || Collections.list(request.getHeaderNames()).stream()
                        .anyMatch(name -> name.toLowerCase(Locale.ROOT).startsWith("x-forwarded"));
        if (forwarded || !LOOPBACK_NAMES.contains(request.getServerName())) {
            return false;
        }
        try {
            return InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }
}
