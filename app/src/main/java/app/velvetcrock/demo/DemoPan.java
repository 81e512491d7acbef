package app.velvetcrock.demo;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Correction;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.Fault;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.core.pan.MakingStep;
import app.velvetcrock.hob.Remelting;
import app.velvetcrock.melt.PanDeeds;
import app.velvetcrock.melt.PanPours;
import app.velvetcrock.pan.PanDesk;
import app.velvetcrock.pan.PanForm;
import app.velvetcrock.recipes.KeptFormulas;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Stores;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What the demo's people made of their oils, through the services that real people use. */
@Component
class DemoPan {

    private final PanDesk desk;
    private final PanDeeds deeds;
    private final PanPours pours;
    private final Remelting remelting;
    private final KeptFormulas formulas;
    private final Makings makings;
    private final Stores stores;
    private final Goods goods;
    private final DemoHands hands;
    private final Clock clock;

    DemoPan(
            PanDesk desk,
            PanDeeds deeds,
            PanPours pours,
            Remelting remelting,
            KeptFormulas formulas,
            Makings makings,
            Stores stores,
            Goods goods,
            DemoHands hands,
            Clock clock) {
        this.remelting = remelting;
        this.formulas = formulas;
        this.desk = desk;
        this.deeds = deeds;
        this.pours = pours;
        this.makings = makings;
        this.stores = stores;
        this.goods = goods;
        this.hands = hands;
        this.clock = clock;
    }

    /** What of which oil. */
    private record Sentence(String kind, String oil, String much, String into, String firm) {

        PanForm form(List<PanForm.Row> with, List<PanForm.Row> add) {
            return new PanForm(
                    null, much, into, kind, kind, oil, "", "", firm, "", "ADULT_SKIN", "", "", with, add, null);
        }
    }

    /** Two years of makings: one that went soft in August, one remelted, tins given and sold, and one in the pan now. */
    void fill() {
        String tin = container("Round tin");
        String mould = container("Bar mould");
        String sunflower = carrier("sunflower-high-oleic");
        years(tin, mould, sunflower);
        UUID soft = made(new Sentence("salve", sunflower, "6", tin, "13"), List.of(), hands.at(142, 10, 0), 6, tin);
        does(soft, new PanDeed.TurnOut(Felt.SOFT, List.of(Fault.SWEATING), "soft in August"), hands.at(106, 9, 0));
        take(soft, 2, Cause.GIVEN, hands.at(138, 12, 0));
        take(soft, 3, Cause.SOLD, hands.at(130, 11, 0));
        UUID firmer = made(new Sentence("salve", sunflower, "8", tin, "16"), List.of(), hands.at(96, 10, 0), 8, tin);
        does(firmer, new PanDeed.TurnOut(Felt.RIGHT, List.of(), "spreads well, stays in the tin"), hands.at(80, 9, 0));
        take(firmer, 5, Cause.SOLD, hands.at(75, 11, 0));
        formulas.keepMaking(firmer);
        UUID bar = bar(mould, sunflower);
        take(bar, 2, Cause.GIVEN, hands.at(40, 12, 0));
        UUID balm = made(
                new Sentence("firm-salve", carrier("rapeseed"), "5", tin, "19"),
                List.of(new PanForm.Row(supply("eo-juniper"), "20 drops")),
                hands.at(24, 18, 30),
                5,
                tin);
        take(balm, 1, Cause.DRAWN, hands.at(20, 8, 0));
        inThePan(new Sentence("salve", carrier("rapeseed"), "4", tin, ""));
    }

    /** What was made and used up before this summer, kind by kind, each as it was felt. */
    private void years(String tin, String mould, String oil) {
        String pot = container("Lip pot");
        PanForm.Row cocoa = new PanForm.Row(carrier("cocoa-butter"), "16 %");
        PanForm.Row coconut = new PanForm.Row(carrier("coconut"), "15 %");
        used(new Past(
                new Sentence("salve", oil, "4", tin, "14"), List.of(), 705, 4, Felt.SOFT, "too soft on a warm day"));
        used(new Past(
                new Sentence("lip-balm", oil, "12", pot, ""),
                List.of(cocoa, coconut),
                640,
                12,
                Felt.RIGHT,
                "holds in a pocket"));
        used(new Past(
                new Sentence("pomade", oil, "2", tin, ""),
                List.of(
                        new PanForm.Row(carrier("coconut"), "16 %"),
                        new PanForm.Row(carrier("cocoa-butter"), "11 %"),
                        new PanForm.Row(carrier("shea"), "10 %")),
                560,
                2,
                Felt.RIGHT,
                "for the fiddler's hair"));
        used(new Past(
                new Sentence("whipped-butter", oil, "4", tin, ""),
                List.of(new PanForm.Row(carrier("shea"), "65 %"), new PanForm.Row(carrier("coconut"), "10 %")),
                480,
                4,
                Felt.RIGHT,
                "like cream till May"));
        used(new Past(
                new Sentence("salve", oil, "5", tin, "17"), List.of(), 400, 5, Felt.FIRM, "hard to get out in winter"));
        used(new Past(
                new Sentence("lotion-bar", oil, "4", mould, ""),
                List.of(new PanForm.Row(carrier("cocoa-butter"), "34 %")),
                330,
                4,
                Felt.RIGHT,
                ""));
        remelted(new Sentence("salve", oil, "4", tin, "13"), tin);
    }

