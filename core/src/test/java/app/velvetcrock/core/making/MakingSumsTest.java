package app.velvetcrock.core.making;

import static app.velvetcrock.core.Kept.number;

import app.velvetcrock.core.Kept;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The sums of the pan on a grid, with both sides of every limit. */
class MakingSumsTest {

    private static final Setting SETS = Setting.shipped();
    private static final Temperature ROOM = Temperature.ofCelsius(20);
    private static final Formula.Stuff OIL = new Formula.Stuff("rapeseed", "oil", Formula.Role.OIL, 0);
    private static final Formula.Stuff FIRM_OIL = new Formula.Stuff("own", "own", Formula.Role.OIL, 0.2);
    private static final Formula.Stuff WAX = stuff("beeswax", Formula.Role.WAX);
    private static final Formula.Stuff SOFT_WAX = new Formula.Stuff("soft", "soft", Formula.Role.WAX, 0.16);
    private static final Formula.Stuff CANDELILLA = stuff("candelilla", Formula.Role.WAX);
    private static final Formula.Stuff COCOA = stuff("cocoa-butter", Formula.Role.BUTTER);
    private static final Formula.Stuff SHEA = stuff("shea", Formula.Role.BUTTER);

    private final Materia materia = Materia.shipped();
    private final Kept kept = new Kept();

    @Test
    void meltsAreReckonedAsKept() {
        ceilings();
        fillings();
        coolings();
        corrections();
        kinds();
        melts();
        kept.isAsKept("making-sums.txt");
    }

    private static Formula.Stuff stuff(String key, Formula.Role role) {
        return new Formula.Stuff(key, key, role, SETS.equivalent(key, ROOM));
    }

    private static Mass grams(double grams) {
        return Mass.ofGrams(grams);
    }

    private static Formula melt(double oil, double wax) {
        return new Formula(List.of(OIL.of(grams(oil)), WAX.of(grams(wax))));
    }

    private void ceilings() {
        kept.rule(
                "Each essential oil alone in 100 g: the most it may be and why, whether twenty drops are over, how many are within");
        for (SupplyKind oil : materia.supplies()) {
            if (oil.type() != SupplyType.ESSENTIAL_OIL) {
                continue;
            }
            StringBuilder line = new StringBuilder();
            for (Use use : List.of(Use.ADULT_SKIN, Use.FACE, Use.CHILD_6_14, Use.CHILD_2_5, Use.BABY)) {
                Ceilings one = Ceilings.of(List.of(Drops.of(oil, 20)), grams(100), use, false);
                Ceilings.Line is = one.lines().get(0);
                line.append(" %s: %s, %s, %s%.0f;"
                        .formatted(
                                use,
                                number(is.most()),
                                is.why(),
                                one.isOver() ? "over, " : "",
                                one.within().get(0).count()));
            }
            kept.add("%s:%s", oil.key(), line);
        }
        kept.rule("Several together: sums, what is left within, for whom it would be");
        together("60 of lavender", 132, drops("eo-lavender", 60));
        together("60 of lavender", 133, drops("eo-lavender", 60));
        together("two bottles of one oil", 132, drops("eo-lavender", 30), drops("eo-lavender", 30));
        together("lemon and bergamot", 150, drops("eo-lemon", 68), drops("eo-bergamot", 5));
        together("lemon", 150, drops("eo-lemon", 68));
        together("lemon", 149, drops("eo-lemon", 69));
        together("clove and lavender", 100, drops("eo-clove-bud", 10), drops("eo-lavender", 20));
        together("none at all", 100);
        Ceilings nursing = Ceilings.of(List.of(drops("eo-lavender", 1)), grams(100), Use.ADULT_SKIN, true);
        kept.add(
                "a kind that takes none: %s, %s",
                nursing.isOver(), nursing.lines().get(0).why());
    }

    private Drops drops(String key, double count) {
        return Drops.of(materia.supply(key).orElseThrow(), count);
    }

    private void together(String name, double rest, Drops... drops) {
        Ceilings one = Ceilings.of(List.of(drops), grams(rest), Use.ADULT_SKIN, false);
        kept.add(
                "%s in %s g: sum %s of %s, sun %s, %s; within %s; %s",
                name,
                rest,
                number(one.sum()),
                number(one.ceiling()),
                one.photo().map(Kept::number).orElse("-"),
                one.isOver() ? "over" : "within",
                one.within().stream()
                        .map(is -> is.oil().key() + " " + is.count())
                        .toList(),
                Ceilings.byUser(List.of(drops), grams(rest), false).stream()
                        .map(user -> user.use() + " " + user.ceiling() + " " + user.within())
                        .toList());
        kept.add(
                "%s, of a kind that takes none: %s",
                name,
                Ceilings.byUser(List.of(drops), grams(rest), true).stream()
                        .filter(Ceilings.User::within)
                        .map(user -> user.use() + " " + user.ceiling())
                        .toList());
    }

