package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.ProbeSpan;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.hours.Hours;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.kit.KitShelf.OfKit;
import app.velvetcrock.readings.Device;
import app.velvetcrock.readings.DeviceKind;
import app.velvetcrock.readings.Devices;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Costs;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Sent;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts a batch's page together, with one of its forms as it was typed when that could not be read. */
@Component
class BatchPage {

    private static final double PICTURE_WIDTH = 150;
    private static final double PICTURE_HEIGHT = 190;

    private static final List<Fields.Option> COVERS =
            List.of(new Fields.Option("UNDER", "herb under the oil"), new Fields.Option("OUT", "stands out"));
    private static final List<Fields.Option> MOULDS =
            List.of(new Fields.Option("NO", "none"), new Fields.Option("YES", "something grows"));

    private final Stores stores;
    private final Conditions conditions;
    private final Costs costs;
    private final KitShelf kit;
    private final Devices devices;
    private final Households households;
    private final Hours hours;
    private final Clock clock;

    BatchPage(
            Stores stores,
            Conditions conditions,
            Costs costs,
            KitShelf kit,
            Devices devices,
            Households households,
            Hours hours,
            Clock clock) {
        this.stores = stores;
        this.conditions = conditions;
        this.costs = costs;
        this.kit = kit;
        this.devices = devices;
        this.households = households;
        this.hours = hours;
        this.clock = clock;
    }

    /** A task that is done by a tap alone. */
    public record Tap(String address, String words) {}

    /** What can be done to its heat, but for putting it on and off; the water only where it stands in some. */
    private List<Tap> turns(BatchSheet sheet) {
        String address = "/batch/" + sheet.id() + "/turn/";
        Stream<Tap> settings =
                Stream.of(HeatSetting.values()).map(to -> new Tap(address + to.name(), "to " + to.word()));
        Stream<Tap> others = TendingController.BY_HAND.stream()
                .filter(change -> change != HeatChange.PROBE_IN_OIL || isDoubted(sheet))
                .filter(change -> change != HeatChange.BATH_TOPPED_UP
                        || sheet.course().stage().isWaterBath()
                        || !sheet.course().stage().isOvenOrPan())
                .map(change -> new Tap(address + change.name(), change.word()));
        Optional<UUID> in = ProbeSpan.of(sheet.log()).stream()
                .filter(span -> span.until().isEmpty())
                .map(ProbeSpan::probe)
                .findFirst();
        Stream<Tap> probes = sheet.course().heat().isEmpty()
                ? Stream.of()
                : devices.all().stream()
                        .filter(device -> device.kind() == DeviceKind.PROBE)
                        .map(device -> probe(
                                sheet, device, in.filter(device.id()::equals).isPresent()));
        return Stream.of(settings, others, sources(sheet, kit).stream(), probes)
                .flatMap(one -> one)
                .toList();
    }

    /** Which of several it is on, where nobody could know otherwise. */
    static List<Tap> sources(BatchSheet sheet, KitShelf kit) {
        List<OfKit> able = sheet.course().heat().isEmpty()
                ? List.of()
                : kit.able(sheet.course().method().sources());
        boolean isKnown = able.size() < 2
                || able.stream()
                        .anyMatch(piece -> piece.id().equals(sheet.stand().id()));
        return isKnown
                ? List.of()
                : able.stream()
                        .filter(piece -> !piece.id().equals(sheet.heatedBy()))
                        .map(piece -> new Tap(
                                "/batch/%s/source/%s".formatted(sheet.id(), piece.id()),
                                "on " + piece.kit().name()))
                        .toList();
    }

    static Tap probe(BatchSheet sheet, Device device, boolean isIn) {
        return new Tap(
                "/batch/%s/probe/%s/%s".formatted(sheet.id(), device.id(), isIn ? "out" : "in"),
                device.name() + (isIn ? ": out" : ": in"));
    }

    private static boolean isDoubted(BatchSheet sheet) {
        return sheet.course().heat().flatMap(heat -> heat.probe().doubt()).isPresent();
    }

    private static List<Tap> taps(BatchSheet sheet) {
        return sheet.open().stream()
                .filter(task -> sheet.holding(task.held()).isEmpty())
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
            case HEAT_ON, HEAT_OFF, WATER, FRIDGE_IN, FRIDGE_OUT, SPIRIT_GONE -> Optional.of(kind.word());
            case LOOK, READ, STRAIN, DECANT, USE_FIRST, PAN -> Optional.empty();
        };
    }

    String show(Model model, BatchSheet sheet) {
        return show(model, sheet, Sent.nothing(new Fields(households.current().reader()), TendForm.empty()));
    }

    String show(Model model, BatchSheet sheet, Sent<TendForm> sent) {
        House house = households.current();
        model.addAttribute("batch", sheet);
        model.addAttribute("told", BatchTold.of(sheet, costs.ofBatch(sheet.id()), house));
        model.addAttribute("log", new LogLines(house).of(sheet));
        model.addAttribute("conditions", conditions.ofBatch(sheet.id()));
        model.addAttribute("drawing", drawing(sheet));
        model.addAttribute(
                "ribbons",
                Arrays.stream(Ribbon.Paper.values())
                        .map(paper -> Ribbon.of(sheet, clock.instant(), house, paper))
                        .toList());
        model.addAttribute("taps", taps(sheet));
        model.addAttribute("turns", turns(sheet));
        model.addAttribute("sent", sent);
        model.addAttribute(
                "sameOil",
                sheet.course().state() == Course.State.STANDING
                        ? sameOil(sheet).stream()
                                .map(bottle -> new Fields.Option(bottle.id().toString(), words(bottle, house)))
                                .toList()
                        : List.of());
        model.addAttribute("smells", Smell.values());
        model.addAttribute("covers", COVERS);
        model.addAttribute("moulds", MOULDS);
        model.addAttribute("ruins", Ruin.values());
        return "tend/batch";
    }

    private static String words(Stock.OfCarrier bottle, House house) {
        return "%s, %s left, %s"
                .formatted(
                        bottle.name(),
                        house.volume(bottle.volumeLeft()),
                        bottle.opened()
                                .map(day -> "opened " + house.shortDay(day))
                                .orElse("sealed"));
    }

    /** What went in cost, in a sentence of its own; nothing where no price is known. */
    String whatItCost(BatchSheet sheet, House house) {
        return costs.ofBatch(sheet.id())
                .map(cost -> " What went in cost %s.".formatted(house.money(cost.minor())))
                .orElse("");
    }

    /** Bottles in stock of the oil a batch stands in. */
    List<Stock.OfCarrier> sameOil(BatchSheet sheet) {
        return sheet.plan().request().carriers().parts().stream()
                .map(part -> part.carrier().kind())
                .distinct()
                .flatMap(kind -> stores.carriers(kind).stream())
                .toList();
    }

    private static JarDrawing drawing(BatchSheet sheet) {
        double scale = JarDrawing.scaleToFit(sheet.course().charge().vessel(), PICTURE_WIDTH, PICTURE_HEIGHT);
        return sheet.drawing(scale);
    }
}
