package app.velvetcrock.core.look;

import java.util.ArrayList;
import java.util.List;

/** What a look at a standing jar found: its smell, whether the oil covers the herb, whether anything grows. */
public record Look(Smell smell, boolean standsOut, boolean mould) {

    public static final Look ALL_WELL = new Look(Smell.RIGHT, false, false);

    /** What was found, the gravest first; empty when all is well. */
    public List<Sign> signs() {
        List<Sign> signs = new ArrayList<>();
        if (mould) {
            signs.add(Sign.MOULD);
        }
        smell.sign().ifPresent(signs::add);
        if (standsOut) {
            signs.add(Sign.STANDS_OUT);
        }
        return signs;
    }

    /** Tells whether the charge is to be thrown out. */
    public boolean isEnd() {
        return signs().stream().anyMatch(Sign::isEnd);
    }

    /** What of it stays open until it is answered. */
    public List<Condition> conditions() {
        return signs().stream().flatMap(sign -> sign.condition().stream()).toList();
    }

    /** The look in a few words. */
    public String words() {
        return "%s, %s, %s"
                .formatted(
                        smell.word(),
                        standsOut ? "herb stands out of the oil" : "herb under the oil",
                        mould ? "mould" : "no mould");
    }
}
