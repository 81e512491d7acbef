package app.velvetcrock.tend;

import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.draw.HeatPicture;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A batch on the heat as it is watched from the other side of the kitchen: worded and measured before it is drawn.
 *
 * @param title what the tab is called: the temperature first
 * @param voice who read it last: a probe that speaks, or a hand and when
 * @param trend rising, steady or falling; empty where it cannot be told
 * @param done when it will be done, and on which day; empty where that cannot be told
 * @param say what to do now, in one sentence
 * @param spirit what the vapour of its spirit does; null where none is left in it
 * @param presses whether that does not wait
 * @param sound what is heard where that was allowed: another value sounds again; empty for silence
 * @param finish when it will be done, for the bell; null while that cannot be told
 * @param picture null as long as nothing was read
 */
public record Watch(
        String title,
        String head,
        String voice,
        boolean speaks,
        Reading reading,
        String trend,
        Done done,
        Measure measure,
        List<Said> say,
        @Nullable String spirit,
        boolean presses,
        String sound,
        @Nullable Long finish,
        @Nullable Trace picture,
        List<Key> keys,
        List<Key> seldom,
        List<Pad> pad,
        @Nullable Last last) {

    /** The temperature as large as it can be said. */
    public record Reading(String figure, String unit) {}

    /** When it is done: "15:40", "today"; null where that cannot be told. */
    public record Done(@Nullable Coming time, String day) {}

    /** A sentence, which may end with a moment. */
    public record Said(String words, @Nullable Coming at) {}

    /** The hours it has had of those it wants, and how full that is, in hundredths. */
    public record Measure(String had, String wanted, double full) {}

    /** A button for something that happens; {@code now} where that is how it stands. */
    public record Key(String address, String words, boolean now) {}

    /** A temperature that can be tapped. */
    public record Pad(String typed, String words) {}

    /** What was written last, and where it is taken back. */
    public record Last(String words, String undo) {}

    /** The trace around now, with what was done as marks. */
    public record Trace(HeatPicture heat, double nowX, List<Mark> marks, List<Mark> axis) {

        public double width() {
            return WIDTH;
        }

        public double tall() {
            return heat.height() + AXIS;
        }
    }

    /** A moment of the trace with its words, and how they stand: at their beginning or end where the edge is near. */
    public record Mark(double x, String words) {

        public String anchor() {
            return x > WIDTH - EDGE ? "end" : x < EDGE ? "start" : "middle";
        }
    }

    static final double WIDTH = 366;
    private static final double AXIS = 22;
    private static final double EDGE = 40;
}
