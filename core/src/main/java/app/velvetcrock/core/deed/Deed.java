package app.velvetcrock.core.deed;

import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Seen;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.strain.Pressing;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** Something done to a batch or to what came of it, with all it needs to be done. */
public sealed interface Deed {

    <R> R accept(Visitor<R> visitor);

    /** Something said of, or done for, every deed. */
    interface Visitor<R> {
        R start(Start deed);

        R tend(Tend deed);

        R look(LookAt deed);

        R read(Read deed);

        R turn(Turn deed);

        R probe(Probe deed);

        R topUp(TopUp deed);

        R note(Note deed);

        R find(Find deed);

        R answer(Answer deed);

        R changePlan(ChangePlan deed);

        R strain(Strain deed);

        R settle(Settle deed);

        R bottle(Bottle deed);

        R sniff(Sniff deed);

        R draw(Draw deed);

        R throwOut(ThrowOut deed);

        R correct(Correct deed);

        R takeBack(TakeBack deed);
    }

    /**
     * Charges a vessel.
     *
     * @param vessel the kind of jar, or the pot of the kit
     * @param herb as weighed; of a blend all its herbs
     * @param oil as poured
     * @param byHand neither was measured: both are as planned, by the handful
     */
    record Start(FrozenPlan plan, UUID vessel, boolean ofKit, Mass herb, Volume oil, boolean byHand) implements Deed {

        /** By the scale and the jug. */
        public Start(FrozenPlan plan, UUID vessel, boolean ofKit, Mass herb, Volume oil) {
            this(plan, vessel, ofKit, herb, oil, false);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.start(this);
        }
    }

    /** Does a task with nothing to tell: shaken, pushed under, heat on or off, the next stage begun. */
    record Tend(TaskKey task) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.tend(this);
        }
    }

    /** Looks at a standing charge; without a task it does the next look that is open. */
    record LookAt(Optional<TaskKey> task, Look look) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.look(this);
        }
    }

    /** Reads the oil's temperature; without a task it does the next reading that is open. */
    record Read(Optional<TaskKey> task, Temperature temperature) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.read(this);
        }
    }

    /** Does something to the heat: turns it, lifts the lid, fills up the water. */
    record Turn(HeatChange change, Optional<HeatSetting> setting, Optional<Line.Turned.OnSource> source)
            implements Deed {

        public Turn(HeatChange change, Optional<HeatSetting> setting) {
            this(change, setting, Optional.empty());
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.turn(this);
        }
    }

    /** Puts a probe of the household's into the oil, or takes it out. */
    record Probe(UUID probe, String name, boolean in) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.probe(this);
        }
    }

    /** Pours more of the same oil over, from a bottle. */
    record TopUp(UUID bottle, Volume oil) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.topUp(this);
        }
    }

    /** Writes down something seen or done, in words. */
    record Note(String words) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.note(this);
        }
    }

    /** Says that something is wrong with a batch, or with one lot that came of it. */
    record Find(Condition what, String words, Optional<UUID> lot) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.find(this);
        }
    }

    /**
     * Answers by hand what is wrong: it is dealt with, or was never so.
     *
     * @param condition which it was found as
     * @param lot of which it is; absent for the whole batch
     */
    record Answer(UUID condition, Condition what, boolean dealtWith, String words, Optional<UUID> lot) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.answer(this);
        }
    }

    /**
     * Changes the plan of a standing charge.
     *
     * @param length of the stage it is in, in its pace; absent for as it is
     * @param strainFrom not to be strained before this; absent for as it is
     */
    record ChangePlan(Optional<Integer> length, Optional<Instant> strainFrom, String reason) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.changePlan(this);
        }
    }

    /**
     * Strains a charge.
     *
     * @param out what came out
     * @param learn whether the next forecast may learn from it
     * @param lesson what to do otherwise next time; empty for nothing
     * @param heat what was said of heat that nobody wrote down; empty for nothing
     */
    record Strain(Mass out, Pressing pressing, boolean learn, Seen seen, String lesson, String heat) implements Deed {

        public Strain(Mass out, Pressing pressing, boolean learn, Seen seen, String lesson) {
            this(out, pressing, learn, seen, lesson, "");
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.strain(this);
        }
    }

    /** Decants an oil that has settled: so much is left, and so much water lay under it. */
    record Settle(Mass left, Volume water, Smell smell) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.settle(this);
        }
    }

    /**
     * Fills bottles from an oil that stands as it was strained.
     *
     * @param empties the lot of empty bottles they come out of; absent where they come from elsewhere
     */
    record Bottle(
            UUID lot, int count, Volume size, Glass glass, Storage place, Antioxidant with, Optional<UUID> empties)
            implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.bottle(this);
        }
    }

    /** Smells an oil near its date. */
    record Sniff(UUID lot, boolean passed) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.sniff(this);
        }
    }

    /** Draws some of an oil: to use, to give or to sell; {@code to} whom, in words, empty where that is not said. */
    record Draw(UUID lot, Mass amount, Held what, String to) implements Deed {

        public Draw(UUID lot, Mass amount, Held what) {
            this(lot, amount, what, "");
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.draw(this);
        }
    }

    /** Throws out one lot, or the whole charge while it stands. */
    record ThrowOut(Ruin ruin, String lesson, Optional<UUID> lot) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.throwOut(this);
        }
    }

    /** Says of an entry of the log what it should have said. */
    record Correct(UUID entry, Line now) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.correct(this);
        }
    }

    /** Takes an entry of the log back, and moves back what it moved. */
    record TakeBack(UUID entry) implements Deed {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.takeBack(this);
        }
    }
}
