package app.velvetcrock.core.jot.said;

import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.pan.MakingStep;

/** What a line says of what is in the pan. */
public sealed interface AtThePan extends Fact {

    @Override
    default boolean fits(Thing.Kind kind) {
        return kind == Thing.Kind.MELT;
    }

    /** A step with nothing to tell. */
    record Stepped(MakingStep step) implements AtThePan {
        @Override
        public String scribbled() {
            return step.said();
        }

        @Override
        public String words(Wording say) {
            return step.said();
        }
    }

    /** A drop of it was felt, cold. */
    record Tested(Felt felt) implements AtThePan {
        @Override
        public String scribbled() {
            return "spoon " + felt.word();
        }

        @Override
        public String words(Wording say) {
            return "tested " + felt.word();
        }
    }

    /** More of what is in it went in. */
    record Added(Quantity more, Thing.Part part) implements AtThePan {
        @Override
        public String scribbled() {
            return "+%s %s".formatted(Fact.figure(more), part.name());
        }

        @Override
        public String words(Wording say) {
            return "+ %s %s".formatted(Fact.measured(more, say), part.name());
        }
    }

    /** What was planned for it was stirred in. */
    record StirredIn(Thing.Part part) implements AtThePan {
        @Override
        public String scribbled() {
            return "stirred in " + part.name();
        }

        @Override
        public String words(Wording say) {
            return "stirred in " + part.name();
        }
    }

    /** Taken off the heat, to cool somewhere: on the table, where nothing else is said. */
    record OffHeat(Cooling.Where where) implements AtThePan {
        @Override
        public String scribbled() {
            return switch (where) {
                case IN_AIR -> "off the heat";
                case IN_ITS_BATH -> "off the heat in its bath";
                case FREEZER -> "off the heat into the freezer";
            };
        }

        @Override
        public String words(Wording say) {
            return where == Cooling.Where.IN_ITS_BATH ? where.word() : "off the heat, " + where.word();
        }
    }

    /** The first haze was seen at the rim. */
    record Haze() implements AtThePan {
        @Override
        public String scribbled() {
            return "haze";
        }

        @Override
        public String words(Wording say) {
            return "first haze";
        }
    }

    /** Poured into so many of what was planned. */
    record Poured(int count) implements AtThePan {
        @Override
        public String scribbled() {
            return "poured %d".formatted(count);
        }

        @Override
        public String words(Wording say) {
            return "poured %d".formatted(count);
        }
    }
}
