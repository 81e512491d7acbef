package app.velvetcrock.pan;

import app.velvetcrock.batch.OwnRights;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Formula.Role;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.making.Pouring;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.melt.Mix;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.core.pan.KeptBack;
import app.velvetcrock.core.working.Working;
import app.velvetcrock.draw.PanPicture;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Costs;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The Pan's plan, worded before it is drawn.
 *
 * @param edges the upper edge of each stratum whose share is a field of the sentence: "field|y|lower y|name", parted by ";"
 * @param firm what it sets like, with what was wanted where that cannot be
 * @param window when it is poured; by eye where that is not known
 * @param rest what stays in the pan; empty where nothing worth naming does
 * @param refused why it is not weighed in at all; empty where it may be
 * @param noted what is only noted, folded away
 * @param within where the most drops that would be within are taken; null where they are within
 */
public record PanPage(
        String whole,
        PanPicture.Melt melt,
        String edges,
        List<Part> parts,
        PanPicture.Scale scale,
        String firm,
        PanPicture.Cool cool,
        String window,
        List<Tin> tins,
        String poured,
        String rest,
        List<Card> cards,
        List<Drop> drops,
        String dropsSum,
        List<Drop> users,
        @Nullable String within,
        List<Caution> cautions,
        List<Caution> noted,
        @Nullable String over,
        List<String> refused,
        List<String> missing,
        boolean fromNowhere,
        boolean canStart) {

    /** A part of the melt: how much, what, and how that is measured. */
    public record Part(String amount, String what, double labelY) {}

    /** A figure with what it rests on. */
    public record Card(String id, String big, String small, @Nullable Working working, String ask) {}

    /** A container, drawn to the share of it that is filled. */
    public record Tin(boolean mould, double level) {

        public String outline() {
            return mould ? "M2 4 H6 L10 37 H42 L46 4 H50" : "M1 3 H51 M4 3 V33 q0 4 4 4 H44 q4 0 4 -4 V3";
        }
    }

    /** An essential oil against its ceiling. */
    public record Drop(String what, String percent, String most, String mark) {}

    /** Whose page it is, and the containers there are. */
    record At(Optional<Long> bought, Optional<Costs.Cost> cost, House house, List<PanShelves.Tin> here) {}

    /** The kind whose oils are measured in a jug. */
    private static final String BY_VOLUME = "massage-blend";

    private static final int DRAWN_TINS = 24;
    private static final double PERCENT = 100;
    private static final double WORTH_NAMING = 1;

    static PanPage of(MixPlan planned, OwnRights.Learned learned, PanForm form, At at) {
        House house = at.house();
        List<PanShelves.Tin> here = at.here();
        Mix read = planned.read();
        Formula formula = read.melt().formula();
        PanPicture.Melt melt = PanPicture.Melt.of(formula);
        return new PanPage(
                house.mass(planned.whole()),
                melt,
                edges(read, formula, melt),
                melt.strata().stream()
                        .map(stratum -> part(read, formula, stratum, house))
                        .toList(),
                scale(read.melt().firmness().value(), learned, house),
                firm(read, learned),
                PanPicture.Cool.of(planned.cooling(), planned.pouring(), Optional.empty()),
                window(planned, house),
                tins(planned),
                Stream.of(makes(planned), planned.filling().map(filling -> poured(filling, house)))
                        .flatMap(Optional::stream)
                        .collect(Collectors.joining("; ")),
                planned.filling().map(filling -> rest(planned, here, house)).orElse(""),
                PanCards.of(planned, at),
                PanDrops.of(planned),
                PanDrops.sum(planned.ceilings(), read),
                PanDrops.users(planned),
                planned.ceilings().isOver() ? PanDrops.within(planned, form) : null,
                // What is refused is said once, at the head.
                planned.cautions().stream()
                        .filter(PanPage::isSaidAloud)
                        .filter(caution -> caution.level() != Level.REFUSE)
                        .toList(),
                planned.cautions().stream()
                        .filter(caution -> !isSaidAloud(caution))
                        .toList(),
                planned.over().map(KeptBack::said).orElse(null),
                planned.refused(),
                planned.missing().stream().map(MixPlan.Missing::words).toList(),
                planned.isFromNowhere() && planned.canStart(),
                planned.canStart());
    }

    private static boolean isSaidAloud(Caution caution) {
        return caution.onLabel() || caution.level() != Level.NOTE;
    }

    private static String edges(Mix read, Formula formula, PanPicture.Melt melt) {
        List<String> edges = new ArrayList<>();
        for (PanPicture.Stratum stratum : melt.strata()) {
            Formula.Stuff stuff = formula.parts().get(stratum.at()).stuff();
            String field = "";
            if (read.wax().filter(wax -> wax.key().equals(stuff.key())).isPresent()) {
                field = "share";
            }
            for (int i = 0; i < read.others().size(); i++) {
                field = read.others().get(i).key().equals(stuff.key()) ? "with[%d].share".formatted(i) : field;
            }
            if (!field.isEmpty()) {
                edges.add("%s|%s|%s|%s".formatted(field, stratum.y(), stratum.y() + stratum.height(), stuff.name()));
            }
        }
        return String.join(";", edges);
    }

    private static Part part(Mix read, Formula formula, PanPicture.Stratum stratum, House house) {
        Formula.Part part = formula.parts().get(stratum.at());
        String share = house.percent(formula.shareOf(part));
        PanThing thing = Objects.requireNonNull(read.things().get(part.stuff().key()));
        String measured = part.stuff().role() == Role.OIL
                ? ", " + house.volume(thing.density().volumeOf(part.mass()))
                : "";
        String amount = read.kind().key().equals(BY_VOLUME)
                ? "%s, %s".formatted(house.volume(thing.density().volumeOf(part.mass())), house.mass(part.mass()))
                : house.mass(part.mass()) + measured;
        return new Part("%s, %s".formatted(amount, share), part.stuff().name(), stratum.labelY());
    }

    public static PanPicture.Scale scale(double firmness, OwnRights.Learned learned, House house) {
        List<PanPicture.Mark> marks = new ArrayList<>();
        marks.add(new PanPicture.Mark(firmness, Decimals.upTo(firmness, 1) + " this melt", true));
        learned.past().stream()
                .limit(3)
                .forEach(past -> marks.add(new PanPicture.Mark(
                        past.firmness(),
                        "%s %s, %s"
                                .formatted(Decimals.upTo(past.firmness(), 1), past.felt(), house.shortDay(past.on())),
                        false)));
        return PanPicture.Scale.of(
                firmness, marks, learned.right().map(right -> new double[] {right.least(), right.most()}));
    }

    private static String firm(Mix read, OwnRights.Learned learned) {
        double value = read.melt().firmness().value();
        String band = read.melt().firmness().band().word();
        if (read.melt().tooHard()) {
            return "Firmness %s, %s: what is said sets harder than the firmness %s wanted, even without wax."
                    .formatted(Decimals.upTo(value, 1), band, Decimals.upTo(read.firmness(), 1));
        }
        Optional<OwnRight> own = learned.right();
        return "Firmness %s, %s%s"
                .formatted(
                        Decimals.upTo(value, 1),
                        band,
                        own.map(right -> "; right for you is about %s, from %d %s"
                                        .formatted(
                                                Decimals.upTo(right.target(), 1),
                                                right.tests(),
                                                right.tests() == 1 ? "test" : "tests"))
                                .orElse(""));
    }

    public static String minutes(Duration duration) {
        long seconds = duration.toSeconds();
        return seconds < 600 && seconds % 60 != 0
                ? Decimals.upTo(Math.round(seconds / 6.0) / 10.0, 1)
                : String.valueOf(Math.round(seconds / 60.0));
    }

    private static String window(MixPlan planned, House house) {
        Optional<Pouring.Window> window = planned.pouring().flatMap(at -> at.window(planned.cooling()));
        if (window.isEmpty()) {
            return planned.read().melt().firmness().value() < 6
                    ? "It does not set: pour when it pleases."
                    : "Where it begins to set is not known of this melt: pour at the first haze at the rim.";
        }
        Pouring pouring = planned.pouring().orElseThrow();
        int tins = planned.filling().map(Filling::count).orElse(0);
        return "Drops go in and it is poured between %s and %s: from %s to %s minutes off the heat%s."
                        .formatted(
                                house.temperature(rounded(pouring.drops())),
                                house.temperature(rounded(pouring.tooLate())),
                                minutes(window.get().from()),
                                minutes(window.get().until()),
                                tins > window.get().tins()
                                        ? ", time for %d of the %d: pour in lots, the rest on the bath"
                                                .formatted(window.get().tins(), tins)
                                        : "")
                + planned.ownCooling()
                        .filter(own -> Math.abs(own - 1) > 0.05)
                        .map(own -> " Yours cool %s times as %s as their weight foretells."
                                .formatted(Decimals.upTo(own < 1 ? 1 / own : own, 1), own < 1 ? "fast" : "slowly"))
                        .orElse("");
    }

    public static app.velvetcrock.core.measure.Temperature rounded(app.velvetcrock.core.measure.Temperature at) {
        return app.velvetcrock.core.measure.Temperature.ofCelsius(Math.round(at.celsius()));
    }

    /** Pads or sessions, by the volume of all that is melted. */
    private static Optional<String> makes(MixPlan planned) {
        double millilitres = planned.read().melt().formula().parts().stream()
                .mapToDouble(part -> Objects.requireNonNull(
                                planned.read().things().get(part.stuff().key()))
                        .density()
                        .volumeOf(part.mass())
                        .millilitres())
                .sum();
        return planned.read().kind().makes(Volume.ofMillilitres(millilitres));
    }

    private static List<Tin> tins(MixPlan planned) {
        List<Tin> tins = new ArrayList<>();
        planned.filling().ifPresent(filling -> {
            filling.pours().forEach(pour -> {
                for (int i = 0; i < Math.min(DRAWN_TINS, pour.count()); i++) {
                    tins.add(new Tin(pour.container().mould(), pour.container().mould() ? 1 : 0.92));
                }
            });
            planned.read().tin().ifPresent(tin -> {
                double full =
                        tin.container().filled(planned.read().kind().whipped()).grams();
                if (filling.left().grams() > WORTH_NAMING && tins.size() < DRAWN_TINS) {
                    tins.add(new Tin(
                            tin.container().mould(),
                            0.92 * Math.min(1, filling.left().grams() / full)));
                }
            });
        });
        return tins;
    }

    static String poured(Filling filling, House house) {
        if (filling.count() == 0) {
            return "It does not fill one of them.";
        }
        String pours = filling.pours().stream()
                .map(pour -> "%d × %s, %s each"
                        .formatted(pour.count(), pour.container().name(), house.mass(pour.each())))
                .collect(Collectors.joining("; "));
        return pours
                + (filling.holdBack().grams() < WORTH_NAMING
                        ? ""
                        : "; hold %s back to top the hollows".formatted(house.mass(filling.holdBack())));
    }

    private static String rest(MixPlan planned, List<PanShelves.Tin> here, House house) {
        Filling filling = planned.filling().orElseThrow();
        if (filling.left().grams() < WORTH_NAMING) {
            return "";
        }
        String into = filling.forTheRest(
                        here.stream()
                                .filter(tin -> !tin.isBottle())
                                .map(tin -> new Filling.Stock(tin.container(), tin.left()))
                                .toList(),
                        planned.read().kind().whipped())
                .map(container -> ": enough for half or more of a " + container.name())
                .orElse(": remelt it with the next");
        return "%s stays in the pan%s".formatted(house.mass(filling.left()), into);
    }
}
