package app.velvetcrock.core.jot.said;

import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** One thing that was done or seen, as a line of shorthand says it. */
public sealed interface Fact
        permits Fact.Did,
                Fact.Looked,
                Fact.Found,
                Fact.Warm,
                Fact.Turned,
                Fact.ToppedUp,
                Fact.Strained,
                Fact.ThrownOut,
                Fact.Noted,
                AtTheCupboard,
                AtTheStores,
                AtThePan {

    /** In the words of the echo. */
    String words(Wording say);

    /** As somebody scribbles it, beside what it is of; read again it is the same. */
    String scribbled();

    /** Tells whether it can be so of a thing. */
    boolean fits(Thing.Kind kind);

    /** What the same words say of a thing of some kind: "poured 12" of a melt is no drawing of a bottle. */
    default Fact of(Thing.Kind kind) {
        return this;
    }

    /** Shaken, pushed under, on or off the heat, into the refrigerator or out of it. */
    record Did(TaskKind what) implements Fact {
        @Override
        public String scribbled() {
            return switch (what) {
                case SHAKE -> "shaken";
                case PUSH_UNDER -> "pushed under";
                case HEAT_ON -> "heat on";
                case HEAT_OFF -> "heat off";
                case FRIDGE_IN -> "to the fridge";
                case FRIDGE_OUT -> "out of the fridge";
                default -> what.word().toLowerCase(Locale.ROOT);
            };
        }

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

        @Override
        public Fact of(Thing.Kind kind) {
            return kind == Thing.Kind.MELT && what == TaskKind.HEAT_OFF
                    ? new AtThePan.OffHeat(Cooling.Where.IN_AIR)
                    : this;
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
        public String scribbled() {
            return equals(LOOKS_WELL)
                    ? "looks ok"
                    : said.startsWith("looked, ") ? said.substring("looked, ".length()) : said;
        }

        @Override
        public String words(Wording say) {
            return said;
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind.isStanding() || kind.isFinished() && !standsOut.orElse(false);
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
        public String scribbled() {
            return what == Condition.FERMENT ? "fermenting" : what.word();
        }

        @Override
        public String words(Wording say) {
            return what.word();
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind.isStanding() || kind == Thing.Kind.OIL;
        }
    }

    record Warm(Temperature temperature) implements Fact {
        @Override
        public String scribbled() {
            return Decimals.upTo(temperature.celsius(), PLACES) + " °C";
        }

        @Override
        public String words(Wording say) {
            return say.temperature(temperature);
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind == Thing.Kind.HEATED || kind == Thing.Kind.MELT;
        }
    }

    /** Something was done to its heat. */
    record Turned(HeatChange change, Optional<HeatSetting> to) implements Fact {
        @Override
        public String scribbled() {
            return switch (change) {
                case LID_ON -> "lid on";
                case LID_OFF -> "lid off";
                case BATH_TOPPED_UP -> "water topped up";
                default -> to.map(setting -> "to " + setting.word()).orElse(change.word());
            };
        }

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
        public String scribbled() {
            return "topped up " + figure(oil);
        }

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
        public String scribbled() {
            return "strained %s%s"
                    .formatted(
                            figure(out),
                            pressing.map(how -> switch (how) {
                                        case HAND -> " pressed";
                                        case DRIP -> " dripped";
                                        case SCREW -> " in the press";
                                        default -> " " + how.word();
                                    })
                                    .orElse(""));
        }

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
        public String scribbled() {
            return "thrown out, "
                    + switch (why) {
                        case MOULD -> "mould";
                        case FERMENTED -> "sour";
                        case RANCID -> "rancid";
                        case WATER -> "water";
                        case SCORCHED -> "scorched";
                        case PAST_DATE -> "old";
                        case SPILLED -> "spilled";
                        case DOUBT -> "doubt";
                    };
        }

        @Override
        public String words(Wording say) {
            return "thrown out, " + why.word();
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind != Thing.Kind.MELT && kind != Thing.Kind.RACK;
        }
    }

    /** In no words of ours. */
    record Noted(String note) implements Fact {
        @Override
        public String scribbled() {
            return note;
        }

        @Override
        public String words(Wording say) {
            return note;
        }

        @Override
        public boolean fits(Thing.Kind kind) {
            return kind.isStanding();
        }
    }

    /** An amount as it is scribbled, to a hundredth of a gram or millilitre; a third place would read as thousands. */
    static String figure(Quantity amount) {
        return amount instanceof Mass mass
                ? Decimals.upTo(mass.grams(), PLACES) + " g"
                : Decimals.upTo(((Volume) amount).millilitres(), PLACES) + " ml";
    }

    /** Of a gram or a millilitre. */
    int PLACES = 2;

    /** An amount as it is written: by weight or by volume, whichever it is. */
    static String measured(Quantity amount, Wording say) {
        return amount instanceof Mass mass ? say.mass(mass) : say.volume((Volume) amount);
    }
}
