package app.velvetcrock.core.planning;

import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.core.strain.YieldForecast;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;
import java.util.Comparator;
import java.util.List;

/**
 * The charge for a wanted amount of oil: V = (Y + film)/(1 − r/n), r at its 90th percentile, "enough nine times in ten" (craft:
 * ratios, backwards).
 *
 * @param oil to pour
 * @param herb under it
 */
public record Wanted(Volume oil, Mass herb, Working working) {

    /** More than this is made in no kitchen. */
    public static final double MOST_MILLILITRES = 20_000;

    /**
     * Works it out.
     *
     * @param ratio mL of oil to a gram of herb, n
     * @throws IllegalArgumentException where at this ratio the herb keeps nearly all of it
     */
    public static Wanted of(Volume wanted, double ratio, Retention retention) {
        double kept = atMost(retention);
        Check.range("ratio", ratio, kept * 1.05, 100, "mL to a gram, more than the herb keeps");
        double oil = (wanted.millilitres() + YieldForecast.FILM.millilitres()) / (1 - kept / ratio);
        Working working = Working.of("oil to pour = (oil wanted + what stays on cloth and vessel) ÷ (1 − kept ÷ ratio)")
                .given("oil wanted", Figure.of(wanted))
                .given("mL of oil to a gram of herb", Figure.ofMillilitresPerGram(ratio))
                .estimate("a gram keeps no more, nine times in ten", Figure.ofMillilitresPerGram(kept))
                .estimate("cloth and vessel keep", Figure.of(YieldForecast.FILM))
                .result("oil to pour", Figure.of(Volume.ofMillilitres(oil)))
                .result("herb", Figure.of(Mass.ofGrams(oil / ratio)))
                .build();
        return new Wanted(Volume.ofMillilitres(oil), Mass.ofGrams(oil / ratio), working);
    }

    /** Vessels a charge may stand in, and the share of each that stays empty. */
    public record Room(List<Vessel> vessels, double headspace) {
        public Room {
            vessels = List.copyOf(vessels);
        }
    }

    /**
     * Works it out so that the oil also covers the herb pushed under: at the usual ratio where that does, else at what covers it, in
     * the smallest vessel that holds it; in the largest where none does.
     *
     * @param gram one gram of the herb
     * @throws IllegalArgumentException where at its usual ratio the herb keeps nearly all of it
     */
    public static Wanted covering(Volume wanted, HerbPortion gram, Retention retention, Room room) {
        Wanted usual = of(wanted, gram.usualOil().millilitres() / gram.mass().grams(), retention);
        Wanted last = usual;
        for (Vessel vessel : room.vessels().stream()
                .sorted(Comparator.comparing(Vessel::capacity))
                .toList()) {
            last = covering(usual, wanted, gram, retention, charge(usual, gram, vessel, room.headspace()));
            if (charge(last, gram, vessel, room.headspace()).fits()) {
                return last;
            }
        }
        return last;
    }

    /** More jars than these nobody fills at once. */
    private static final int MOST_JARS = 8;

    /**
     * Works it out so that it covers and fits: in one vessel where one holds it, else in as few alike as do; what cloth and vessel keep
     * is lost in each. Where no number of them holds it, as for one.
     */
    public static Wanted dividing(Volume wanted, HerbPortion gram, Retention retention, Room room) {
        for (int jars = 1; jars <= MOST_JARS; jars++) {
            Wanted each = covering(wanted.times(1.0 / jars), gram, retention, room);
            boolean fits = room.vessels().stream().anyMatch(vessel -> charge(each, gram, vessel, room.headspace())
                    .fits());
            if (fits) {
                return jars == 1 ? each : each.times(jars, wanted);
            }
        }
        return covering(wanted, gram, retention, room);
    }

    private Wanted times(int jars, Volume wanted) {
        Volume all = oil.times(jars);
        Mass herbs = herb.times(jars);
        return new Wanted(
                all,
                herbs,
                Working.of("oil to pour = jars × what each takes to give its share back and cover its herb")
                        .given("oil wanted", Figure.of(wanted))
                        .given("jars alike", Figure.ofFactor(jars))
                        .result("oil into each", Figure.of(oil))
                        .result("herb into each", Figure.of(herb))
                        .result("herb", Figure.of(herbs))
                        .result("oil to pour", Figure.of(all))
                        .build());
    }

    /** Oil follows herb in a straight line where cover decides: need = a·herb + c, and what comes back is need − kept·herb − film. */
    private static Wanted covering(Wanted usual, Volume wanted, HerbPortion gram, Retention retention, Charge charge) {
        double need = charge.pressedNeed().millilitres();
        if (usual.oil().millilitres() >= need) {
            return usual;
        }
        double herb = usual.herb().grams();
        double twice = new Charge(charge.herbs().times(2), Volume.ZERO, charge.vessel(), charge.headspace())
                .pressedNeed()
                .millilitres();
        double slope = (twice - need) / herb;
        double cover = need - slope * herb;
        double less = (wanted.millilitres() + YieldForecast.FILM.millilitres() - cover) / (slope - atMost(retention));
        boolean enough = slope > atMost(retention) && less > 0 && less < herb;
        Mass mass = Mass.ofGrams(enough ? less : herb);
        Volume oil = Volume.ofMillilitres(slope * mass.grams() + cover);
        Working working = Working.of("oil to pour = what covers the herb pushed under; herb so that enough comes back")
                .given("oil wanted", Figure.of(wanted))
                .estimate("a gram keeps no more, nine times in ten", Figure.ofMillilitresPerGram(atMost(retention)))
                .estimate("cloth and vessel keep", Figure.of(YieldForecast.FILM))
                .result("herb", Figure.of(mass))
                .result("oil to pour", Figure.of(oil))
                .build();
        return new Wanted(oil, mass, working);
    }

    private static Charge charge(Wanted wanted, HerbPortion gram, Vessel vessel, double headspace) {
        return new Charge(
                Herbs.of(gram).times(wanted.herb().grams() / gram.mass().grams()), wanted.oil(), vessel, headspace);
    }

    /** Millilitres of oil to a gram of herb. */
    public double ratio() {
        return oil.millilitres() / herb.grams();
    }

    /** What a gram keeps, mL, no more nine times in ten. */
    public static double atMost(Retention retention) {
        return retention.mean() + YieldForecast.EIGHTY_PERCENT * retention.spread();
    }

    /** What a herb keeps at a pressing, from what was measured of it. */
    public static Retention retention(HerbPortion herb, Pressing pressing, List<Double> measured) {
        return Retention.shipped(herb.texture(), herb.moisture(), pressing).learning(measured, herb.moisture());
    }
}
