package app.velvetcrock.front;

import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.recipe.Things;
import app.velvetcrock.core.wish.Kitchen;
import app.velvetcrock.core.wish.UsualKitchen;
import app.velvetcrock.core.wish.WishPlanner;
import app.velvetcrock.door.DemoEntry;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import app.velvetcrock.wish.WishModel;
import app.velvetcrock.wish.WishPage;
import app.velvetcrock.wish.WishReading;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What somebody sees who is not signed in: the sentence, live, in a usual kitchen. Nothing is stored, and no session is made. */
@Controller
class DoorController {

    private static final String PLACE = "/";
    private static final Set<DayOfWeek> LATE_IN_THE_WEEK =
            EnumSet.of(DayOfWeek.WEDNESDAY, DayOfWeek.THURSDAY, DayOfWeek.FRIDAY, DayOfWeek.SATURDAY);
    private static final String AGAIN_IN = "3";

    private final Answers answers;
    private final WishPlanner planner;
    private final WishReading.Words words;
    private final Materia materia;
    private final DemoEntry demo;
    private final Clock clock;

    DoorController(Answers answers, Planner planner, Materia materia, DemoEntry demo, Clock clock) {
        this.demo = demo;
        this.answers = answers;
        this.planner = new WishPlanner(planner, materia);
        this.materia = materia;
        this.words = new WishReading.Words(
                Things.of(materia, materia.herbs(), materia.carriers()), materia, materia.carriers());
        this.clock = clock;
    }

    /** What the sentence comes to, with what was said of its words. */
    record Answered(Fields fields, @Nullable WishPage page) {}

    @GetMapping(PLACE)
    String door(WishForm typed, Model model, HttpServletRequest request, HttpServletResponse response) {
        if (Current.signedIn().isPresent()) {
            return "redirect:" + (typed.isEmpty() ? "/shelf" : typed.address("/wish"));
        }
        WishForm form = typed.isEmpty() ? WishForm.example(saturday()) : typed;
        Answers.Said said = answers.of(form.normalised(), () -> answer(form));
        if (said.answered() == null) {
            response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
            response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN_IN);
        }
        WishModel.fill(
                model,
                form,
                said.answered() == null
                        ? new Fields(House.usual().reader())
                        : said.answered().fields(),
                PLACE);
        model.addAttribute("usual", House.usual());
        model.addAttribute("busy", said.answered() == null);
        model.addAttribute(
                "answer", said.answered() == null ? null : said.answered().page());
        model.addAttribute("keep", form.address("/sign-up"));
        model.addAttribute("demo", demo.person(request).isPresent());
        return "wish/door";
    }

    private Answered answer(WishForm form) {
        House house = House.usual();
        Instant now = clock.instant();
        Fields fields = new Fields(house.reader());
        Kitchen kitchen = UsualKitchen.of(materia, house.wording(), now);
        @Nullable
        WishPage page = new WishReading(
                        words, house, kitchen, fields, planner.mixes().kinds())
                .read(form)
                .flatMap(wish -> planner.answer(wish, kitchen, fields))
                .map(answer -> WishPage.of(answer, form, PLACE, house))
                .orElse(null);
        return new Answered(fields, page);
    }

    /** A day by which it can be made: this week's Saturday, or the next one's late in the week. */
    private String saturday() {
        DayOfWeek today = House.usual().dayOf(clock.instant()).getDayOfWeek();
        return LATE_IN_THE_WEEK.contains(today) ? "Saturday week" : "Saturday";
    }
}
