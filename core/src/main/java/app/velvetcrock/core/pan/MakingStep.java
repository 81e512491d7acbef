package app.velvetcrock.core.pan;

import app.velvetcrock.core.measure.Worded;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;

/** A step at the pan, in the order they are taken (craft: making, order of heat, whipped butter). */
public enum MakingStep implements Worded {
    MELT(
            "melt",
            "Melted clear",
            "Wax with a little oil in a water bath, stood beside; then the butters; then the rest of the oil. No lid, no water in it."),
    TEST(
            "test it on a cold spoon",
            "Tested",
            "A drop on a spoon from the freezer, 2 to 3 minutes. Feel it again warm: the cold flatters coconut and cocoa butter."),
    OFF_HEAT("take it off the heat", "Off the heat", "Wipe the outside of the vessel: no water may run into the tins."),
    CHILL("chill 20 to 30 minutes", "Chilled", "Until it is set at the rim and soft in the middle.", 25),
    WHIP("whip", "Whipped", "Scrape the sides."),
    CHILL_AGAIN("chill 10 minutes more", "Chilled once more", "", 10),
    PEAKS("whip to peaks", "Whipped to peaks", "It grows to about 1.6 times. Tap out the air as you fill."),
    DIP(
            "dip the pads, lay them apart on waxed paper",
            "Pads dipped",
            "Fold none, press none: each drips over the pan."),
    FIRM(
            "chill them until firm, then stack",
            "Pads firm and stacked",
            "In the refrigerator, where they stay: 30 days.",
            30),
    STIR_IN("stir in what heat would spoil", "Stirred in", ""),
    POUR("pour", "Poured", "In lots, the rest on the bath. Hold a little back to top the hollows."),
    SET("let it set, then put the lids on", "Set", "A warm balm under a lid sweats.", 60);

    private final String word;
    private final String done;
    private final String how;
    private final int minutes;

    MakingStep(String word, String done, String how) {
        this(word, done, how, 0);
    }

    MakingStep(String word, String done, String how, int minutes) {
        this.word = word;
        this.done = done;
        this.how = how;
        this.minutes = minutes;
    }

    @Override
    public String word() {
        return word;
    }

    /** Said among other words: "melted clear". */
    public String said() {
        return done.substring(0, 1).toLowerCase(Locale.ROOT) + done.substring(1);
    }

    String done() {
        return done;
    }

    /** What to watch, in a sentence; empty where there is nothing. */
    public String how() {
        return how;
    }

    /** How long it waits by itself [E]; absent where somebody does it. */
    public Optional<Duration> waits() {
        return minutes == 0 ? Optional.empty() : Optional.of(Duration.ofMinutes(minutes));
    }
}
