package app.velvetcrock.standin;

import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;

/**
 * A pot of oil on a source of heat that is turned, lifted and topped up: it goes to its setting's end by Newton's law (craft: devices).
 * Not for several threads.
 */
final class Pot {

    private static final double ROOM = 20;

    /** Minutes in which 500 mL of water and oil come to a 2.718th of the way, as a slow cooker does [E]. */
    private static final double TAU = 70;

    /** Without its lid it loses this much of what it has over the room [E]. */
    private static final double LID_OFF = 0.75;

    private static final double COLD_WATER = 4;
    private static final double NOISE = 0.2;
    private static final double SECONDS = 60;

    /** What it is turned to, and where the two pots end on it, °C; many a pot's "warm" is no warmer than another's "low". */
    enum Setting {
        OFF(ROOM, ROOM),
        WARM(48, 68),
        LOW(66, 79),
        HIGH(92, 96);

        private final double ends;
        private final double otherEnds;

        Setting(double ends, double otherEnds) {
            this.ends = ends;
            this.otherEnds = otherEnds;
        }

        static Optional<Setting> of(String word) {
            return Stream.of(values())
                    .filter(one -> one.name().equals(word.toUpperCase(Locale.ROOT)))
                    .findFirst();
        }
    }

    private final Random random;
    private final boolean other;
    private double celsius;
    private Setting setting;
    private boolean lidOff;
    private boolean probeOut;

    /** @param other the second pot, whose "warm" ends at 68 °C */
    Pot(double celsius, Setting setting, boolean other, long seed) {
        this.celsius = celsius;
        this.setting = setting;
        this.other = other;
        this.random = new Random(seed);
    }

    void turn(Setting to) {
        setting = to;
    }

    void lid(boolean off) {
        lidOff = off;
    }

    void probe(boolean out) {
        probeOut = out;
    }

    /** Cold water is poured into the bath. */
    void topUp() {
        celsius = Math.max(ROOM, celsius - COLD_WATER);
    }

    /** Lets some seconds pass. */
    void pass(double seconds) {
        double end = other ? setting.otherEnds : setting.ends;
        double goes = lidOff ? ROOM + (end - ROOM) * LID_OFF : end;
        celsius = goes + (celsius - goes) * Math.exp(-seconds / SECONDS / TAU);
    }

    /** What the probe reads, to a tenth: of the oil, or of the air it hangs in. */
    double read() {
        double there = probeOut ? ROOM + 2 : celsius;
        return Math.round((there + (2 * random.nextDouble() - 1) * NOISE) * 10) / 10.0;
    }

    @Override
    public String toString() {
        return "%.1f °C, %s%s%s"
                .formatted(
                        celsius,
                        setting.name().toLowerCase(Locale.ROOT),
                        lidOff ? ", lid off" : "",
                        probeOut ? ", probe out" : "");
    }
}
