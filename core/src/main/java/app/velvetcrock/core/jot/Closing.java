package app.velvetcrock.core.jot;

import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.jot.Lexicon.Verb;
import app.velvetcrock.core.jot.said.AtTheCupboard;
import app.velvetcrock.core.jot.said.AtThePan;
import app.velvetcrock.core.jot.said.AtTheStores;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.measure.Mass;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Settles what was read: which thing each sentence is of, and what is still asked. */
final class Closing {

    private static final int OFFERED = 6;

    private final Names names;
    private final String text;
    private final int offset;
    private final Optional<Thing> before;
    private final List<Jotted.Doubt> doubts;

    /** {@code doubts}: those there are, to which others are added. */
    Closing(Names names, String text, int offset, Optional<Thing> before, List<Jotted.Doubt> doubts) {
        this.names = names;
        this.text = text;
        this.offset = offset;
        this.before = before;
        this.doubts = doubts;
    }

    List<Jotted.Said> all(List<Sentence> sentences) {
        List<Jotted.Said> said = new ArrayList<>();
        for (Sentence one : sentences) {
            if (one.skin != null) {
                one.skin.settle(this, one);
            }
            loose(one);
            one.thrownOutForWhatWasFound();
            one.opens();
            open(one);
            settled(one);
            snapped(one);
            settle(one, said);
        }
        return said;
    }

    void doubt(Word first, Word last, String why, List<String> choices) {
        doubts.add(new Jotted.Doubt(offset + first.from(), offset + last.to(), why, choices));
    }

    /** A verb that still waits. */
    private void open(Sentence one) {
        Sentence.Open open = one.open;
        if (open == null) {
            return;
        }
        boolean out = open.verb() == Verb.THROW_OUT;
        doubt(
                open.first(),
                open.last(),
                out ? "why?" : open.verb() == Verb.STIR_IN ? "what?" : "how much?",
                out
                        ? Stream.of("mould", "sour", "rancid", "spilled")
                                .map(why -> "thrown out, " + why)
                                .toList()
                        : List.of());
    }

    private void settled(Sentence one) {
        Sentence.Settling settling = one.settling;
        if (settling == null) {
            return;
        }
        boolean said = settling.clear().isPresent()
                || settling.water().filter(water -> water.millilitres() > 0).isPresent();
        if (said) {
            one.add(new AtTheCupboard.Settled(settling.clear(), settling.water()), settling.first(), settling.last());
        } else {
            doubt(settling.first(), settling.first(), "how much of it is clear?", List.of());
        }
    }

    /** How it bent stands beside what it weighs. */
    private void snapped(Sentence one) {
        Sentence.Snapped snapped = one.snapped;
        if (snapped == null) {
            return;
        }
        for (int at = 0; at < one.facts.size(); at++) {
            Sentence.At fact = one.facts.get(at);
            if (fact.fact() instanceof AtTheStores.Weighed weighed) {
                one.facts.set(
                        at,
                        new Sentence.At(
                                new AtTheStores.Weighed(weighed.now(), snapped.how()), fact.first(), fact.last()));
                return;
            }
        }
        doubt(snapped.first(), snapped.last(), "and what does it weigh?", List.of());
    }

    /** Numbers nobody asked for: what they are of what is named. */
    private void loose(Sentence one) {
        boolean warm = one.all(thing -> thing.kind() == Thing.Kind.HEATED || thing.kind() == Thing.Kind.MELT);
        boolean weighed = one.all(thing -> thing.kind() == Thing.Kind.RACK);
        for (Sentence.Loose number : one.loose) {
            boolean alone = one.things.isEmpty()
                    && one.facts.isEmpty()
                    && !number.first().isWhole();
            if (number.degrees().isPresent() && (warm || alone)) {
                one.add(new Fact.Warm(number.degrees().get()), number.first(), number.last());
            } else if (weighed && number.amount().orElse(null) instanceof Mass now) {
                one.add(new AtTheStores.Weighed(now, Snap.NOT_TRIED), number.first(), number.last());
                one.open = one.open != null && one.open.verb() == Verb.WEIGH ? null : one.open;
            } else if (doubts.isEmpty()) {
                doubt(number.first(), number.last(), "what is this of?", List.of());
            }
        }
    }

