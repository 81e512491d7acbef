package app.velvetcrock.door;

import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.HouseSettings;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** Tells somebody who signed in rightly that they belong to no stillroom any more, and lets them set one up. */
@Controller
class SetUpController {

    private final People people;
    private final Entrance entrance;

    SetUpController(People people, Entrance entrance) {
        this.people = people;
        this.entrance = entrance;
    }

    /** Where they are at home from now on. */
    record SetUpForm(@Nullable HouseForm house) {

        SetUpForm {
            house = HouseForm.orBlank(house);
        }
    }

    @GetMapping("/set-up")
    String page(Model model, HttpServletRequest request) {
        return Entrance.turnedAway(request)
                .map(person -> show(
                        model,
                        new SetUpForm(HouseForm.guessed(request)),
                        new Fields(House.usual().reader())))
                .orElse("redirect:/sign-in");
    }

    @PostMapping("/set-up")
    String setUp(SetUpForm form, Reply reply, HttpServletRequest request, HttpServletResponse response) {
        UUID person = Entrance.turnedAway(request).orElseThrow(() -> new NotHere("anybody to set up a stillroom for"));
        Fields fields = new Fields(House.usual().reader());
        Optional<HouseSettings> settings = Objects.requireNonNull(form.house()).read(fields);
        return reply.answer(new FormSent("", null, fields, "/shelf"), () -> show(reply.model(), form, fields), () -> {
            entrance.enter(
                    people.setUp(person, settings.orElseThrow()).orElseThrow(() -> new NotHere("that sign-in")),
                    request,
                    response);
            return new Done("/shelf", "Your stillroom is open.");
        });
    }

    private static String show(Model model, SetUpForm form, Fields fields) {
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        return "door/set-up";
    }
}
