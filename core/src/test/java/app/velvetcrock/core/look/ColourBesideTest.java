package app.velvetcrock.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class ColourBesideTest {

    private static int[] colour(int r, int g, int b) {
        return new int[] {r, g, b};
    }

    /** Of sRGB's corners, worked out by hand: white is 100, 0, 0; red 53.24, 80.09, 67.20; green 87.73, −86.18, 83.18. */
    @Test
    void cornersOfSrgb() {
        ColourBeside white = ColourBeside.of(colour(255, 255, 255), colour(0, 0, 0));
        assertThat(white.lighter()).isCloseTo(100, within(0.01));
        assertThat(white.redder()).isCloseTo(0, within(0.02));
        assertThat(white.yellower()).isCloseTo(0, within(0.02));
        ColourBeside red = ColourBeside.of(colour(255, 0, 0), colour(0, 0, 0));
        assertThat(red.lighter()).isCloseTo(53.24, within(0.02));
        assertThat(red.redder()).isCloseTo(80.09, within(0.02));
        assertThat(red.yellower()).isCloseTo(67.20, within(0.02));
        ColourBeside green = ColourBeside.of(colour(0, 255, 0), colour(0, 0, 0));
        assertThat(green.redder()).isCloseTo(-86.18, within(0.02));
        assertThat(green.yellower()).isCloseTo(83.18, within(0.02));
    }

    @Test
    void inWordsAsWithBothSideBySide() {
        int[] sunflower = colour(235, 215, 120);
        assertThat(ColourBeside.of(sunflower, sunflower).words()).isEqualTo("no difference to be seen");
        assertThat(ColourBeside.of(colour(236, 215, 121), sunflower).words()).isEqualTo("no difference to be seen");
        assertThat(ColourBeside.of(colour(90, 110, 30), sunflower).words()).startsWith("much darker, greener");
        assertThat(ColourBeside.of(colour(170, 40, 30), sunflower).words()).startsWith("much darker, much redder");
    }

    @Test
    void theOtherWayRoundIsTheOpposite() {
        Random random = new Random(24);
        for (int n = 0; n < 1_000; n++) {
            int[] oil = random.ints(3, 0, 256).toArray();
            int[] plain = random.ints(3, 0, 256).toArray();
            ColourBeside one = ColourBeside.of(oil, plain);
            ColourBeside back = ColourBeside.of(plain, oil);
            assertThat(one.apart()).isCloseTo(back.apart(), within(1e-9));
            assertThat(one.lighter()).isCloseTo(-back.lighter(), within(1e-9));
            assertThat(ColourBeside.of(oil, oil).apart()).isZero();
        }
    }

    @Test
    void whatIsNoColour() {
        assertThatThrownBy(() -> ColourBeside.of(new int[] {1, 2}, new int[] {1, 2, 3}))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> ColourBeside.of(new int[] {256, 0, 0}, new int[] {1, 2, 3}))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> ColourBeside.of(new int[] {-1, 0, 0}, new int[] {1, 2, 3}))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