    /** A making that is used up. */
    private record Past(Sentence sentence, List<PanForm.Row> with, int daysAgo, int count, Felt felt, String words) {}

    private void used(Past past) {
        Instant at = hands.at(past.daysAgo(), 15, 0);
        UUID id = begin(past.sentence().form(past.with(), List.of()), at);
        boolean whipped = past.sentence().kind().equals("whipped-butter");
        if (whipped) {
            does(id, new PanDeed.Did(MakingStep.MELT), at.plus(Duration.ofMinutes(20)));
            does(
                    id,
                    new PanDeed.OffHeat(Temperature.ofCelsius(60), Cooling.Where.IN_AIR),
                    at.plus(Duration.ofMinutes(22)));
            does(id, new PanDeed.Did(MakingStep.CHILL), at.plus(Duration.ofMinutes(50)));
            does(id, new PanDeed.Did(MakingStep.WHIP), at.plus(Duration.ofMinutes(58)));
            does(id, new PanDeed.Did(MakingStep.CHILL_AGAIN), at.plus(Duration.ofMinutes(69)));
            does(id, new PanDeed.Did(MakingStep.PEAKS), at.plus(Duration.ofMinutes(76)));
        } else {
            melted(id, at);
            does(id, new PanDeed.Read(Temperature.ofCelsius(58), Optional.empty()), at.plus(Duration.ofMinutes(50)));
        }
        pour(id, past.sentence().into(), past.count(), Optional.empty(), at.plus(Duration.ofMinutes(80)));
        does(id, new PanDeed.Did(MakingStep.SET), at.plus(Duration.ofHours(4)));
        does(id, new PanDeed.TurnOut(past.felt(), List.of(), past.words()), hands.at(past.daysAgo() - 12, 9, 0));
        int given = past.count() / 2;
        if (given > 0) {
            take(id, given, Cause.GIVEN, hands.at(past.daysAgo() - 8, 12, 0));
        }
        take(id, past.count() - given, Cause.DRAWN, hands.at(past.daysAgo() - 90, 12, 0));
    }

    /** Four tins that turned out soft, all melted again with more wax, and used up since. */
    private void remelted(Sentence sentence, String tin) {
        UUID first = made(sentence, List.of(), hands.at(250, 10, 0), 4, tin);
        does(first, new PanDeed.TurnOut(Felt.SOFT, List.of(), "runs on a warm sill"), hands.at(243, 9, 0));
        UUID lot = goods.inStock().stream()
                .filter(one -> one.batch().equals(first) && one.inPieces())
                .map(Stock.OfGood::id)
                .findFirst()
                .orElseThrow();
        Instant at = hands.at(242, 10, 0);
        UUID again = remelting.remelt(lot, 4, at(at));
        does(again, new PanDeed.Did(MakingStep.MELT), at.plus(Duration.ofMinutes(25)));
        Formula melt = makings.sheet(again).course().formula();
        Correction.of(melt, 16)
                .ifPresent(add -> does(
                        again,
                        new PanDeed.Correct(add.add(), Optional.of(UUID.fromString(wax()))),
                        at.plus(Duration.ofMinutes(30))));
        does(again, new PanDeed.Test(Felt.RIGHT), at.plus(Duration.ofMinutes(36)));
        does(
                again,
                new PanDeed.OffHeat(Temperature.ofCelsius(75), Cooling.Where.IN_AIR),
                at.plus(Duration.ofMinutes(38)));
        pour(again, tin, 4, Optional.empty(), at.plus(Duration.ofMinutes(64)));
        does(again, new PanDeed.Did(MakingStep.SET), at.plus(Duration.ofHours(3)));
        take(again, 4, Cause.SOLD, hands.at(225, 11, 0));
    }

    private String wax() {
        return stores.supplies(EnumSet.of(LotKind.WAX)).stream()
                .map(one -> one.id().toString())
                .findFirst()
                .orElseThrow();
    }

    /** Bars in thirds, with what stayed in the pan remelted for half a one. */
    private UUID bar(String mould, String oil) {
        PanForm form = new Sentence("soft-bar", oil, "260 g", mould, "")
                .form(List.of(new PanForm.Row(carrier("cocoa-butter"), "33 %")), List.of());
        Instant at = hands.at(52, 15, 0);
        UUID id = begin(form, at);
        melted(id, at);
        pour(id, mould, 6, Optional.empty(), at.plus(Duration.ofMinutes(70)));
        double left = goods.inStock().stream()
                .filter(good -> good.batch().equals(id) && !good.inPieces())
                .mapToDouble(good -> good.mass().grams())
                .sum();
        if (left > 1) {
            pour(id, mould, 1, Optional.of(Mass.ofGrams(Math.floor(left))), at.plus(Duration.ofMinutes(95)));
        }
        does(id, new PanDeed.Did(MakingStep.SET), at.plus(Duration.ofHours(4)));
        return id;
    }

