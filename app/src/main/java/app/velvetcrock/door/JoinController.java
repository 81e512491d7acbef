package app.velvetcrock.door;

import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Invitations;
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
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Comes into a stillroom by a link somebody there made: with a new account, or with one there is. */
@Controller
class JoinController {

    private final Invitations invitations;
    private final Passwords passwords;
    private final SignInLimit limit;
    private final Entrance entrance;

    JoinController(Invitations invitations, Passwords passwords, SignInLimit limit, Entrance entrance) {
        this.invitations = invitations;
        this.passwords = passwords;
        this.limit = limit;
        this.entrance = entrance;
    }

    /** Who comes in, as typed; without a name it is somebody who has an account. */
    record JoinForm(@Nullable String name, @Nullable String email, @Nullable String password) {

        JoinForm {
            name = name == null ? "" : name;
            email = email == null ? "" : email;
            password = password == null ? "" : password;
        }
    }

    @GetMapping("/join/{secret}")
    String page(@PathVariable String secret, Model model) {
        return show(model, secret, invited(secret), new JoinForm("", "", ""), fields());
    }

    @PostMapping("/join/{secret}")
    String join(
            @PathVariable String secret,
            JoinForm form,
            HttpServletRequest request,
            HttpServletResponse response,
            Reply reply) {
        Invitations.Invited invited = invited(secret);
        Fields fields = fields();
        boolean known = Objects.requireNonNull(form.name()).isBlank();
        Optional<String> name = known ? Optional.of("") : fields.words("name", form.name(), 80);
        String email = Objects.requireNonNull(form.email());
        String password = Objects.requireNonNull(form.password());
        SignUpController.checkEmail(fields, email);
        if (!known) {
            passwords.check(fields, "password", password, List.of(name.orElse(""), email, invited.name()));
            if (fields.isClear() && !limit.maySignUp(request.getRemoteAddr())) {
                fields.trouble("email", "Too many were signed up from here.", "it again in an hour");
            }
        } else if (fields.isClear() && !limit.mayTry(email, request.getRemoteAddr())) {
            fields.trouble("password", "Too many tries. Wait a quarter of an hour.", "it again then");
        }
        return reply.answer(
                new FormSent("", null, fields, "/shelf"),
                () -> show(reply.model(), secret, invited, form, fields),
                () -> {
                    SignedIn person = known
                            ? invitations
                                    .joinAgain(invited, email, password)
                                    .orElseThrow(() -> new Refused(
                                            "password",
                                            "Email and password do not belong together.",
                                            "both again, or a name too if you are new"))
                            : opened(invited, new People.NewPerson(email, password, name.orElseThrow()));
                    limit.cameIn(email, request.getRemoteAddr());
                    entrance.enter(person, request, response);
                    return new Done("/shelf", "You belong to %s now.".formatted(invited.name()));
                });
    }

    private SignedIn opened(Invitations.Invited invited, People.NewPerson person) {
        try {
            return invitations.join(invited, person);
        } catch (DataIntegrityViolationException taken) {
            // Whoever holds a link learns nothing by it of who has an account.
            throw new Refused(
                    "email",
                    "Nobody can be signed up with these.",
                    "another email; or, with an account already, leave the name empty and give its password");
        }
    }

    private Invitations.Invited invited(String secret) {
        return invitations.find(secret).orElseThrow(() -> new NotHere("that invitation"));
    }

    private static String show(Model model, String secret, Invitations.Invited invited, JoinForm form, Fields fields) {
        model.addAttribute("secret", secret);
        model.addAttribute("invited", invited);
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        return "door/join";
    }

    private static Fields fields() {
        return new Fields(House.usual().reader());
    }
}
