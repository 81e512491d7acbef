package app.velvetcrock.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.HeatTrace;
import app.velvetcrock.core.heat.Heated;
import app.velvetcrock.core.keeping.Aftermath;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Keeping;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.keeping.Treatment;
import app.velvetcrock.core.making.Firmness;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.spirit.Moistening;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.core.strain.YieldForecast;
import app.velvetcrock.core.water.WaterBudget;
import app.velvetcrock.core.water.WaterContent;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

/** The handbook's sums once more, in plain numbers and the plainest way, against the core on random cases. */
class HandbookTest {

    private static final Materia MATERIA = Materia.shipped();
    private static final LocalDate DAY = LocalDate.of(2026, 11, 5);
    private static final double SWELLS = 1.15;

    /** §5 cover and room, §10 forecast: two herbs in a jar. */
    @RepeatedTest(300)
    void coverRoomAndYield(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        double width = 60 + random.nextInt(90);
        double capacity = 300 + random.nextInt(2500);
        double oil = 50 + random.nextInt(1500);
        double loose = 0;
        double pressed = 0;
        double displaced = 0;
        double kept = 0;
        double variance = 9;
        List<HerbPortion> portions = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            Texture texture = MATERIA.texture(pick(Part.values(), random), pick(Cut.values(), random));
            Moisture moisture = pick(Moisture.values(), random);
            double grams = 5 + random.nextInt(120);
            double bulk = texture.bulkIn(moisture).gramsPerMillilitre();
            double swells = moisture == Moisture.DRIED ? SWELLS : 1;
            boolean packs = moisture != Moisture.JUICY && texture.packing() > 1;
            loose += swells * grams / bulk;
            pressed += swells * grams / (bulk * (packs ? 1.6 : 1));
            displaced += grams / (moisture == Moisture.DRIED ? 1.40 : 1.0);
            double[] retention = retention(texture, moisture);
            kept += retention[0] * grams;
            variance += Math.pow(retention[1] * grams, 2);
            portions.add(new HerbPortion(Mass.ofGrams(grams), texture, moisture, Optional.empty(), 5));
        }
        Charge charge = new Charge(
                new Herbs(portions),
                Volume.ofMillilitres(oil),
                new Vessel("jar", Volume.ofMillilitres(capacity), Length.ofMillimetres(width)),
                0.10);
        double cover = Math.PI * width * width / 4 * 20 / 1000;
        near(charge.looseNeed().millilitres(), loose - displaced + cover);
        near(charge.pressedNeed().millilitres(), pressed - displaced + cover);
        // What covers only once pushed under lies pressed; what does not cover at all stands as loose as it was filled.
        boolean pushed = oil < loose - displaced + cover && oil >= pressed - displaced + cover;
        double bulk = pushed ? pressed : loose;
        near(charge.room().millilitres(), Math.max(oil + displaced, bulk + cover));
        near(charge.ratio(), oil / charge.herbs().mass().grams());
        YieldForecast forecast = YieldForecast.of(charge.herbs(), charge.oil(), Pressing.HAND);
        near(forecast.expected().millilitres(), Math.max(0, oil - kept - 5));
        near(forecast.spread(), Math.sqrt(variance));
    }

    /** Mean and spread by hand in cloth (§10). */
    static double[] retention(Texture texture, Moisture moisture) {
        return switch (moisture) {
            case WILTED -> new double[] {0.5, 0.2};
            case FRESH -> new double[] {0.15, 0.08};
            case JUICY -> new double[] {0.25, 0.10};
            case DRIED -> switch (texture.cut()) {
                case POWDER, SLURRY -> new double[] {1.2, 0.4};
                case GROUND -> new double[] {1.0, 0.3};
                default -> switch (texture.part()) {
                    case FLOWER, LEAF, TOPS, PETALS -> new double[] {1.3, 0.4};
                    default -> new double[] {0.6, 0.2};
                };
            };
        };
    }

    /** §10 learning: prior and measured weigh by one over their variance. */
    @RepeatedTest(100)
    void learning(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        List<Double> measured =
                random.doubles(1 + random.nextInt(9), 0.3, 2.5).boxed().toList();
        double weight = 1 / 0.16;
        double sum = 1.3 / 0.16;
        for (double one : measured) {
            weight += 1 / 0.0625;
            sum += one / 0.0625;
        }
        Retention learned = new Retention(1.3, 0.4, 0).learning(measured, Moisture.DRIED);
        near(learned.mean(), sum / weight);
        near(learned.spread(), Math.min(0.4, Math.sqrt(1 / weight + 0.0625)));
    }

    /** §6 water, §9 the spirit's. */
    @RepeatedTest(100)
    void water(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        double w1 = 0.05 + random.nextDouble() * 0.9;
        double w2 = 0.05 + random.nextDouble() * 0.9;
        double m1 = 1 + random.nextInt(300);
        double m2 = 1 + random.nextInt(300);
        double oil = 20 + random.nextInt(1000);
        double percent = 40 + random.nextInt(57);
        double spirit = random.nextInt(100);
        Strength strength = new Strength(percent);
        double ethanol =
                Math.min(1, percent / 100 * 0.78924 / strength.density().gramsPerMillilitre());
        near(strength.waterIn(Mass.ofGrams(spirit)).grams(), spirit * (1 - ethanol));
        double all = m1 * w1 + m2 * w2 + spirit * (1 - ethanol);
        double bound = 0.12 * (m1 * (1 - w1) + m2 * (1 - w2)) / 0.88;
        WaterBudget budget = WaterBudget.of(
                List.of(
                        new WaterBudget.Wet(Mass.ofGrams(m1), new WaterContent(w1)),
                        new WaterBudget.Wet(Mass.ofGrams(m2), new WaterContent(w2))),
                strength.waterIn(Mass.ofGrams(spirit)),
                Mass.ofGrams(oil));
        near(budget.free().grams(), Math.max(0, all - bound - 0.001 * oil));
        near(
                new WaterContent(w1)
                        .equivalent(Mass.ofGrams(m1), new WaterContent(w2))
                        .grams(),
                m1 * (1 - w1) / (1 - w2));
        Strength weaker = new Strength(30 + random.nextInt((int) percent - 31 > 0 ? (int) percent - 31 : 1));
        double water =
                Moistening.waterToThin(Mass.ofGrams(100), strength, weaker).grams();
        near(water, 100 * (strength.ethanolByMass() / weaker.ethanolByMass() - 1));
        near(100 * strength.ethanolByMass() / (100 + water), weaker.ethanolByMass());
    }

    /** §11: end of the oil, penalties and bonuses, caps. */
    @RepeatedTest(400)
    void keeping(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        LocalDate strained = DAY.plusDays(random.nextInt(60));
        int months = pick(new Integer[] {24, 15, 10, 6, 3}, random);
        Optional<LocalDate> opened =
                random.nextBoolean() ? Optional.empty() : Optional.of(DAY.minusDays(random.nextInt(200)));
        Optional<LocalDate> best =
                random.nextBoolean() ? Optional.empty() : Optional.of(DAY.plusDays(60 + random.nextInt(700)));
        Moisture moisture = pick(Moisture.values(), random);
        Cut cut = pick(new Cut[] {Cut.WHOLE, Cut.GROUND, Cut.POWDER}, random);
        boolean bud = random.nextBoolean();
        boolean light = random.nextBoolean();
        double hottest = pick(new Double[] {20.0, 50.0, 100.0}, random);
        Storage storage = pick(Storage.values(), random);
        boolean water = random.nextInt(4) == 0;
        boolean scorched = random.nextInt(4) == 0;
        boolean clear = random.nextInt(4) == 0;
        boolean vitamin = random.nextBoolean();
        boolean food = moisture == Moisture.DRIED && random.nextInt(4) == 0;

        LocalDate end = opened.orElse(DAY).plusMonths(months);
        end = best.isPresent() && best.get().isBefore(end) ? best.get() : end;
        double herb = moisture == Moisture.WILTED
                ? 0.6
                : moisture != Moisture.DRIED ? 0.5 : bud ? 0.7 : cut == Cut.POWDER ? 0.9 : 1;
        double factor = (hottest < 30 ? 1 : hottest < 70 ? 0.9 : 0.75)
                * herb
                * (light ? 0.8 : 1)
                * (clear ? 0.7 : 1)
                * (vitamin ? 1.2 : 1)
                * switch (storage) {
                    case COOL_DARK -> 1;
                    case ROOM -> 0.85;
                    case WARM -> 0.5;
                    case REFRIGERATOR -> 1.5;
                };
        factor = Math.min(1, factor) * (scorched ? 0.5 : 1);
        long days = ChronoUnit.DAYS.between(strained, end);
        LocalDate till = days < 0 ? end : strained.plusDays((long) Math.floor(days * factor + 1e-9));
        List<LocalDate> caps = new ArrayList<>(List.of(strained.plusMonths(24)));
        caps.add(food ? strained.plusMonths(3) : strained.plusMonths(24));
        caps.add(moisture == Moisture.WILTED ? strained.plusMonths(9) : strained.plusMonths(24));
        caps.add(moisture == Moisture.FRESH ? strained.plusMonths(6) : strained.plusMonths(24));
        caps.add(moisture == Moisture.JUICY ? strained.plusDays(30) : strained.plusMonths(24));
        caps.add(water ? strained.plusMonths(3) : strained.plusMonths(24));
        caps.add(scorched ? strained.plusMonths(6) : strained.plusMonths(24));
        for (LocalDate cap : caps) {
            till = cap.isBefore(till) ? cap : till;
        }
        assertThat(Keeping.of(
                                new Bottle("oil", months, opened, best),
                                DAY,
                                strained,
                                new Treatment(
                                        Temperature.ofCelsius(hottest),
                                        light,
                                        moisture,
                                        cut,
                                        bud,
                                        food,
                                        new Aftermath(
                                                water,
                                                scorched,
                                                clear,
                                                vitamin ? Antioxidant.TOCOPHEROLS : Antioxidant.NONE)),
                                storage)
                        .date())
                .isEqualTo(till);
    }

    /** §8: time in band and heat-hours by walking every second. */
    @RepeatedTest(60)
    void heat(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        boolean wet = random.nextBoolean();
        Instant start = Instant.parse("2026-11-05T18:00:00Z");
        List<HeatReading> readings = new ArrayList<>();
        List<Double> seconds = new ArrayList<>();
        int at = 0;
        for (int i = 0; i < 8; i++) {
            readings.add(new HeatReading(start.plusSeconds(at), Temperature.ofCelsius(20 + random.nextInt(45))));
            if (i > 0) {
                double from = readings.get(i - 1).temperature().celsius();
                double to = readings.get(i).temperature().celsius();
                double length = readings.get(i).at().getEpochSecond()
                        - readings.get(i - 1).at().getEpochSecond();
                for (int s = 0; s < length; s++) {
                    seconds.add(from + (to - from) * (s + 0.5) / length);
                }
            }
            at += 300 + random.nextInt(3000);
        }
        double credit = 0;
        double band = 0;
        for (double t : seconds) {
            double rate = t > 60 || wet && t < 40 || t < 40 - 15 ? 0 : t >= 40 ? 1 : Math.pow(2, (t - 40) / 10);
            credit += rate / 60;
            band += t >= 40 && t <= 52 ? 1 / 60.0 : 0;
        }
        HeatTrace trace = HeatTrace.of(new Heated(Method.SLOW_WARM.first(), wet), start, readings, List.of());
        assertThat(trace.credited().minutes()).isCloseTo(credit, within(0.05 + credit * 0.001));
        assertThat(trace.inBand().minutes()).isCloseTo(band, within(0.1));
    }

    /** §13: what sets of all there is. */
    @RepeatedTest(50)
    void firmness(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        double wax = random.nextInt(60);
        double cocoa = random.nextInt(60);
        double oil = 1 + random.nextInt(300);
        Firmness firmness = Firmness.of(List.of(
                new Firmness.Ingredient(Mass.ofGrams(wax), 1, true),
                new Firmness.Ingredient(Mass.ofGrams(cocoa), 0.30, false),
                new Firmness.Ingredient(Mass.ofGrams(oil), 0, false)));
        near(firmness.value(), 100 * (wax + 0.30 * cocoa) / (wax + cocoa + oil));
        near(firmness.waxShare(), wax / (wax + cocoa + oil));
    }

    private static void near(double found, double expected) {
        assertThat(found).isCloseTo(expected, within(1e-6 + Math.abs(expected) * 1e-9));
    }

    private static <T> T pick(T[] from, Random random) {
        return from[random.nextInt(from.length)];
    }
}
