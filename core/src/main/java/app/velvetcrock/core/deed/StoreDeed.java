package app.velvetcrock.core.deed;

import app.velvetcrock.core.drying.DryingStart;
import app.velvetcrock.core.drying.WeighIn;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.planning.Take;
import app.velvetcrock.core.spirit.Strength;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Something done at the stores or the drying rack, with all it needs to be done. */
public sealed interface StoreDeed {

    <R> R accept(Visitor<R> visitor);

    /** The lots it is done to, as they are before. */
    List<UUID> lots();

    /** Something said of every such deed. */
    interface Visitor<R> {
        R split(Split deed);

        R process(Process deed);

        R merge(Merge deed);

        R blend(Blend deed);

        R takeOut(TakeOut deed);

        R throwOut(ThrowOut deed);

        R find(Find deed);

        R answer(Answer deed);

        R setRight(SetRight deed);

        R weighCup(WeighCup deed);

        R countDrops(CountDrops deed);

        R prove(Prove deed);

        R open(Open deed);

        R layOut(LayOut deed);

        R weigh(Weigh deed);

        R takeDown(TakeDown deed);
    }

    /** Puts a part of a lot somewhere else, as a lot of its own. */
    record Split(UUID lot, Mass part, String keptAt) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.split(this);
        }
    }

    /** Strips, crushes or grinds some of a herb: finer, and lighter by what was lost. */
    record Process(UUID lot, Cut cut, Mass in, Mass out) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.process(this);
        }
    }

    /** Puts two lots of one thing in one state together. */
    record Merge(UUID lot, UUID other) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot, other);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.merge(this);
        }
    }

    /** Pours bottles of oil together under a name. */
    record Blend(String name, List<Take> parts) implements StoreDeed {
        public Blend {
            parts = List.copyOf(parts);
        }

        @Override
        public List<UUID> lots() {
            return parts.stream().map(Take::lot).toList();
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.blend(this);
        }
    }

    /** Takes some out: {@code amount} in the lot's own unit, milligrams or pieces. */
    record TakeOut(UUID lot, long amount, Held what, String note) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.takeOut(this);
        }
    }

    /** Throws out all that is left; {@code ruin} absent where none of those causes was said. */
    record ThrowOut(UUID lot, String reason, Optional<Ruin> ruin) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.throwOut(this);
        }
    }

    /** Says that something is wrong with it. */
    record Find(UUID lot, Condition what, String words) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.find(this);
        }
    }

    /** Answers by hand what is wrong with it: dealt with, or never so. */
    record Answer(UUID lot, UUID condition, Condition what, boolean dealtWith, String words) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.answer(this);
        }
    }

    /** Sets the stock to what was counted or weighed, in the lot's own unit. */
    record SetRight(UUID lot, long counted, String reason) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.setRight(this);
        }
    }

    /** Keeps what a loosely filled measure of a herb weighed. */
    record WeighCup(UUID lot, Density bulk) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.weighCup(this);
        }
    }

    /** Keeps how many drops of a bottle fill a millilitre. */
    record CountDrops(UUID lot, double perMillilitre) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.countDrops(this);
        }
    }

    /** Says how strong a spirit or tincture is. */
    record Prove(UUID lot, Strength strength) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.prove(this);
        }
    }

    /** Opens a bottle, or counts it as sealed after all. */
    record Open(UUID lot, boolean opened) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.open(this);
        }
    }

    /** Lays all of a wet herb out to dry. */
    record LayOut(UUID lot, DryingStart start) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.layOut(this);
        }
    }

    /** Weighs a herb on the rack. */
    record Weigh(UUID lot, WeighIn weighed) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.weigh(this);
        }
    }

    /** Takes a herb down from the rack, dried or wilted, as it weighed last. */
    record TakeDown(UUID lot, Moisture as) implements StoreDeed {
        @Override
        public List<UUID> lots() {
            return List.of(lot);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.takeDown(this);
        }
    }
}
