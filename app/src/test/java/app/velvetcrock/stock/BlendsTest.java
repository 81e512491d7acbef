package app.velvetcrock.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class BlendsTest {

    private final Materia materia = Materia.shipped();

    /** 917 g of rapeseed are a litre, 432.5 g of jojoba half a litre: 1349.5 g in 1.5 L, 0.8997 g/mL. */
    @Test
    void densityIsWeightedByVolume() {
        CarrierKind blend = Blends.kind("Light", List.of(part("rapeseed", 917), part("jojoba", 432.5)));
        assertThat(blend.density().gramsPerMillilitre()).isCloseTo(0.8997, within(0.0001));
    }

    @Test
    void lifeIsTheShortestCautionsAreAllAndTheHardestPartSetsIt() {
        CarrierKind blend = Blends.kind("Mixed", List.of(part("sesame", 100), part("hemp", 10), part("coconut", 50)));
        assertThat(blend.monthsOpened()).isEqualTo(6);
        assertThat(blend.traits()).contains("sesame", "coconut", "fragile", "self-heating");
        assertThat(blend.melting()).contains(Temperature.ofCelsius(26));
        // hemp's density is an estimate, so the blend's is one
        assertThat(blend.densityIsEstimate()).isTrue();
        assertThat(Blends.kind("Plain", List.of(part("sesame", 100), part("olive", 10)))
                        .densityIsEstimate())
                .isFalse();
    }

    @Test
    void aBlendLiesBetweenItsParts() {
        Random random = new Random(3);
        List<CarrierKind> all = List.copyOf(materia.carriers());
        for (int i = 0; i < 500; i++) {
            Blends.Part one = part(all.get(random.nextInt(all.size())).key(), 1 + random.nextInt(900));
            Blends.Part other = part(all.get(random.nextInt(all.size())).key(), 1 + random.nextInt(900));
            double density = Blends.kind("b", List.of(one, other)).density().gramsPerMillilitre();
            double low = Math.min(
                    one.carrier().density().gramsPerMillilitre(),
                    other.carrier().density().gramsPerMillilitre());
            double high = Math.max(
                    one.carrier().density().gramsPerMillilitre(),
                    other.carrier().density().gramsPerMillilitre());
            assertThat(density).isBetween(low - 1e-9, high + 1e-9);
        }
    }

    private Blends.Part part(String key, double grams) {
        CarrierKind kind = materia.carrier(key).orElseThrow();
        return new Blends.Part(
                new Stock.OfCarrier(
                        UUID.randomUUID(),
                        kind.common(),
                        kind,
                        kind.density(),
                        Optional.empty(),
                        Optional.empty(),
                        Mass.ofGrams(5000)),
                Mass.ofGrams(grams));
    }
}
