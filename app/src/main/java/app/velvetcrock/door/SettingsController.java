package app.velvetcrock.door;

import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.HouseSettings;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.SignedIn;
import app.velvetcrock.stillroom.Theme;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Notice;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Household settings and the password. */
@Controller
class SettingsController {

    private final Households households;
    private final People people;
    private final Passwords passwords;
    private final SignInLimit limit;
    private final Sessions sessions;

    SettingsController(
            Households households, People people, Passwords passwords, SignInLimit limit, Sessions sessions) {
        this.households = households;
        this.people = people;
        this.passwords = passwords;
        this.limit = limit;
        this.sessions = sessions;
    }

    /** The settings form as sent; {@code version} says which state it was read from. */
    record SettingsForm(@Nullable HouseForm house, @Nullable String theme, int version) {

        SettingsForm {
            house = HouseForm.orBlank(house);
        }
    }

    @GetMapping("/settings")
    String settings(Model model) {
        House house = households.current();
        return page(
                model,
                new SettingsForm(HouseForm.of(house.settings()), house.theme().name(), house.version()),
                new Fields(house.reader()));
    }

    @PostMapping("/settings")
    String change(SettingsForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Fields fields = new Fields(households.current().reader());
        Optional<HouseSettings> settings = form.house().read(fields);
        Optional<Theme> theme = fields.oneOf("theme", Theme.class, form.theme());
        if (fields.isClear()) {
            try {
                households.change(settings.orElseThrow(), form.version(), theme.orElseThrow());
                after.addFlashAttribute(Notice.NAME, new Notice("Settings kept.", null));
                return "redirect:/settings";
            } catch (OptimisticLockingFailureException overtaken) {
                House theirs = households.current();
                fields.trouble(
                        "house.household",
                        "Somebody changed the settings meanwhile (now “%s”). Yours are still here: look, then keep them again."
                                .formatted(theirs.settings().name()),
                        "");
                response.setStatus(409);
                return page(model, new SettingsForm(form.house(), form.theme(), theirs.version()), fields);
            }
        }
        response.setStatus(422);
        return page(model, form, fields);
    }

    @PostMapping("/settings/password")
    String password(
            @Nullable String oldPassword,
            @Nullable String newPassword,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes after) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        SignedIn person = Current.person();
        passwords.check(
                fields,
                "newPassword",
                newPassword,
                List.of(person.name(), person.email(), house.settings().name()));
        if (fields.isClear() && !limit.mayTry(person.email(), request.getRemoteAddr())) {
            fields.trouble(
                    "oldPassword", "Too many wrong passwords from here. Wait a little.", "it again in some minutes");
        } else if (fields.isClear()
                && !people.changePassword(Objects.requireNonNullElse(oldPassword, ""), newPassword)) {
            fields.trouble("oldPassword", "That is not the present password.", "the one you signed in with");
        }
        if (fields.isClear()) {
            limit.forget(person.email(), request.getRemoteAddr());
            sessions.endOthers(person.email(), request);
            after.addFlashAttribute(
                    Notice.NAME,
                    new Notice("Password changed. Wherever else you were signed in, you are not any more.", null));
            return "redirect:/settings";
        }
        response.setStatus(422);
        return page(
                model,
                new SettingsForm(HouseForm.of(house.settings()), house.theme().name(), house.version()),
                fields);
    }

    private static String page(Model model, SettingsForm form, Fields fields) {
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        return "door/settings";
    }
}
