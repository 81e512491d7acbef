package app.velvetcrock.core.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.Kept;
import app.velvetcrock.core.keeping.KeepUntil.LimitedBy;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Temperature;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class KeepingTest {

    private static final LocalDate STRAINED = LocalDate.of(2026, 3, 1);

    /** Checked sum 8. Opened 1 Nov 2025 + 10 months = 1 Sep 2026, 184 days on; × 0.9 = 165.6, so 165 days: 13 Aug. */
    @Test
    void rapeseedOpenedFourMonthsBefore() {
        KeepUntil keep = keep(opened(4, 14), gentle(false), Storage.COOL_DARK);
        assertThat(keep.date()).isEqualTo(LocalDate.of(2026, 8, 13));
        assertThat(keep.limitedBy()).isEqualTo(LimitedBy.BOTTLE_OPENED);
    }

    /** With tocopherols min(1, 0.9 · 1.2 = 1.08) = 1: the whole 184 days. */
    @Test
    void tocopherolsOnlyMakeUpForPenalties() {
        assertThat(keep(opened(4, 14), gentle(true), Storage.COOL_DARK).date()).isEqualTo(LocalDate.of(2026, 9, 1));
    }

    /** Best before 1 Aug 2026, 153 days on; × 0.9 = 137.7, so 137 days: 16 July. */
    @Test
    void anEarlierBestBeforeEndsIt() {
        KeepUntil keep = keep(opened(4, 5), gentle(false), Storage.COOL_DARK);
        assertThat(keep.date()).isEqualTo(LocalDate.of(2026, 7, 16));
        assertThat(keep.limitedBy()).isEqualTo(LimitedBy.BOTTLE_BEST_BEFORE);
    }

    /** Powder, room, warm: 0.9 · 0.9 · 0.85 = 0.6885; 184 · 0.6885 = 126.7: 126 days, 5 July. */
    @Test
    void penaltiesMultiply() {
        Treatment powder = new Treatment(
                Temperature.ofCelsius(50), false, Moisture.DRIED, Cut.POWDER, false, false, Aftermath.NONE);
        assertThat(keep(opened(4, 14), powder, Storage.ROOM).date()).isEqualTo(LocalDate.of(2026, 7, 5));
    }

    /** Jojoba sealed: 24 months from pouring five weeks before ends 25 Jan 2028; cold and dark takes nothing off. */
    @Test
    void aSealedBottleCountsFromPouring() {
        Bottle sealed = new Bottle("jojoba", 24, Optional.empty(), Optional.empty());
        KeepUntil keep =
                Keeping.of(sealed, STRAINED.minusDays(35), STRAINED, cold(Moisture.DRIED, false), Storage.COOL_DARK);
        assertThat(keep.date()).isEqualTo(LocalDate.of(2028, 1, 25));
    }

    @Test
    void capsHoldAndFoodIsStrict() {
        Bottle long_ = new Bottle("coconut", 24, Optional.of(STRAINED), Optional.empty());
        // fresh: 731 days · 0.5 = 365, but six months after straining is 1 Sep
        KeepUntil fresh = Keeping.of(long_, STRAINED, STRAINED, cold(Moisture.FRESH, false), Storage.COOL_DARK);
        assertThat(fresh.date()).isEqualTo(LocalDate.of(2026, 9, 1));
        assertThat(fresh.limitedBy()).isEqualTo(LimitedBy.CAP);
        KeepUntil food = Keeping.of(long_, STRAINED, STRAINED, cold(Moisture.DRIED, true), Storage.COOL_DARK);
        assertThat(food.date()).isEqualTo(LocalDate.of(2026, 6, 1));
        assertThat(food.limitedBy()).isEqualTo(LimitedBy.FOOD_RULE);
        assertThat(Keeping.ofMoistFood(STRAINED)).satisfies(moist -> {
            assertThat(moist.date()).isEqualTo(STRAINED.plusDays(4));
            assertThat(moist.limitedBy().words())
                    .contains("4 °C")
                    .contains("within 2 hours")
                    .contains("within 4 days");
        });
        assertThatThrownBy(() -> Keeping.of(long_, STRAINED, STRAINED, cold(Moisture.FRESH, true), Storage.COOL_DARK))
                .hasMessageContaining("from the moment herb meets oil");
    }

    @Test
    void anOlderBottleNeverKeepsLonger() {
        Random random = new Random(4);
        for (int i = 0; i < Cases.of(3000); i++) {
            LocalDate opened = STRAINED.minusDays(random.nextInt(500));
            LocalDate older = opened.minusDays(random.nextInt(300));
            Optional<LocalDate> bestBefore =
                    random.nextBoolean() ? Optional.of(STRAINED.plusDays(random.nextInt(600) - 100)) : Optional.empty();
            Treatment treatment = new Treatment(
                    Temperature.ofCelsius(20 + random.nextInt(80)),
                    random.nextBoolean(),
                    Moisture.values()[random.nextInt(3)],
                    Cut.values()[random.nextInt(6)],
                    random.nextBoolean(),
                    false,
                    new Aftermath(
                            random.nextBoolean(),
                            random.nextBoolean(),
                            random.nextBoolean(),
                            Antioxidant.values()[random.nextInt(3)]));
            Storage storage = Storage.values()[random.nextInt(4)];
            LocalDate young = keep(new Bottle("a", 10, Optional.of(opened), bestBefore), treatment, storage)
                    .date();
            LocalDate old = keep(new Bottle("b", 10, Optional.of(older), bestBefore), treatment, storage)
                    .date();
            assertThat(old).isBeforeOrEqualTo(young);
            LocalDate end = new Bottle("a", 10, Optional.of(opened), bestBefore).end(STRAINED);
            assertThat(young).isBeforeOrEqualTo(STRAINED.plusMonths(24));
            assertThat(young)
                    .as("past its end it is dated by that")
                    .isAfterOrEqualTo(end.isBefore(STRAINED) ? end : STRAINED);
            assertThat(young).as("never past the oil's own end").isBeforeOrEqualTo(end);
        }
    }

    /** 184 days · 0.9 = 165.6 by the oil; decanted water caps it three months on, 1 June 2026. Scorched: 184 · 0.9 · 0.5 = 82.8. */
    @Test
    void waterAndScorchingShorten() {
        KeepUntil watery =
                keep(opened(4, 14), after(new Aftermath(true, false, false, Antioxidant.NONE)), Storage.REFRIGERATOR);
        assertThat(watery.date()).isEqualTo(LocalDate.of(2026, 6, 1));
        assertThat(watery.limitedBy()).isEqualTo(LimitedBy.WATER);
        assertThat(keep(opened(4, 14), after(new Aftermath(false, true, false, Antioxidant.NONE)), Storage.COOL_DARK)
                        .date())
                .isEqualTo(STRAINED.plusDays(82));
    }

    /** Room 0.85 · gentle 0.9 · clear glass in light 0.7 = 0.5355; 184 · 0.5355 = 98.5. */
    @Test
    void clearGlassInLightShortens() {
        assertThat(keep(opened(4, 14), after(new Aftermath(false, false, true, Antioxidant.NONE)), Storage.ROOM)
                        .date())
                .isEqualTo(STRAINED.plusDays(98));
    }

    private static Treatment after(Aftermath after) {
        return new Treatment(Temperature.ofCelsius(50), false, Moisture.DRIED, Cut.CUT_AND_SIFTED, false, false, after);
    }

    private static KeepUntil keep(Bottle bottle, Treatment treatment, Storage storage) {
        return Keeping.of(bottle, STRAINED, STRAINED, treatment, storage);
    }

    private static Bottle opened(int monthsBefore, int bestBeforeMonths) {
        return new Bottle(
                "rapeseed",
                10,
                Optional.of(STRAINED.minusMonths(monthsBefore)),
                Optional.of(STRAINED.plusMonths(bestBeforeMonths)));
    }

    private static Treatment gentle(boolean antioxidant) {
        return new Treatment(
                Temperature.ofCelsius(50),
                false,
                Moisture.DRIED,
                Cut.CUT_AND_SIFTED,
                false,
                false,
                new Aftermath(false, false, false, antioxidant ? Antioxidant.TOCOPHEROLS : Antioxidant.NONE));
    }

    private static Treatment cold(Moisture moisture, boolean food) {
        return new Treatment(
                Temperature.ofCelsius(22), false, moisture, Cut.CUT_AND_SIFTED, false, food, Aftermath.NONE);
    }

    /** Every way an oil is treated, its date, what limits it and the sum as it is shown (craft: keeping). */
    @Test
    void everyTreatmentIsDatedAsKept() {
        Kept kept = new Kept();
        Bottle long_ = new Bottle("coconut", 24, Optional.of(STRAINED.minusDays(20)), Optional.empty());
        Bottle sealed = new Bottle("coconut", 24, Optional.empty(), Optional.empty());
        Bottle ends = new Bottle("coconut", 24, Optional.empty(), Optional.of(STRAINED.plusDays(200)));
        Bottle over = new Bottle("coconut", 24, Optional.empty(), Optional.of(STRAINED.minusDays(1)));
        for (Bottle bottle : List.of(long_, sealed, ends, over)) {
            kept.rule("%s, opened %s, best before %s".formatted(bottle.name(), bottle.opened(), bottle.bestBefore()));
            for (Treatment treatment : treatments()) {
                KeepUntil keep = Keeping.of(bottle, STRAINED.minusDays(14), STRAINED, treatment, Storage.ROOM);
                kept.add(
                        "%s by %s, never beyond %s; %s",
                        keep.date(),
                        keep.limitedBy(),
                        Keeping.latest(bottle, STRAINED.minusDays(14), STRAINED, treatment),
                        terms(keep));
            }
        }
        kept.isAsKept("keeping-sums.txt");
    }

    private static String terms(KeepUntil keep) {
        return keep.working().terms().stream()
                .map(term -> term.name() + " "
                        + (term.figure().text().isEmpty()
                                ? term.figure().value()
                                : term.figure().text()))
                .collect(Collectors.joining(", "));
    }

    private static List<Treatment> treatments() {
        List<Treatment> all = new ArrayList<>();
        for (double hottest : new double[] {29.9, 30, 69.9, 70}) {
            all.add(treated(hottest, false, Moisture.DRIED, Cut.WHOLE, false, Aftermath.NONE));
        }
        for (Moisture moisture : Moisture.values()) {
            for (Cut cut : List.of(Cut.CUT_AND_SIFTED, Cut.POWDER, Cut.GROUND)) {
                all.add(treated(20, true, moisture, cut, false, Aftermath.NONE));
                all.add(treated(20, false, moisture, cut, true, Aftermath.NONE));
            }
        }
        for (boolean water : new boolean[] {false, true}) {
            for (boolean scorched : new boolean[] {false, true}) {
                for (Antioxidant with : Antioxidant.values()) {
                    all.add(treated(
                            60,
                            true,
                            Moisture.DRIED,
                            Cut.WHOLE,
                            false,
                            new Aftermath(water, scorched, with != Antioxidant.NONE, with)));
                }
            }
        }
        return all;
    }

    private static Treatment treated(
            double hottest, boolean light, Moisture moisture, Cut cut, boolean bud, Aftermath after) {
        return new Treatment(Temperature.ofCelsius(hottest), light, moisture, cut, bud, false, after);
    }
}
