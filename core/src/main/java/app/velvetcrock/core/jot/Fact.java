package app.velvetcrock.core.jot;

import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
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
            return heat ? kind == Thing.Kind.HEATED : kind != Thing.Kind.OIL;
        }
    }

    /** Looked at, or smelled: {@code said} is how. */
    record Looked(Look look, String said) implements Fact {
        @Override
        public String words(Wording say) {
            return said;
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind != Thing.Kind.OIL || !look.standsOut();
        }
    }

    /** Found wrong with it. */
    record Found(Condition what) implements Fact {
        @Override
        public String words(Wording say) {
            return what.word();
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return true;
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
            return kind != Thing.Kind.OIL;
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
            return kind != Thing.Kind.OIL;
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
            String verb =
                    switch (how) {
                        case GIVE -> "gave";
                        case SELL -> "sold";
                        default -> "drew";
                    };
            return "%s %s%s".formatted(verb, measured(amount, say), to.isEmpty() ? "" : " to " + to);
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.OIL;
        }
    }

    /** In no words of ours. */
    record Noted(String note) implements Fact {
        @Override
        public String words(Wording say) {
            return note;
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind != Thing.Kind.OIL;
        }
    }

    private static String measured(Quantity amount, Wording say) {
        return amount instanceof Mass mass ? say.mass(mass) : say.volume((Volume) amount);
    }
}
