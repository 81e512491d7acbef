package app.velvetcrock.core.jot;

import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** One thing that was done or seen, as a line of shorthand says it. */
public sealed interface Fact {

    /** In the words of the echo. */
    String words(Wording say);

    /** Tells whether it can be so of a thing. */
    boolean fits(Thing.Kind kind);

    /** Shaken, pushed under, on or off the heat, into the refrigerator or out of it. */
    record Did(TaskKind what) implements Fact {
        @Override
        public String words(Wording say) {
            return switch (what) {
                case SHAKE -> "shaken";
                case PUSH_UNDER -> "pushed under";
                default -> what.word().toLowerCase(Locale.ROOT);
            };
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            boolean heat = what == TaskKind.HEAT_ON || what == TaskKind.HEAT_OFF;
            return heat ? kind == Thing.Kind.HEATED : kind.isStanding();
        }
    }

    /**
     * Looked at, or smelled.
     *
     * @param standsOut whether the herb stands out; absent where nothing was said of it
     * @param said how it was said
     */
    record Looked(Smell smell, Optional<Boolean> standsOut, String said) implements Fact {
        @Override
        public String words(Wording say) {
            return said;
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind.isStanding() || !standsOut.orElse(false);
        }
    }

    /** Seen with the eyes alone: nobody said that it was smelled. */
    Looked LOOKS_WELL = new Looked(Smell.NOT_SMELLED, Optional.of(false), "looks well, not smelled");

    /**
     * The one look that several sayings come to: what was smelled, the gravest of it, and whether the herb stands out.
     *
     * @param before whether it stood out before, where nothing is said of it now
     */
    static Optional<Look> look(List<Fact> facts, boolean before) {
        List<Looked> said = facts.stream()
                .filter(Looked.class::isInstance)
                .map(Looked.class::cast)
                .toList();
        if (said.isEmpty()) {
            return Optional.empty();
        }
        Smell smell = said.stream()
                .map(Looked::smell)
                .filter(one -> one.sign().isPresent())
                .findFirst()
                .orElseGet(() ->
                        said.stream().anyMatch(one -> one.smell() == Smell.RIGHT) ? Smell.RIGHT : Smell.NOT_SMELLED);
        List<Boolean> out =
                said.stream().flatMap(one -> one.standsOut().stream()).toList();
        return Optional.of(new Look(smell, out.isEmpty() ? before : out.contains(true), false));
    }

    /** Found wrong with it. */
    record Found(Condition what) implements Fact {
        @Override
        public String words(Wording say) {
            return what.word();
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind != Thing.Kind.GOOD;
        }
    }

    record Warm(Temperature temperature) implements Fact {
        @Override
        public String words(Wording say) {
            return say.temperature(temperature);
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.HEATED;
        }
    }

    /** Something was done to its heat. */
    record Turned(HeatChange change, Optional<HeatSetting> to) implements Fact {
        @Override
        public String words(Wording say) {
            return to.map(setting -> "to " + setting.word()).orElse(change.word());
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.HEATED;
        }
    }

    /** Topped up with so much of its own oil. */
    record ToppedUp(Quantity oil) implements Fact {
        @Override
        public String words(Wording say) {
            return "topped up with " + measured(oil, say);
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind.isStanding();
        }
    }

    /** Strained: so much came out. */
    record Strained(Quantity out, Optional<Pressing> pressing) implements Fact {
        @Override
        public String words(Wording say) {
            return "strained %s%s"
                    .formatted(
                            measured(out, say),
                            pressing.map(how -> ", " + how.word()).orElse(""));
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind.isStanding();
        }
    }

    record ThrownOut(Ruin why) implements Fact {
        @Override
        public String words(Wording say) {
            return "thrown out, " + why.word();
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return true;
        }
    }

    /** Some of an oil was used, given or sold: {@code to} whom, empty for nobody named. */
    record Took(Held how, Quantity amount, String to) implements Fact {
        @Override
        public String words(Wording say) {
            return "%s %s%s".formatted(verb(how, "drew"), measured(amount, say), whom(to));
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.OIL;
        }
    }

    /** Some pieces of what is counted were used, given or sold: {@code to} whom, empty for nobody named. */
    record TookPieces(Held how, int pieces, String to) implements Fact {
        @Override
        public String words(Wording say) {
            return "%s %d%s".formatted(verb(how, "used"), pieces, whom(to));
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.GOOD;
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

    /** In no words of ours. */
    record Noted(String note) implements Fact {
        @Override
        public String words(Wording say) {
            return note;
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind.isStanding();
        }
    }

    private static String measured(Quantity amount, Wording say) {
        return amount instanceof Mass mass ? say.mass(mass) : say.volume((Volume) amount);
    }
}