    private void fillings() {
        kept.rule(
                "A melt over containers so that the least is left, of the fullest ways the one with the fewest pieces");
        Container tin = new Container("tin 60", Volume.ofMillilitres(60), false);
        Container small = new Container("tin 15", Volume.ofMillilitres(15), false);
        Container tube = new Container("tube 5", Volume.ofMillilitres(5), false);
        Container mould = new Container("mould 40", Volume.ofMillilitres(40), true);
        List<Filling.Stock> stock = List.of(
                new Filling.Stock(small, 4),
                new Filling.Stock(tin, 3),
                new Filling.Stock(tube, 2),
                new Filling.Stock(mould, 0));
        for (double melt : new double[] {
            0.5, 4.2, 4.3, 12, 12.6, 13, 25, 51, 51.06, 60, 64, 76, 102.2, 153, 153.2, 200, 215, 400, 25000
        }) {
            for (boolean whipped : new boolean[] {false, true}) {
                Filling one = Filling.best(grams(melt), stock, 0.038, whipped);
                kept.add(
                        "%s g%s: %s, %d in all, hold back %s, left %s, the rest into %s",
                        melt,
                        whipped ? " whipped" : "",
                        one.pours().stream()
                                .map(pour ->
                                        pour.count() + " " + pour.container().name() + " "
                                                + number(pour.each().grams()))
                                .toList(),
                        one.count(),
                        number(one.holdBack().grams()),
                        number(one.left().grams()),
                        one.forTheRest(stock, whipped).map(Container::name).orElse("-"));
            }
            Filling moulds = Filling.into(grams(melt), new Filling.Stock(mould, 6), 0.077, false);
            kept.add(
                    "%s g into moulds: %d, left %s",
                    melt, moulds.count(), number(moulds.left().grams()));
        }
        kept.add(
                "shrinkage: salve %s, bar %s, shea %s; wanted %s",
                number(Filling.shrinkage(melt(85, 15))),
                number(Filling.shrinkage(
                        new Formula(List.of(OIL.of(grams(40)), WAX.of(grams(30)), COCOA.of(grams(30)))))),
                number(Filling.shrinkage(new Formula(List.of(OIL.of(grams(70)), SHEA.of(grams(30)))))),
                number(Filling.wanted(3, tin, 0.038, false).grams()));
    }

    private void coolings() {
        kept.rule(
                "Cooling by Newton's law, learned of a later reading between two minutes and ten hours; pouring by the wax");
        for (double mass : new double[] {0.001, 50, 200, 1600}) {
            for (Cooling.Where where : Cooling.Where.values()) {
                Cooling one = Cooling.of(grams(mass), Temperature.ofCelsius(75), ROOM, where);
                kept.add(
                        "%s g %s: %s, half an hour %s, at 50 %s, at 20 %s, at 75 %s, twice as slowly %s",
                        mass,
                        where,
                        one.tau(),
                        number(one.at(Duration.ofMinutes(30)).celsius()),
                        one.until(Temperature.ofCelsius(50)),
                        one.until(ROOM),
                        one.until(Temperature.ofCelsius(75)),
                        one.times(2).tau());
            }
        }
        Cooling one = Cooling.of(grams(200), Temperature.ofCelsius(75), ROOM, Cooling.Where.IN_AIR);
        double[][] later = {
            {20, 10},
            {20.001, 10},
            {75, 10},
            {74.9, 10},
            {60, 0},
            {60, -5},
            {60, 10},
            {22, 5},
            {55, 0.9},
            {55, 0.905},
            {74, 11},
            {74, 10.8},
            {73, 22},
            {73, 22.3}
        };
        for (double[] at : later) {
            kept.add(
                    "%s at %s min: %s",
                    at[0],
                    at[1],
                    one.through(Temperature.ofCelsius(at[0]), Duration.ofMillis(Math.round(at[1] * 60_000)))
                            .map(Cooling::tau));
        }
        kept.add(
                "own: %s %s %s %s",
                Cooling.own(List.of()),
                Cooling.own(List.of(0.1)),
                Cooling.own(List.of(9.0, 1.0)),
                Cooling.own(List.of(9.0, 1.0, 1.0, 1.0, 1.0, 1.0)));
        for (double wax : new double[] {0, 4.9, 5, 15, 30, 40, 60}) {
            kept.add(
                    "%s %% of wax: %s; with candelilla %s",
                    wax,
                    Pouring.of(melt(100 - wax, wax)).map(is -> "%s %s %s %s, %s"
                            .formatted(
                                    is.congeal().celsius(),
                                    is.drops().celsius(),
                                    is.tooLate().celsius(),
                                    is.honey().celsius(),
                                    is.window(one).map(window -> window + " " + window.tins()))),
                    Pouring.of(new Formula(List.of(OIL.of(grams(90)), CANDELILLA.of(grams(10))))));
        }
    }