    private void settle(Sentence one, List<Jotted.Said> said) {
        List<Fact> facts = one.facts.stream()
                .sorted(Comparator.comparing(at -> at.first().from()))
                .map(at -> one.complete(at.fact()))
                .toList();
        if (one.things.isEmpty()) {
            if (facts.isEmpty() && one.note.isEmpty()) {
                return;
            }
            Optional<Thing> same = before.filter(thing -> fits(thing, facts));
            if (same.isPresent()) {
                said.add(said(same.get(), facts, one));
            } else if (doubts.isEmpty()) {
                doubts.add(new Jotted.Doubt(
                        offset + text.length(),
                        offset + text.length(),
                        "which is it?",
                        names.all().stream()
                                .filter(thing -> fits(thing, facts))
                                .map(Thing::exactly)
                                .distinct()
                                .limit(OFFERED)
                                .toList()));
            }
            return;
        }
        List<Thing> settled = new ArrayList<>();
        for (Sentence.Named named : one.things) {
            which(named, one, facts)
                    // "birch bud crock" is one.
                    .filter(thing -> !settled.contains(thing) && settled.add(thing))
                    .ifPresent(thing -> said.add(said(thing, facts, one)));
        }
    }

    private static Jotted.Said said(Thing thing, List<Fact> facts, Sentence one) {
        return new Jotted.Said(
                thing,
                facts.stream().map(fact -> fact.of(thing.kind())).toList(),
                Optional.ofNullable(one.at),
                one.note);
    }

    private Optional<Thing> which(Sentence.Named named, Sentence one, List<Fact> facts) {
        if (facts.isEmpty() && one.note.isEmpty()) {
            if (doubts.isEmpty()) {
                doubt(named.first(), named.last(), "what of it?", List.of());
            }
            return Optional.empty();
        }
        List<Thing> fit =
                named.all().stream().filter(thing -> fits(thing, facts)).toList();
        String typed = text.substring(named.first().from(), named.last().to()).toLowerCase(Locale.ROOT);
        String words = typed.startsWith("the ") ? typed.substring("the ".length()) : typed;
        List<Thing> exact = fit.stream()
                .filter(thing -> thing.name().toLowerCase(Locale.ROOT).equals(words))
                .toList();
        List<Thing> best = fit.size() > 1 && exact.size() == 1 ? exact : fit;
        if (best.size() == 1) {
            return Optional.of(best.get(0));
        }
        if (best.isEmpty()) {
            one.facts.stream()
                    .filter(at -> named.all().stream().noneMatch(thing -> fits(thing, List.of(at.fact()))))
                    .findFirst()
                    .ifPresentOrElse(
                            at -> doubt(at.first(), at.last(), "that is not done to it", List.of()),
                            () -> doubt(named.first(), named.last(), "not all of that is done to one", List.of()));
        } else {
            List<String> choices =
                    best.stream().map(Thing::exactly).distinct().limit(OFFERED).toList();
            doubt(
                    named.first(),
                    named.last(),
                    choices.size() > 1
                            ? "there are %d of these".formatted(best.size())
                            : "there are %d of these: the page of each says which".formatted(best.size()),
                    choices.size() > 1 ? choices : List.of());
        }
        return Optional.empty();
    }

    private static boolean fits(Thing thing, List<Fact> facts) {
        return facts.isEmpty()
                ? thing.kind().keepsNotes()
                : facts.stream().map(fact -> fact.of(thing.kind())).allMatch(fact -> fits(thing, fact));
    }

    private static boolean fits(Thing thing, Fact fact) {
        return fact.fits(thing.kind())
                && !(fact instanceof AtThePan.Added added && !thing.takes().contains(added.part()))
                && !(fact instanceof AtThePan.StirredIn in && !thing.takes().contains(in.part()));
    }
}
