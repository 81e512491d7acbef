package app.velvetcrock.core.deed;

import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.Fault;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.core.pan.MakingStep;
import app.velvetcrock.core.pan.Touch;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Something done at the pan, with all it needs to be done, whether a form, a line of shorthand or a waiting deed says it. */
public sealed interface PanDeed {

    <R> R accept(Visitor<R> visitor);

    /** Something said of every such deed. */
    interface Visitor<R> {
        R did(Did deed);

        R skip(Skip deed);

        R test(Test deed);

        R correct(Correct deed);

        R offHeat(OffHeat deed);

        R read(Read deed);

        R haze(Haze deed);

        R stirIn(StirIn deed);

        R pour(Pour deed);

        R turnOut(TurnOut deed);

        R note(Note deed);

        R smell(Smell deed);

        R answer(Answer deed);

        R takeBack(TakeBack deed);
    }

    /** A step with nothing to tell: melted, chilled, whipped, lids on. */
    record Did(MakingStep step) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.did(this);
        }
    }

    /**
     * A step was left out.
     *
     * @param which of what is stirred in, by its key in the plan; empty for another step
     */
    record Skip(MakingStep step, String which, String why) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.skip(this);
        }
    }

    /** A drop of it was felt, cold. */
    record Test(Felt felt) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.test(this);
        }
    }

    /** More of a wax or an oil went in, of a lot where it came from the stores. */
    record Correct(Formula.Part more, Optional<UUID> lot) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.correct(this);
        }
    }

    /** It was taken off the heat; after it was warmed again that is a new curve. */
    record OffHeat(Temperature at, Cooling.Where where) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.offHeat(this);
        }
    }

    /** Its temperature was read, or felt with the hand. */
    record Read(Temperature at, Optional<Touch> touch) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.read(this);
        }
    }

    /** The first haze was seen at the rim. */
    record Haze() implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.haze(this);
        }
    }

    /**
     * Something planned was stirred in.
     *
     * @param which it was, by its key in the plan
     * @param anyway whether it was said to have gone in though it was too hot
     */
    record StirIn(String which, boolean anyway) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.stirIn(this);
        }
    }

    /** So many containers of one kind, each filled with so much. */
    record Fill(MakingPlan.Into into, Mass each) {

        /** All that was filled into them. */
        public Mass all() {
            return Mass.ofMilligrams(each.toMilligrams() * into.count());
        }
    }

    /** It was poured, or what stayed in the pan was. */
    record Pour(List<Fill> fills) implements PanDeed {
        public Pour {
            fills = List.copyOf(fills);
        }

        /** All that was filled. */
        public Mass all() {
            return fills.stream().map(Fill::all).reduce(Mass.ZERO, Mass::plus);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.pour(this);
        }
    }

    /** How it turned out, seen and felt later. */
    record TurnOut(Felt felt, List<Fault> faults, String words) implements PanDeed {
        public TurnOut {
            faults = List.copyOf(faults);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.turnOut(this);
        }
    }

    /** Something seen or done, in words. */
    record Note(String words) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.note(this);
        }
    }

    /** What was poured of it was smelled, as it stands in the Cupboard. */
    record Smell(UUID lot, boolean good) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.smell(this);
        }
    }

    /** Answers by hand what is wrong with it: dealt with, or never so. */
    record Answer(Deed.Answer said) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.answer(this);
        }
    }

    /** A line does not hold. */
    record TakeBack(UUID entry) implements PanDeed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.takeBack(this);
        }
    }
}