    private UUID made(Sentence sentence, List<PanForm.Row> add, Instant at, int count, String tin) {
        UUID id = begin(sentence.form(List.of(), add), at);
        melted(id, at);
        makings.sheet(id)
                .plan()
                .additions()
                .forEach(one ->
                        does(id, new PanDeed.StirIn(one.addition().key(), false), at.plus(Duration.ofMinutes(62))));
        pour(id, tin, count, Optional.empty(), at.plus(Duration.ofMinutes(66)));
        does(id, new PanDeed.Did(MakingStep.SET), at.plus(Duration.ofHours(3)));
        return id;
    }

    private UUID begin(PanForm form, Instant at) {
        MakingPlan plan = desk.plan(form, at.atZone(DemoHands.ZONE).toLocalDate());
        return deeds.begin(plan, at(at));
    }

    private void melted(UUID id, Instant at) {
        does(id, new PanDeed.Did(MakingStep.MELT), at.plus(Duration.ofMinutes(30)));
        does(id, new PanDeed.Test(Felt.RIGHT), at.plus(Duration.ofMinutes(36)));
        does(id, new PanDeed.OffHeat(Temperature.ofCelsius(75), Cooling.Where.IN_AIR), at.plus(Duration.ofMinutes(38)));
    }

    /** Melted, found soft, made firmer, and off the heat a few minutes ago. */
    private void inThePan(Sentence sentence) {
        Instant now = clock.instant();
        UUID id = begin(
                sentence.form(List.of(), List.of(new PanForm.Row(supply("vitamin-e"), "1 g"))), now.minusSeconds(2700));
        does(id, new PanDeed.Did(MakingStep.MELT), now.minusSeconds(1500));
        does(id, new PanDeed.Test(Felt.SOFT), now.minusSeconds(1300));
        Makings.Sheet sheet = makings.sheet(id);
        Formula melt = sheet.course().formula();
        double firmer = melt.firmness().value() + 2;
        MakingPlan.Weighed wax = sheet.plan().weighed().stream()
                .filter(one -> one.part().stuff().role() == Formula.Role.WAX)
                .findFirst()
                .orElseThrow();
        Correction.of(melt, firmer, wax.part().stuff(), wax.part().stuff())
                .ifPresent(add -> does(id, new PanDeed.Correct(add.add(), wax.lot()), now.minusSeconds(1100)));
        does(id, new PanDeed.Test(Felt.RIGHT), now.minusSeconds(800));
        does(id, new PanDeed.OffHeat(Temperature.ofCelsius(76), Cooling.Where.IN_AIR), now.minusSeconds(480));
        does(id, new PanDeed.Read(Temperature.ofCelsius(66), Optional.empty()), now.minusSeconds(120));
    }

    private void pour(UUID id, String into, int count, Optional<Mass> each, Instant at) {
        MakingPlan.Into planned = makings.sheet(id).plan().into().orElseThrow();
        MakingPlan.Into filled = new MakingPlan.Into(planned.container(), count, Optional.of(UUID.fromString(into)));
        does(
                id,
                new PanDeed.Pour(
                        List.of(new PanDeed.Fill(filled, each.orElseGet(() -> pours.fills(id, planned.container()))))),
                at);
    }

    private void does(UUID id, PanDeed deed, Instant when) {
        deeds.done(id, Current.doing(deed, UUID.randomUUID(), when, ""));
    }

    private void take(UUID making, int count, Cause why, Instant at) {
        Stock.OfGood good = goods.inStock().stream()
                .filter(one -> one.batch().equals(making) && one.inPieces())
                .findFirst()
                .orElseThrow();
        goods.draw(good.id(), count, why, at);
    }

    private static Doing<?> at(Instant when) {
        return Current.doing("demo", UUID.randomUUID(), when, "");
    }

    private String container(String name) {
        return stores.supplies(EnumSet.of(LotKind.CONTAINER)).stream()
                .filter(one -> one.name().startsWith(name))
                .map(one -> one.id().toString())
                .findFirst()
                .orElseThrow();
    }

    private String supply(String key) {
        return stores.supplies(EnumSet.of(LotKind.ESSENTIAL_OIL, LotKind.ANTIOXIDANT)).stream()
                .filter(one -> one.key().equals(key))
                .map(one -> one.id().toString())
                .findFirst()
                .orElseThrow();
    }

    private String carrier(String key) {
        return stores.carriers().stream()
                .filter(one -> one.kind().key().equals(key))
                .max(java.util.Comparator.comparing(Stock.OfCarrier::left))
                .map(one -> one.id().toString())
                .orElseThrow();
    }
}
