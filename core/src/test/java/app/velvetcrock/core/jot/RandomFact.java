package app.velvetcrock.core.jot;

import app.velvetcrock.core.book.Suspects.Strength;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.jot.said.AtTheCupboard;
import app.velvetcrock.core.jot.said.AtThePan;
import app.velvetcrock.core.jot.said.AtTheStores;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.pan.MakingStep;
import app.velvetcrock.core.strain.Pressing;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Anything that can be said of a thing. */
final class RandomFact {

    private final Random random;
    private final Thing thing;

    private RandomFact(Random random, Thing thing) {
        this.random = random;
        this.thing = thing;
    }

    static Fact of(Random random, Thing thing) {
        RandomFact any = new RandomFact(random, thing);
        while (true) {
            Fact fact = any.next();
            if (fact.of(thing.kind()).equals(fact) && fact.fits(thing.kind())) {
                return fact;
            }
        }
    }

    private <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private Mass mass() {
        return Mass.ofMilligrams(10L * (1 + random.nextInt(40_000)));
    }

    private Volume volume() {
        return Volume.ofMicrolitres(10L * (1 + random.nextInt(40_000)));
    }

    private Quantity amount() {
        return random.nextBoolean() ? mass() : volume();
    }

    private String whom(Held how) {
        return how != Held.DRAW && random.nextBoolean() ? "Inga" : "";
    }

    private Fact next() {
        Held how = one(List.of(Held.DRAW, Held.GIVE, Held.SELL));
        return one(List.of(
                new Fact.Did(one(List.of(
                        TaskKind.SHAKE,
                        TaskKind.PUSH_UNDER,
                        TaskKind.HEAT_ON,
                        TaskKind.HEAT_OFF,
                        TaskKind.FRIDGE_IN,
                        TaskKind.FRIDGE_OUT))),
                one(List.of(
                        Fact.LOOKS_WELL,
                        new Fact.Looked(Smell.RIGHT, Optional.of(false), "looked, all well"),
                        new Fact.Looked(Smell.SOUR, Optional.empty(), "smells sour"),
                        new Fact.Looked(Smell.RIGHT, Optional.empty(), "smells of hay"),
                        new Fact.Looked(Smell.NOT_SMELLED, Optional.of(true), "herb stands out"))),
                new Fact.Found(one(List.of(Condition.MOULD, Condition.WATER, Condition.FERMENT))),
                new Fact.Warm(Temperature.ofCelsius((200 + random.nextInt(600)) / 10.0)),
                one(List.of(
                        new Fact.Turned(HeatChange.LID_ON, Optional.empty()),
                        new Fact.Turned(HeatChange.BATH_TOPPED_UP, Optional.empty()),
                        new Fact.Turned(HeatChange.SETTING, Optional.of(one(List.of(HeatSetting.values())))))),
                new Fact.ToppedUp(amount()),
                new Fact.Strained(amount(), Optional.of(one(List.of(Pressing.values())))),
                new Fact.ThrownOut(one(List.of(Ruin.MOULD, Ruin.RANCID, Ruin.SPILLED, Ruin.DOUBT))),
                new Fact.Noted("drops in the lid"),
                new AtTheCupboard.Took(how, amount(), thing.kind() == Thing.Kind.OIL ? whom(how) : ""),
                new AtTheCupboard.TookPieces(how, 1 + random.nextInt(20), whom(how)),
                one(List.of(
                        new AtTheCupboard.Settled(Optional.of(amount()), Optional.empty()),
                        new AtTheCupboard.Settled(Optional.empty(), Optional.of(volume())),
                        new AtTheCupboard.Settled(Optional.of(amount()), Optional.of(volume())),
                        new AtTheCupboard.Settled(Optional.of(amount()), Optional.of(Volume.ZERO)))),
                new AtTheCupboard.Bottled(
                        1 + random.nextInt(30),
                        Volume.ofMillilitres(10 + random.nextInt(200)),
                        one(List.of(Glass.DARK, Glass.CLEAR))),
                new AtTheCupboard.Reacted(
                        "Inga", one(List.of(Strength.values())), one(List.of("", "arm", "neck")), random.nextBoolean()),
                new AtTheStores.Weighed(mass(), one(List.of(Snap.values()))),
                new AtTheStores.TakenDown(one(List.of(Moisture.DRIED, Moisture.WILTED))),
                new AtTheStores.Opened(),
                new AtTheStores.Left(amount()),
                new AtThePan.Stepped(one(List.of(MakingStep.MELT, MakingStep.CHILL, MakingStep.WHIP, MakingStep.SET))),
                new AtThePan.Tested(one(List.of(Felt.values()))),
                new AtThePan.Added(
                        amount(),
                        thing.takes().isEmpty()
                                ? new Thing.Part("", "", List.of(), false)
                                : thing.takes().get(0)),
                new AtThePan.StirredIn(
                        thing.takes().isEmpty()
                                ? new Thing.Part("", "", List.of(), true)
                                : thing.takes().get(thing.takes().size() - 1)),
                new AtThePan.OffHeat(one(List.of(Cooling.Where.values()))),
                new AtThePan.Haze(),
                new AtThePan.Poured(1 + random.nextInt(30))));
    }
}
