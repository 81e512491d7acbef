package app.velvetcrock.core.strain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class RetentionTest {

    private static final Retention LEAF = new Retention(1.3, 0.4, 0);

    /**
     * Checked sum 4. Weights 1/0.16 = 6.25 and 1/0.0625 = 16: (1.3·6.25 + 0.9·16)/22.25 = 22.525/22.25 = 1.0124;
     * forecast spread √(1/22.25 + 0.0625) = 0.3278. With 1.0 too: 38.525/38.25 = 1.0072, √(1/38.25 + 0.0625) = 0.2977.
     */
    @Test
    void learnsFromOneAndFromTwoBatches() {
        Retention one = LEAF.learning(List.of(0.9), Moisture.DRIED);
        assertThat(one.mean()).isCloseTo(1.0124, within(5e-5));
        assertThat(one.spread()).isCloseTo(0.3278, within(5e-5));
        Retention two = LEAF.learning(List.of(0.9, 1.0), Moisture.DRIED);
        assertThat(two.mean()).isCloseTo(1.0072, within(5e-5));
        assertThat(two.spread()).isCloseTo(0.2977, within(5e-5));
        assertThat(two.batches()).isEqualTo(2);
    }

    /** Wet scatter 0.05: weights 1/0.0064 = 156.25 and 400: (0.15·156.25 + 0.25·400)/556.25 = 123.4375/556.25 = 0.2219. */
    @Test
    void wetHerbScattersLess() {
        Retention fresh = new Retention(0.15, 0.08, 0).learning(List.of(0.25), Moisture.FRESH);
        assertThat(fresh.mean()).isCloseTo(0.2219, within(5e-5));
        // √(1/556.25 + 0.0025) = 0.0656
        assertThat(fresh.spread()).isCloseTo(0.0656, within(5e-5));
    }

    /** 300 poured over 40 g, 239 out: (300 − 239 − 5)/40 = 1.4. More out than in gives a figure nobody believes. */
    @Test
    void measuresWhatTheHerbKept() {
        assertThat(Retention.measured(Volume.ofMillilitres(300), Volume.ofMillilitres(239), Mass.ofGrams(40)))
                .isCloseTo(1.4, within(1e-9));
        assertThat(Retention.isBelievable(
                        Retention.measured(Volume.ofMillilitres(300), Volume.ofMillilitres(298), Mass.ofGrams(40))))
                .isFalse();
        assertThat(Retention.isBelievable(0)).isTrue();
        assertThat(Retention.isBelievable(4.01)).isFalse();
    }

    /** The learned mean lies between the prior and the mean of the data, nears the data as they grow, and is never less sure. */
    @Test
    void liesBetweenPriorAndData() {
        Random random = new Random(7);
        for (int i = 0; i < Cases.of(2000); i++) {
            Retention prior = new Retention(0.2 + random.nextDouble(), 0.1 + random.nextDouble() / 2, 0);
            Moisture moisture = random.nextBoolean() ? Moisture.DRIED : Moisture.FRESH;
            List<Double> data = new ArrayList<>();
            double before = prior.spread();
            for (int n = 1; n <= 6; n++) {
                data.add(random.nextDouble() * 4);
                Retention learned = prior.learning(data, moisture);
                double mean = data.stream().mapToDouble(d -> d).average().orElseThrow();
                assertThat(learned.mean())
                        .isBetween(Math.min(prior.mean(), mean) - 1e-9, Math.max(prior.mean(), mean) + 1e-9);
                assertThat(learned.spread()).isLessThanOrEqualTo(before + 1e-12);
                before = learned.spread();
            }
        }
    }

    /** A gram that keeps 1.1 mL where 1.3 were foretold leaves 0.2 more: 6 mL of 30 g. */
    @Test
    void whatAnotherFigureChangesIsItsDifferenceByTheHerb() {
        Retention own = new Retention(1.1, 0.2, 3);
        Retention shipped = new Retention(1.3, 0.4, 0);
        assertThat(own.moreThan(shipped, Mass.ofGrams(30))).isCloseTo(6, within(1e-9));
        assertThat(shipped.moreThan(own, Mass.ofGrams(30))).isCloseTo(-6, within(1e-9));
    }
}
