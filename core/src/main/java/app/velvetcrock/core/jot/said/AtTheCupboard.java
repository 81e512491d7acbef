package app.velvetcrock.core.jot.said;

import app.velvetcrock.core.book.Suspects.Strength;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Volume;
import java.util.Optional;

/** What a line says of a finished oil, or of what was made of one. */
public sealed interface AtTheCupboard extends Fact {

    /** Some of an oil was used, given or sold: {@code to} whom, empty for nobody named. */
    record Took(Held how, Quantity amount, String to) implements AtTheCupboard {
        @Override
        public String scribbled() {
            return "%s %s%s".formatted(verb(how, "drew"), Fact.figure(amount), whom(to));
        }

        @Override
        public String words(Wording say) {
            return "%s %s%s".formatted(verb(how, "drew"), Fact.measured(amount, say), whom(to));
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.OIL
                    || kind == Thing.Kind.STORE && to.isEmpty()
                    || kind == Thing.Kind.HERB && to.isEmpty() && amount instanceof Mass;
        }
    }

    /** Some pieces of what is counted were used, given or sold: {@code to} whom, empty for nobody named. */
    record TookPieces(Held how, int pieces, String to) implements AtTheCupboard {
        @Override
        public String scribbled() {
            return "%s %d%s".formatted(verb(how, "used"), pieces, whom(to));
        }

        @Override
        public String words(Wording say) {
            return "%s %d%s".formatted(verb(how, "used"), pieces, whom(to));
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.GOOD;
        }

        @Override
        public Fact of(Thing.Kind kind) {
            return kind == Thing.Kind.MELT && how == Held.DRAW ? new AtThePan.Poured(pieces) : this;
        }
    }

    /**
     * An oil has settled: so much of it is clear, so much water lay under it.
     *
     * @param clear absent where only the water was measured
     * @param water absent where nothing was said of it
     */
    record Settled(Optional<Quantity> clear, Optional<Volume> water) implements AtTheCupboard {
        @Override
        public String scribbled() {
            return "settled%s%s"
                    .formatted(
                            clear.map(oil -> " " + Fact.figure(oil)).orElse(""),
                            water.map(under -> under.equals(Volume.ZERO)
                                            ? ", no water"
                                            : ", %s water".formatted(Fact.figure(under)))
                                    .orElse(""));
        }

        @Override
        public String words(Wording say) {
            return "settled%s%s"
                    .formatted(
                            clear.map(oil -> ", %s clear".formatted(Fact.measured(oil, say)))
                                    .orElse(""),
                            water.map(under -> under.equals(Volume.ZERO)
                                            ? ", no water"
                                            : ", %s of water".formatted(say.volume(under)))
                                    .orElse(""));
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.OIL;
        }
    }

    /** Filled into so many bottles of one size; of dark glass, where nothing else is said. */
    record Bottled(int bottles, Volume size, Glass glass) implements AtTheCupboard {
        @Override
        public String scribbled() {
            return "bottled %d x %s%s"
                    .formatted(bottles, Fact.figure(size), glass == Glass.CLEAR ? ", clear glass" : "");
        }

        @Override
        public String words(Wording say) {
            return "bottled %d × %s, %s".formatted(bottles, say.volume(size), glass.word());
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.OIL;
        }
    }

    /**
     * Somebody's skin reacted to it, or did not.
     *
     * @param place where on the body; empty where that was not said
     * @param spreading it spread, was in the face or took the breath
     */
    record Reacted(String who, Strength strength, String place, boolean spreading) implements AtTheCupboard {
        @Override
        public String scribbled() {
            return "%s reacted, %s%s%s"
                    .formatted(
                            who, strength.word(), place.isEmpty() ? "" : ", " + place, spreading ? ", spreading" : "");
        }

        @Override
        public String words(Wording say) {
            return "%s reacted, %s%s%s"
                    .formatted(
                            who, strength.word(), place.isEmpty() ? "" : ", " + place, spreading ? ", spreading" : "");
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind.isFinished();
        }
    }

    private static String verb(Held how, String otherwise) {
        return switch (how) {
            case GIVE -> "gave";
            case SELL -> "sold";
            default -> otherwise;
        };
    }

    private static String whom(String to) {
        return to.isEmpty() ? "" : " to " + to;
    }
}
