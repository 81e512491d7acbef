package app.velvetcrock.core.jot.said;

import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;

/** What a line says of a herb on the rack, or of a lot in the stores. */
public sealed interface AtTheStores extends Fact {

    /** Weighed on the rack, and bent. */
    record Weighed(Mass now, Snap snap) implements AtTheStores {
        @Override
        public String scribbled() {
            return "weighs %s%s".formatted(Fact.figure(now), snap == Snap.NOT_TRIED ? "" : ", " + snap.word());
        }

        @Override
        public String words(Wording say) {
            return "weighs %s%s".formatted(say.mass(now), snap == Snap.NOT_TRIED ? "" : ", " + snap.word());
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.RACK;
        }
    }

    /** Taken down from the rack, dried or wilted. */
    record TakenDown(Moisture as) implements AtTheStores {
        @Override
        public String scribbled() {
            return as == Moisture.DRIED ? "taken down" : "taken down " + as.word();
        }

        @Override
        public String words(Wording say) {
            return "taken down, " + as.word();
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.RACK;
        }
    }

    /** A bottle or a bag was opened. */
    record Opened() implements AtTheStores {
        @Override
        public String scribbled() {
            return "opened";
        }

        @Override
        public String words(Wording say) {
            return "opened";
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.STORE;
        }
    }

    /** So much of it is left, counted or weighed. */
    record Left(Quantity there) implements AtTheStores {
        @Override
        public String scribbled() {
            return Fact.figure(there) + " left";
        }

        @Override
        public String words(Wording say) {
            return Fact.measured(there, say) + " left";
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.STORE || kind == Thing.Kind.HERB && there instanceof Mass;
        }
    }
}
