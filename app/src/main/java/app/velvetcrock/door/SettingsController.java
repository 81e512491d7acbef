package app.velvetcrock.door;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Display;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.HouseSettings;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.SignedIn;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Refused.Overtaken;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** Household settings and the password. */
@Controller
class SettingsController {

    private final Households households;
    private final People people;
    private final Passwords passwords;
    private final SignInLimit limit;
    private final Sessions sessions;
    private final Entrance entrance;
    private final Clock clock;

    SettingsController(
            Households households,
            People people,
            Passwords passwords,
            SignInLimit limit,
            Sessions sessions,
            Entrance entrance,
            Clock clock) {
        this.clock = clock;
        this.households = households;
        this.people = people;
        this.passwords = passwords;
        this.limit = limit;
        this.sessions = sessions;
        this.entrance = entrance;
    }

    /** The settings form as sent; {@code version} says which state it was read from. */
    record SettingsForm(
            @Nullable HouseForm house,
            @Nullable String theme,
            @Nullable String typeSize,
            @Nullable String contrast,
            @Nullable String hand,
            int version) {

        SettingsForm {
            house = HouseForm.orBlank(house);
        }

        static SettingsForm of(House house) {
            Display display = house.display();
            return new SettingsForm(
                    HouseForm.of(house.settings()),
                    display.theme().name(),
                    display.typeSize().name(),
                    display.contrast().name(),
                    display.hand().name(),
                    house.version());
        }

        /** What was not asked, as by a page of an older release, stays as it is. */
        private Optional<Display> display(Fields fields, Display before) {
            Optional<Display.Theme> light = fields.oneOf("theme", Display.Theme.class, theme);
            Optional<Display.TypeSize> size = fields.oneOf(
                    "typeSize",
                    Display.TypeSize.class,
                    Objects.requireNonNullElse(typeSize, before.typeSize().name()));
            Optional<Display.Contrast> strong = fields.oneOf(
                    "contrast",
                    Display.Contrast.class,
                    Objects.requireNonNullElse(contrast, before.contrast().name()));
            Optional<Display.Hand> free = fields.oneOf(
                    "hand",
                    Display.Hand.class,
                    Objects.requireNonNullElse(hand, before.hand().name()));
            return light.isEmpty() || size.isEmpty() || strong.isEmpty() || free.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new Display(light.get(), size.get(), strong.get(), free.get()));
        }
    }

    @GetMapping("/settings")
    String settings(Model model) {
        House house = households.current();
        return page(model, SettingsForm.of(house), new Fields(house.reader()));
    }

    @PostMapping("/settings")
    String change(SettingsForm form, Reply reply) {
        Fields fields = new Fields(households.current().reader());
        Optional<HouseSettings> settings = Objects.requireNonNull(form.house()).read(fields);
        Optional<Display> display = form.display(fields, households.current().display());
        return reply.answer(
                new FormSent("", null, fields, "/settings"), () -> again(reply.model(), form, fields), () -> {
                    try {
                        households.change(settings.orElseThrow(), form.version(), display.orElseThrow());
                    } catch (OptimisticLockingFailureException overtaken) {
                        throw new Overtaken(
                                "house.household",
                                "Somebody changed the settings meanwhile (now “%s”). Yours are still here: look, then keep them again."
                                        .formatted(
                                                households.current().settings().name()));
                    }
                    return new Done("/settings", "Settings kept.");
                });
    }

    /** As typed, and as if it had been read from how things stand now. */
    private String again(Model model, SettingsForm form, Fields fields) {
        return page(
                model,
                new SettingsForm(
                        form.house(),
                        form.theme(),
                        form.typeSize(),
                        form.contrast(),
                        form.hand(),
                        households.current().version()),
                fields);
    }

    @PostMapping("/settings/password")
    String password(
            @Nullable String oldPassword,
            @Nullable String newPassword,
            HttpServletRequest request,
            HttpServletResponse response,
            Reply reply) {
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
        }
        return reply.answer(
                new FormSent("", null, fields, "/settings"),
                () -> page(reply.model(), SettingsForm.of(house), fields),
                () -> {
                    SignedIn renewed = people.changePassword(
                                    Objects.requireNonNullElse(oldPassword, ""), Objects.requireNonNull(newPassword))
                            .orElseThrow(() -> new Refused(
                                    "oldPassword", "That is not the present password.", "the one you signed in with"));
                    limit.cameIn(person.email(), request.getRemoteAddr());
                    // The others are told apart by this one's name, which entering anew changes.
                    sessions.endOthers(person.email(), request);
                    entrance.enter(renewed, request, response);
                    return new Done(
                            "/settings", "Password changed. Wherever else you were signed in, you are not any more.");
                });
    }

    private String page(Model model, SettingsForm form, Fields fields) {
        model.addAttribute(
                "themes",
                List.of(
                        new Fields.Option(Display.Theme.DEVICE.name(), "as the device is"),
                        new Fields.Option(Display.Theme.LIGHT.name(), "light"),
                        new Fields.Option(Display.Theme.DARK.name(), "dark")));
        model.addAttribute(
                "typeSizes",
                List.of(
                        new Fields.Option(Display.TypeSize.USUAL.name(), "as the browser is set"),
                        new Fields.Option(Display.TypeSize.LARGE.name(), "a quarter larger"),
                        new Fields.Option(Display.TypeSize.LARGER.name(), "half as large again"),
                        new Fields.Option(Display.TypeSize.TWICE.name(), "twice as large")));
        model.addAttribute(
                "contrasts",
                List.of(
                        new Fields.Option(Display.Contrast.DEVICE.name(), "as the device is"),
                        new Fields.Option(Display.Contrast.HIGH.name(), "high")));
        model.addAttribute(
                "hands",
                List.of(
                        new Fields.Option(Display.Hand.RIGHT.name(), "the right"),
                        new Fields.Option(Display.Hand.LEFT.name(), "the left")));
        House house = households.current();
        model.addAttribute(
                "sample",
                "So far: %s of herb, %s of oil, %s, %s, %s."
                        .formatted(
                                house.mass(Mass.ofGrams(45)),
                                house.volume(Volume.ofMillilitres(250)),
                                house.temperature(Temperature.ofCelsius(45)),
                                house.moment(clock.instant()),
                                house.money(450)));
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        return "door/settings";
    }
}
