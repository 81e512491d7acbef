package app.velvetcrock.core.course;

import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.planning.Take;
import app.velvetcrock.core.strain.Pressing;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What a line of a batch's log says: one type for each kind, with the lots it touched and what it moved. Whoever must know
 * every kind is a {@link Visitor}, so that the compiler names what a new one lacks.
 */
public sealed interface Line {

    <R> R accept(Visitor<R> visitor);

    /** The task this does, if it does one. */
    default Optional<TaskKey> task() {
        return Optional.empty();
    }

    /** Something said of every kind of line. */
    interface Visitor<R> {
        R charged(Charged line);

        R toppedUp(ToppedUp line);

        R tended(Tended line);

        R looked(Looked line);

        R heat(Heat line);

        R turned(Turned line);

        R probe(Probe line);

        R strained(Strained line);

        R settled(Settled line);

        R bottled(Bottled line);

        R sniffed(Sniffed line);

        R discarded(Discarded line);

        R found(Found line);

        R answered(Answered line);

        R planChanged(PlanChanged line);

        R noted(Noted line);

        R lesson(Lesson line);

        R panned(Panned line);

        R corrected(Corrected line);

        R takenBack(TakenBack line);

        R newer(Newer line);
    }

    /**
     * So much herb and oil really went in, out of these lots; spirit is among them.
     *
     * @param byHand nothing was weighed: it is as much as was planned, by the handful
     */
    record Charged(Mass herb, Volume oil, List<Take> takes, boolean byHand) implements Line {
        public Charged {
            takes = List.copyOf(takes);
        }

        /** By the scale. */
        public Charged(Mass herb, Volume oil, List<Take> takes) {
            this(herb, oil, takes, false);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.charged(this);
        }
    }

    /** More of the oil went in, from a bottle; {@code take} is absent where the bottle's lot is not known. */
    record ToppedUp(Volume oil, Bottle bottle, Optional<Take> take) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.toppedUp(this);
        }
    }

    /** A task with nothing to tell was done: shaken, pushed under, heat put on or off. */
    record Tended(TaskKey key) implements Line {
        @Override
        public Optional<TaskKey> task() {
            return Optional.of(key);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.tended(this);
        }
    }

    /** The jar was opened, smelled and looked at. */
    record Looked(Optional<TaskKey> task, Look look) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.looked(this);
        }
    }

    /** The temperature of the oil was read. */
    record Heat(Optional<TaskKey> task, Temperature temperature) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.heat(this);
        }
    }

    /**
     * Something was done to its heat that bends the curve.
     *
     * @param setting told where that was turned
     * @param source told where it was said which of several heats it
     */
    record Turned(HeatChange change, Optional<HeatSetting> setting, Optional<OnSource> source) implements Line {

        public Turned(HeatChange change, Optional<HeatSetting> setting) {
            this(change, setting, Optional.empty());
        }

        /** A piece of the kit that heats, as it was called then. */
        public record OnSource(UUID kit, String name) {}

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.turned(this);
        }
    }

    /**
     * A probe was put into the oil, or taken out; what it reads in between is this batch's.
     *
     * @param name as it was called then
     */
    record Probe(UUID probe, String name, boolean in) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.probe(this);
        }
    }

    /** Of heat that nobody wrote down: said at the straining, and so written as a note. */
    String WARMED_UNSEEN = "It was warmed, and nobody wrote it down.";

    /**
     * The oil was strained off.
     *
     * @param out what came out, at 20 °C
     * @param lot what it became
     * @param learned true when the next forecast may learn from it
     */
    record Strained(Volume out, Mass mass, Pressing pressing, KeepUntil keepUntil, UUID lot, boolean learned, Seen seen)
            implements Line {

        /** Tells whether water, powder or cloud is in it, so that it wants to settle. */
        public boolean settles() {
            return !seen.signs().isEmpty();
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.strained(this);
        }
    }

    /** The oil stood and was decanted off what had settled: so much is left, and so much water lay under it. */
    record Settled(Volume left, Mass mass, Volume water, UUID lot, LocalDate useByBefore, LocalDate useBy)
            implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.settled(this);
        }
    }

    /**
     * Bottles were filled from a lot.
     *
     * @param into what they are and where they stand; absent in lines from before that was kept
     * @param words how such an older line was written, which it stays
     */
    record Bottled(UUID from, int count, Volume size, Optional<Into> into, Optional<String> words) implements Line {

        /**
         * The bottles, each a lot of its own.
         *
         * @param with what was stirred in; absent in lines from before that was asked
         */
        public record Into(Glass glass, Storage place, LocalDate useBy, List<UUID> lots, Optional<Antioxidant> with) {
            public Into {
                lots = List.copyOf(lots);
            }

            /** What was stirred in, where anything was. */
            public Antioxidant antioxidant() {
                return with.orElse(Antioxidant.NONE);
            }
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.bottled(this);
        }
    }

    /** An oil was smelled near its date, which may have changed it. */
    record Sniffed(UUID lot, boolean passed, LocalDate useByBefore, LocalDate useBy, String why) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.sniffed(this);
        }
    }

    /** Something was thrown out, with its lesson: this lot, or the whole charge while it still stood. */
    record Discarded(Ruin ruin, String lesson, Optional<UUID> lot) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.discarded(this);
        }
    }

    /** Something was found wrong and said by hand: with this lot, or with the whole batch. */
    record Found(Condition what, String words, Optional<UUID> lot) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.found(this);
        }
    }

    /**
     * What was wrong was answered by hand: dealt with, or it was never so.
     *
     * @param lot of which it was; absent for the whole batch
     */
    record Answered(Condition what, boolean dealtWith, String words, Optional<UUID> lot) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.answered(this);
        }
    }

    /**
     * Another plan took the former's place.
     *
     * @param stage as it is called
     * @param before what that stage was given, in its pace
     * @param length what it is given now; absent where that stays
     * @param strainFrom not to be strained before this; absent where nothing is said of it
     */
    record PlanChanged(
            String stage, Pace pace, int before, Optional<Integer> length, Optional<Instant> strainFrom, String reason)
            implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.planChanged(this);
        }
    }

    /** Something seen or done, in words. */
    record Noted(String words) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.noted(this);
        }
    }

    /** What to do otherwise next time; a recipe made from the batch begins with it. */
    record Lesson(String words) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.lesson(this);
        }
    }

    /** Something done at the pan, while something is made of an oil. */
    record Panned(MakingLine step) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.panned(this);
        }
    }

    /** An earlier entry holds as this says instead; it stays, struck through. */
    record Corrected(UUID entry, Line now) implements Line {
        public Corrected {
            if (now instanceof Corrected || now instanceof TakenBack) {
                throw new IllegalArgumentException("an entry is corrected to what it should say, not to " + now);
            }
        }

        @Override
        public Optional<TaskKey> task() {
            return now.task();
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.corrected(this);
        }
    }

    /** An earlier entry does not hold. */
    record TakenBack(UUID entry) implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.takenBack(this);
        }
    }

    /** A newer release wrote it, and this one does not know what it says: only that there is something. */
    record Newer() implements Line {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.newer(this);
        }
    }
}
