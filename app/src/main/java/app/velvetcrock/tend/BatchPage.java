package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.timetable.Timetable;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.hours.Hours;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Costs;
import app.velvetcrock.stock.Stock;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts a batch's page together, with one of its forms as it was typed when that could not be read. */
@Component
class BatchPage {

    private static final double PICTURE_WIDTH = 150;
    private static final double PICTURE_HEIGHT = 190;

    private final Stores stores;
    private final Conditions conditions;
    private final Costs costs;
    private final Households households;
    private final Hours hours;
    private final Clock clock;

    BatchPage(Stores stores, Conditions conditions, Costs costs, Households households, Hours hours, Clock clock) {
        this.stores = stores;
        this.conditions = conditions;
        this.costs = costs;
        this.households = households;
        this.hours = hours;
        this.clock = clock;
    }

    /** The form that was sent, by name, with what was wrong in it. */
    record Typed(String which, TendForm form, Fields fields) {}

    /** A task that is done by a tap alone. */
    public record Tap(String address, String words) {}

    private static List<Tap> taps(BatchSheet sheet) {
        return sheet.open().stream()
                .flatMap(task -> tapWord(sheet, task.key().kind())
                        .map(words -> new Tap("/batch/%s/tasks/%s".formatted(sheet.id(), task.key()), words))
                        .stream())
                .toList();
    }

    private static Optional<String> tapWord(BatchSheet sheet, TaskKind kind) {
        return switch (kind) {
            case SHAKE -> Optional.of("Shaken");
            case PUSH_UNDER -> Optional.of("Pushed under");
            case NEXT -> sheet.course().next().map(stage -> "Next: " + stage.name());
            case HEAT_ON, HEAT_OFF -> Optional.of(kind.word());
            case LOOK, READ, STRAIN, DECANT, USE_FIRST -> Optional.empty();
        };
    }

    String show(Model model, BatchSheet sheet) {
        return show(
                model,
                sheet,
                new Typed("", TendForm.empty(), new Fields(House.usual().reader())));
    }

    String show(Model model, BatchSheet sheet, Typed typed) {
        model.addAttribute("batch", sheet);
        model.addAttribute("cost", costs.ofBatch(sheet.id()).orElse(null));
        model.addAttribute("conditions", conditions.ofBatch(sheet.id()));
        model.addAttribute("drawing", drawing(sheet));
        model.addAttribute("ribbon", Ribbon.of(sheet, clock.instant(), households.current()));
        model.addAttribute(
                "ahead", sheet.remaining().get().map(Timetable::placed).orElse(List.of()));
        model.addAttribute("taps", taps(sheet));
        model.addAttribute("which", typed.which());
        model.addAttribute("typed", typed.form());
        model.addAttribute("sent", typed.fields());
        model.addAttribute("none", new Fields(House.usual().reader()));
        model.addAttribute("blank", TendForm.empty());
        model.addAttribute("sameOil", sheet.course().state() == Course.State.STANDING ? sameOil(sheet) : List.of());
        model.addAttribute("corrections", new Corrections(households.current()));
        model.addAttribute("smells", Smell.values());
        model.addAttribute("ruins", Ruin.values());
        return "tend/batch";
    }

    /** What went in cost, in a sentence of its own; nothing where no price is known. */
    String whatItCost(BatchSheet sheet, House house) {
        return costs.ofBatch(sheet.id())
                .map(cost -> " What went in cost %s.".formatted(house.money(cost.minor())))
                .orElse("");
    }

    /** Bottles in stock of the oil a batch stands in. */
    List<Stock.OfCarrier> sameOil(BatchSheet sheet) {
        return stores.carriers(sheet.plan().request().carrier().kind());
    }

    /** Fills the form in which a line is corrected with what it says. */
    record Corrections(House house) {

        public TendForm of(BatchSheet.Written line) {
            String when = Wording.written(
                    line.happenedAt().atZone(house.settings().zone()).toLocalDateTime());
            Line says = line.correctable().orElseThrow();
            if (says instanceof Line.Heat heat) {
                return TendForm.of(null, when).reading(house.temperature(heat.temperature()));
            }
            if (says instanceof Line.Looked looked) {
                return TendForm.of(null, when).looking(looked.look());
            }
            return TendForm.of(null, when)
                    .saying(
                            says instanceof Line.Noted note
                                    ? note.words()
                                    : says instanceof Line.Lesson lesson ? lesson.words() : "");
        }

        public String asks(BatchSheet.Written line) {
            Line says = line.correctable().orElseThrow();
            return says instanceof Line.Heat
                    ? "temperature"
                    : says instanceof Line.Looked ? "look" : says instanceof Line.Tended ? "when" : "words";
        }
    }

    private static JarDrawing drawing(BatchSheet sheet) {
        double scale = JarDrawing.scaleToFit(sheet.course().charge().vessel(), PICTURE_WIDTH, PICTURE_HEIGHT);
        return sheet.drawing(scale);
    }
}
