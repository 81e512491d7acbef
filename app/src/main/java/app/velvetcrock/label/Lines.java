package app.velvetcrock.label;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.label.LabelLine;
import app.velvetcrock.core.label.LabelLine.Role;
import app.velvetcrock.core.label.Says;
import app.velvetcrock.core.label.Truth;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.cupboard.CupboardLabels;
import app.velvetcrock.labelled.LabelLook;
import app.velvetcrock.labelled.Printed.Kind;
import app.velvetcrock.labelled.Saying;
import app.velvetcrock.labelled.Truths;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.tend.JarLabels;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.StringJoiner;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What anything's label says, line by line. */
@Component
class Lines {

    private final JarLabels jars;
    private final CupboardLabels cupboard;
    private final Stores stores;
    private final Batches batches;
    private final Materia materia;
    private final Catalogue catalogue;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    Lines(
            JarLabels jars,
            CupboardLabels cupboard,
            Stores stores,
            Batches batches,
            Materia materia,
            Catalogue catalogue,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.jars = jars;
        this.cupboard = cupboard;
        this.stores = stores;
        this.batches = batches;
        this.materia = materia;
        this.catalogue = catalogue;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /** What it says; {@code refused} why it is not printed so, empty where it is. */
    record Said(String title, Truth truth, List<LabelLine> lines, String refused, Saying saying) {}

    /** Reads together what the queue asks for, so that as much is asked of a hundred things as of one. */
    void ahead(List<Queue.Wanted> wanted) {
        Set<UUID> jars = new LinkedHashSet<>();
        List<UUID> lots = new ArrayList<>();
        wanted.forEach(one -> (one.kind() == Kind.LOT || one.kind() == Kind.LID ? lots : jars).add(one.id()));
        jars.addAll(cupboard.ahead(lots));
        batches.standingAnd(jars);
    }

    /** With its code, by which it is found when it is typed; without one where that is empty. */
    Said of(Queue.Wanted wanted, LabelLook look, String code) {
        Saying saying = saying(wanted, look);
        List<LabelLine> lines = new ArrayList<>(saying.says().lines());
        if (!code.isEmpty() && !(saying.says() instanceof Says.LidDot)) {
            withCode(lines, code);
        }
        return new Said(saying.says().name(), saying.truth(), lines, saying.refused(wanted.sale()), saying);
    }

    /** Beside the batch, where that stands by itself; a row of its own is a row less for words. */
    private static void withCode(List<LabelLine> lines, String code) {
        for (int at = 0; at < lines.size(); at++) {
            LabelLine line = lines.get(at);
            if (line.role() == Role.BATCH) {
                lines.set(at, LabelLine.of(Role.BATCH, "%s, label %s".formatted(line.text(), code)));
                return;
            }
        }
        lines.add(LabelLine.of(Role.BATCH, "label " + code));
    }

    private Saying saying(Queue.Wanted wanted, LabelLook look) {
        UUID id = wanted.id();
        return switch (wanted.kind()) {
            case BATCH -> jars.jar(id);
            case DOT -> jars.dot(id);
            case SHEET -> jars.sheet(id);
            case LID -> cupboard.lid(id);
            case LOT -> {
                if (cupboard.isGood(id)) {
                    yield cupboard.good(id, wanted.sale());
                }
                Stock.OfLot lot = stores.lot(id);
                yield lot.kind() == LotKind.INFUSED_OIL ? cupboard.oil(id, wanted.sale()) : bag(lot, look);
            }
        };
    }

    /** Of a bag, a rack or a bottle of the stores. */
    private Saying bag(Stock.OfLot lot, LabelLook look) {
        House house = households.current();
        List<Told> open = conditions.open();
        StringJoiner of = new StringJoiner(", ");
        if (lot.kind() == LotKind.HERB) {
            materia.herb(lot.kindKey())
                    .or(() -> catalogue.herbs().stream()
                            .filter(kind -> kind.key().equals(lot.kindKey()))
                            .findFirst())
                    .map(HerbKind::botanical)
                    .ifPresent(of::add);
        }
        lot.herb()
                .ifPresent(herb -> of.add("%s %s, %s"
                        .formatted(
                                herb.moisture().word(),
                                herb.part().word(),
                                herb.cut().word())));
        StringJoiner dates = new StringJoiner(", ");
        lot.acquired()
                .ifPresent(day -> dates.add(
                        "%s %s".formatted(lot.origin().isPicked() ? "gathered" : "came in", house.date(day))));
        if (!lot.cameFrom().isBlank()) {
            dates.add("from " + lot.cameFrom());
        }
        lot.opened().ifPresent(day -> dates.add("opened " + house.date(day)));
        lot.bestBefore().ifPresent(day -> dates.add("best before " + house.date(day)));
        return new Saying(
                new Says.Bag(
                        Told.marks(open, lot.id())
                                .map(mark -> mark.substring(2) + ": keep back")
                                .toList(),
                        lot.name(),
                        of.toString(),
                        "%s on %s".formatted(lot.unit().words(lot.left()), house.date(house.dayOf(clock.instant()))),
                        dates.toString(),
                        "",
                        look.line().isEmpty()
                                ? house.settings().name()
                                : "%s. %s".formatted(house.settings().name(), look.line())),
                Truths.of(lot.id(), lot.name(), lot.bestBefore(), open));
    }
}
