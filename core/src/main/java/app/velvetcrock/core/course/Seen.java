package app.velvetcrock.core.course;

import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Sign;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Volume;
import java.util.ArrayList;
import java.util.List;

/** What a strained oil looked and smelled like; {@code colour} in words, against a plain sample. */
public record Seen(Clarity clarity, Smell smell, Volume water, String colour) {

    /** What that is a sign of, the gravest first; empty for a clear, dry, good oil. */
    public List<Sign> signs() {
        List<Sign> signs = new ArrayList<>();
        smell.sign().ifPresent(signs::add);
        if (water.millilitres() > 0) {
            signs.add(Sign.WATER);
        }
        clarity.sign().ifPresent(signs::add);
        return signs;
    }

    /** What of that stays open until it is answered. */
    public List<Condition> conditions() {
        return signs().stream().flatMap(sign -> sign.condition().stream()).toList();
    }
}
