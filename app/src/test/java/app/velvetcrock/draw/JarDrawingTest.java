package app.velvetcrock.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.charge.Levels;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;
import java.util.Random;
import org.junit.jupiter.api.Test;

class JarDrawingTest {

    private static final JarDrawing.Look LOOK = new JarDrawing.Look("#e3b23c", "#76853f", "herb-leaf");

    /** A litre 100 mm wide is 127.32 mm high; at 2 px a mm its floor is 254.65 px under its brim, oil at 80 mm 160 px above the floor. */
    @Test
    void levelsAreDrawnToScale() {
        JarDrawing jar = JarDrawing.of(vessel(1000, 100), levels(50, 80), LOOK, 2);
        assertThat(jar.floorY() - jar.brimY()).isCloseTo(254.65, within(0.01));
        assertThat(jar.floorY() - jar.oilY()).isCloseTo(160, within(1e-9));
        assertThat(jar.floorY() - jar.herbY()).isCloseTo(100, within(1e-9));
        assertThat(jar.right() - jar.left()).isCloseTo(200, within(1e-9));
        assertThat(jar.standsOut()).isFalse();
        assertThat(jar.runsOver()).isFalse();
    }

    @Test
    void whatRunsOverIsDrawnToTheBrimAndSaid() {
        JarDrawing jar = JarDrawing.of(vessel(500, 84), levels(150, 60), LOOK, 2);
        assertThat(jar.herbY()).isEqualTo(jar.brimY());
        assertThat(jar.runsOver()).isTrue();
        assertThat(jar.standsOut()).isTrue();
    }

    @Test
    void everyJarFitsItsBox() {
        Random random = new Random(5);
        for (int i = 0; i < 500; i++) {
            Vessel vessel = vessel(100 + random.nextInt(5000), 50 + random.nextInt(200));
            JarDrawing jar = JarDrawing.of(vessel, levels(10, 20), LOOK, JarDrawing.scaleToFit(vessel, 190, 250));
            assertThat(jar.width()).isLessThanOrEqualTo(190.001);
            assertThat(jar.height()).isLessThanOrEqualTo(250.001);
        }
    }

    @Test
    void tintsMix() {
        assertThat(Tint.mix("#000000", "#ff8040", 0.5)).isEqualTo("#804020");
        assertThat(Tint.mix("#e3b23c", "#5f7d2e", 0)).isEqualTo("#e3b23c");
    }

    private static Vessel vessel(double capacity, double width) {
        return new Vessel("jar", Volume.ofMillilitres(capacity), Length.ofMillimetres(width));
    }

    private static Levels levels(double herb, double oil) {
        return new Levels(Length.ofMillimetres(herb), Length.ofMillimetres(oil));
    }
}