    private void corrections() {
        kept.rule(
                "What brings a melt to a firmness; nothing where it is there to a twentieth, or the wax or oil never would");
        for (double target : new double[] {0.1, 10, 14.94, 14.96, 15, 15.04, 15.06, 16, 20, 30}) {
            kept.add(
                    "15 to %s: by its own %s; soft wax %s; firm oil %s; candelilla %s",
                    target,
                    said(Correction.of(melt(85, 15), target)),
                    said(Correction.of(melt(85, 15), target, SOFT_WAX, OIL)),
                    said(Correction.of(melt(85, 15), target, WAX, FIRM_OIL)),
                    said(Correction.of(melt(85, 15), target, CANDELILLA, OIL)));
        }
        kept.add(
                "to nothing: %s; no oil: %s; its own candelilla: %s; no wax: %s",
                said(Correction.of(melt(85, 15), 0)),
                said(Correction.of(new Formula(List.of(WAX.of(grams(20)))), 15)),
                said(Correction.of(new Formula(List.of(OIL.of(grams(90)), CANDELILLA.of(grams(5)))), 15)),
                said(Correction.of(new Formula(List.of(OIL.of(grams(70)), SHEA.of(grams(30)))), 15)));
    }

    private static String said(Optional<Correction> correction) {
        return correction
                .map(one -> number(one.add().mass().grams()) + " "
                        + one.add().stuff().key() + " F " + number(one.then().value()))
                .orElse("-");
    }

    private void kinds() {
        kept.rule("Kinds of things made, and what a firmness feels like");
        for (Kind kind : Kind.shipped()) {
            kept.add(
                    "%s: %s, keeps cold %s, moulded %s, for %s; 59 mL %s, 60 mL %s, 305 mL %s",
                    kind.key(),
                    kind.firmness(),
                    kind.daysCold(),
                    kind.isMoulded(),
                    kind.judgedFor(Use.ADULT_SKIN),
                    kind.makes(Volume.ofMillilitres(59)),
                    kind.makes(Volume.ofMillilitres(60)),
                    kind.makes(Volume.ofMillilitres(305)));
        }
        for (FirmnessBand band : FirmnessBand.values()) {
            kept.add(
                    "%s from %s: %s, a little under %s",
                    band.word(),
                    band.startInclusive(),
                    FirmnessBand.of(band.startInclusive()),
                    FirmnessBand.of(band.startInclusive() - 0.01));
        }
    }

    private void melts() {
        kept.rule(
                "A melt as it is said: wax worked out, or said as a share, a weight or by the oil; and why nothing can be made so");
        List<HowMuch> muches = List.of(
                new HowMuch.Weight(grams(100)),
                new HowMuch.Count(3, new Container("tin", Volume.ofMillilitres(60), false)),
                new HowMuch.AllTheOil(grams(80)));
        List<Optional<MeltRequest.Share>> shares = List.of(
                Optional.empty(),
                Optional.of(new MeltRequest.Share.Of(0.2)),
                Optional.of(new MeltRequest.Share.Weighed(grams(12))),
                Optional.of(new MeltRequest.Share.PerOil(0.25)),
                Optional.of(new MeltRequest.Share.Of(1)));
        List<MeltRequest.Wish> butters = List.of(
                new MeltRequest.Wish(COCOA, new MeltRequest.Share.Of(0.1)),
                new MeltRequest.Wish(SHEA, new MeltRequest.Share.Weighed(grams(15))));
        for (HowMuch much : muches) {
            for (Optional<MeltRequest.Share> share : shares) {
                for (List<MeltRequest.Wish> others : List.of(List.<MeltRequest.Wish>of(), butters)) {
                    for (Formula.Stuff oil : List.of(OIL, FIRM_OIL)) {
                        kept.add(
                                "%s, wax %s, %d butters, in %s: %s",
                                much,
                                share,
                                others.size(),
                                oil.key(),
                                melt(new MeltRequest(much, oil, Optional.of(WAX), share, others, 15, false)));
                    }
                }
            }
        }
        kept.add(
                "no wax at all: %s",
                melt(new MeltRequest(muches.get(0), OIL, Optional.empty(), Optional.empty(), butters, 15, false)));
    }

    private static String melt(MeltRequest asked) {
        try {
            Melt melt = Melt.of(asked);
            return melt.formula().parts().stream()
                            .map(part -> part.stuff().key() + " "
                                    + number(part.mass().grams()))
                            .toList()
                    + " F " + number(melt.firmness().value()) + (melt.tooHard() ? ", too hard" : "")
                    + "; "
                    + melt.working().terms().stream()
                            .map(term ->
                                    term.name() + " " + number(term.figure().value()))
                            .toList();
        } catch (Melt.CannotBe wrong) {
            return wrong.field() + ": " + wrong.getMessage();
        }
    }
}
