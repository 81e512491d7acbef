package app.velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class HeatOutlineTest {

    private static final Instant START = Instant.parse("2026-11-24T08:00:00Z");

    private final Random random = new Random(17);

    private List<HeatReading> readings(int count, int apart) {
        List<HeatReading> readings = new ArrayList<>();
        double celsius = 40;
        for (int i = 0; i < count; i++) {
            celsius = Math.max(5, Math.min(120, celsius + random.nextDouble() - 0.5));
            readings.add(new HeatReading(
                    START.plusSeconds(i * (long) apart),
                    Temperature.ofCelsius(random.nextInt(3_000) == 0 ? celsius + 30 : celsius),
                    true));
        }
        return readings;
    }

    /** However many there were, a picture has at most two thousand points, and every span's peak is one of them. */
    @Test
    void aHundredThousandReadingsKeepTheirPeaksInAFewPoints() {
        List<HeatReading> all = readings(100_000, 10);
        HeatOutline outline = HeatOutline.EMPTY.plus(all);
        assertThat(outline.points())
                .hasSizeBetween(300, 960)
                .isSortedAccordingTo(Comparator.comparing(HeatReading::at));
        Comparator<HeatReading> byHeat = Comparator.comparing(HeatReading::temperature, Temperature::compareTo);
        assertThat(outline.points())
                .contains(Collections.max(all, byHeat), Collections.min(all, byHeat), all.get(0), all.get(99_999));
        for (HeatOutline.Span span : outline.spans()) {
            List<HeatReading> within = all.stream()
                    .filter(r -> !r.at().isBefore(span.first().at())
                            && !r.at().isAfter(span.last().at()))
                    .toList();
            assertThat(within.stream().max(byHeat).orElseThrow().temperature())
                    .isEqualTo(span.hottest().temperature());
        }
    }

    /** In any order, in pieces, some twice: the same outline. */
    @Test
    void anyOrderGivesTheSameOutline() {
        for (int i = 0; i < 40; i++) {
            List<HeatReading> all = readings(1 + random.nextInt(3_000), 5 + random.nextInt(60));
            HeatOutline atOnce = HeatOutline.EMPTY.plus(all);
            List<HeatReading> anyhow = new ArrayList<>(all);
            anyhow.addAll(all.subList(0, all.size() / 2));
            Collections.shuffle(anyhow, random);
            HeatOutline pieces = HeatOutline.EMPTY;
            for (int from = 0; from < anyhow.size(); from += 97) {
                pieces = pieces.plus(anyhow.subList(from, Math.min(anyhow.size(), from + 97)));
            }
            assertThat(pieces).isEqualTo(atOnce);
        }
    }

    /**
     * Water: 45 minutes until it was ever topped up; topped up after an hour, it is looked at 48 minutes later (60 less a fifth);
     * topped up again 40 minutes after that, 32 minutes later. A look in between puts it off by as much.
     */
    @Test
    void theWaterIsLookedAtALittleSoonerThanItWasNeeded() {
        assertThat(BathWater.nextLook(START, List.of(), Optional.empty(), Optional.empty()))
                .isEqualTo(minute(45));
        assertThat(BathWater.nextLook(START, List.of(minute(60)), Optional.empty(), Optional.empty()))
                .isEqualTo(minute(108));
        List<Instant> twice = List.of(minute(60), minute(100));
        assertThat(BathWater.nextLook(START, twice, Optional.empty(), Optional.empty()))
                .isEqualTo(minute(132));
        assertThat(BathWater.nextLook(START, twice, Optional.of(minute(120)), Optional.empty()))
                .isEqualTo(minute(152));
        assertThat(BathWater.nextLook(START, List.of(minute(60), minute(61)), Optional.empty(), Optional.empty()))
                .as("twice in a minute is once")
                .isEqualTo(minute(71));
        assertThat(BathWater.nextLook(START, List.of(), Optional.empty(), Optional.of(Duration.ofMinutes(60))))
                .as("the bath before this one wanted water after an hour")
                .isEqualTo(minute(48));
    }

    private static Instant minute(int minute) {
        return START.plusSeconds(minute * 60L);
    }
}
