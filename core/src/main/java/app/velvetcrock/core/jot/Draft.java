package app.velvetcrock.core.jot;

import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.jot.Lexicon.Says;
import app.velvetcrock.core.jot.Lexicon.Verb;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a part of a line comes to, while it is read word by word. */
final class Draft {

    private static final int OFFERED = 6;

    private final Names names;
    private final String text;
    private final int offset;
    private final Optional<Thing> before;
    private final List<Sentence> sentences = new ArrayList<>(List.of(new Sentence()));
    private final List<Jotted.Doubt> doubts = new ArrayList<>();

    /** {@code offset}: where the part begins; {@code before}: what the one before it was of. */
    Draft(Names names, String text, int offset, Optional<Thing> before) {
        this.names = names;
        this.text = text;
        this.offset = offset;
        this.before = before;
    }

    private Sentence here() {
        return sentences.get(sentences.size() - 1);
    }

    void doubt(Word first, Word last, String why, List<String> choices) {
        doubts.add(new Jotted.Doubt(offset + first.from(), offset + last.to(), why, choices));
    }

    List<Jotted.Doubt> doubts() {
        return doubts;
    }

    void at(LocalDateTime at, Word first, Word last) {
        if (here().at != null && !at.equals(here().at)) {
            doubt(first, last, "there are two times: part them by a semicolon", List.of());
        }
        here().at = at;
        here().endsWithThing = false;
    }

    void note(List<Word> words) {
        List<Word> said = words.stream().dropWhile(Word::isSign).toList();
        if (!said.isEmpty()) {
            here().note =
                    text.substring(said.get(0).from(), said.get(said.size() - 1).to());
        }
    }

    void says(Says says, Word first, Word last) {
        Sentence here = here();
        here.endsWithThing = false;
        Optional<Ruin> cause = here.open != null && here.open.verb() == Verb.THROW_OUT
                ? Lexicon.cause(first.text())
                : Optional.empty();
        if (cause.isPresent()) {
            here.thrownOut(cause.get(), last);
        } else if (says instanceof Says.Whole whole) {
            here.lightVerbIsOver(whole.fact());
            boolean bath = whole.fact() instanceof Fact.Turned turned && turned.change() == HeatChange.BATH_TOPPED_UP;
            if (bath && here.open != null && here.open.verb() == Verb.TOP_UP) {
                here.open = null;
            }
            here.add(whole.fact(), first, last);
        } else if (says instanceof Says.Wants wants) {
            here.open = new Sentence.Open(wants.verb(), first, last);
            here.loose.stream()
                    .filter(one -> one.amount().isPresent() && one.degrees().isEmpty())
                    .findFirst()
                    .ifPresent(one -> {
                        here.loose.remove(one);
                        amount(one.amount().get(), one.first(), last);
                    });
        } else if (says instanceof Says.Pressed pressed) {
            here.pressing = pressed.how();
        } else if (says instanceof Says.Unclear unclear) {
            doubt(first, last, "which of these is meant?", unclear.instead());
        }
    }

    void smelled(Smell smell, String said, Word first, Word last) {
        here().endsWithThing = false;
        here().add(new Fact.Looked(smell, Optional.empty(), said), first, last);
    }

    void warm(Temperature degrees, Word first, Word last) {
        here().endsWithThing = false;
        here().add(new Fact.Warm(degrees), first, last);
    }

    /** An amount goes to the verb that waits for one, or waits for its verb. */
    void amount(Quantity amount, Word first, Word last) {
        Sentence here = here();
        here.endsWithThing = false;
        Sentence.Open open = here.open;
        if (open == null || open.verb() == Verb.THROW_OUT) {
            here.loose.add(new Sentence.Loose(first, last, Optional.of(amount), Optional.empty()));
            return;
        }
        here.open = null;
        switch (open.verb()) {
            case TOP_UP -> here.add(new Fact.ToppedUp(amount), open.first(), last);
            case STRAIN -> here.add(new Fact.Strained(amount, Optional.empty()), open.first(), last);
            case DRAW, GIVE, SELL -> here.add(
                    new Fact.Took(open.verb().how(), amount, here.whom()), open.first(), last);
            case THROW_OUT -> throw new IllegalStateException("nothing is thrown out by its amount");
        }
    }

    /** Tells whether a verb waits for an amount. */
    boolean waits() {
        Sentence.Open open = here().open;
        return open != null && open.verb() != Verb.THROW_OUT;
    }

    /** Tells whether a word behind a verb of giving is whom it went to, and takes it; somebody's name begins with a capital. */
    boolean takesWhom(Word word, Word behind) {
        Sentence.Open open = here().open;
        return open != null
                && open.last().equals(behind)
                && Character.isUpperCase(text.charAt(word.from()))
                && here().takesWhom(text.substring(word.from(), word.to()));
    }

    /** Tells whether a number says how many pieces were used, given or sold, and takes it. */
    boolean takesCount(int pieces, Word word) {
        Sentence here = here();
        Sentence.Open open = here.open;
        if (open == null || !open.verb().isTaking() || pieces < 1) {
            return false;
        }
        here.open = null;
        here.endsWithThing = false;
        here.add(new Fact.TookPieces(open.verb().how(), pieces, here.whom()), open.first(), word);
        return true;
    }

    /** A number that names nothing: grams, while somebody waits for what came out; else nobody knows yet. */
    void number(Word word, Optional<Quantity> grams, Optional<Temperature> degrees) {
        Sentence here = here();
        here.endsWithThing = false;
        if (here.open != null && here.open.verb() == Verb.STRAIN && grams.isPresent()) {
            amount(grams.get(), word, word);
        } else {
            here.loose.add(new Sentence.Loose(word, word, grams, degrees));
        }
    }

    /** Tells whether a whole number names a jar here, and takes it: the one of several it belongs to, or one by itself. */
    boolean takesNumber(int number, Word word) {
        if (takesOneOf(number, word)) {
            return true;
        }
        Sentence here = here();
        Optional<Thing> numbered = names.numbered(number).filter(one -> here.things.isEmpty() || here.endsWithThing);
        numbered.ifPresent(one -> thing(List.of(one), word, word));
        return numbered.isPresent();
    }

    /** Tells whether a number says which of several is meant that were just named, and takes it. */
    boolean takesOneOf(int number, Word word) {
        Sentence here = here();
        if (!here.endsWithThing) {
            return false;
        }
        Sentence.Named last = here.things.get(here.things.size() - 1);
        Optional<Thing> one =
                last.all().stream().filter(thing -> thing.number() == number).findFirst();
        one.ifPresent(thing ->
                here.things.set(here.things.size() - 1, new Sentence.Named(List.of(thing), last.first(), word)));
        return one.isPresent();
    }

    /** Something is named: of what was said so far, one of several it was done to, or the next. */
    void thing(List<Thing> all, Word first, Word last) {
        Sentence here = here();
        boolean isNext = !here.things.isEmpty()
                && !here.endsWithThing
                && !(here.facts.isEmpty() && here.loose.isEmpty() && here.open == null);
        if (isNext) {
            sentences.add(new Sentence());
        }
        here().things.add(new Sentence.Named(all, first, last));
        here().endsWithThing = true;
    }

    /** Tells whether a word is who something went to, or why it was thrown out, and takes it. */
    boolean takesName(Word word, String behind) {
        Sentence here = here();
        Optional<Ruin> cause =
                here.open != null && here.open.verb() == Verb.THROW_OUT ? Lexicon.cause(word.text()) : Optional.empty();
        if (cause.isPresent()) {
            here.thrownOut(cause.get(), word);
            return true;
        }
        return behind.equals("to") && here.takesWhom(text.substring(word.from(), word.to()));
    }

    /** All that was said, with a note on the last of it; what is not settled stands among the doubts. */
    List<Jotted.Said> finish(String note) {
        Sentence last = here();
        last.note = last.note.isEmpty() ? note : last.note;
        List<Jotted.Said> said = new ArrayList<>();
        for (Sentence one : sentences) {
            loose(one);
            one.thrownOutForWhatWasFound();
            if (one.open != null) {
                boolean out = one.open.verb() == Verb.THROW_OUT;
                doubt(
                        one.open.first(),
                        one.open.last(),
                        out ? "why?" : "how much?",
                        out
                                ? Stream.of("mould", "sour", "rancid", "spilled")
                                        .map(why -> "thrown out, " + why)
                                        .toList()
                                : List.of());
            }
            settle(one, said);
        }
        return said;
    }

    private void loose(Sentence one) {
        boolean heated = !one.things.isEmpty()
                && one.things.stream()
                        .allMatch(named -> named.all().stream().anyMatch(thing -> thing.kind() == Thing.Kind.HEATED));
        for (Sentence.Loose number : one.loose) {
            boolean alone = one.things.isEmpty()
                    && one.facts.isEmpty()
                    && !number.first().isWhole();
            if (number.degrees().isPresent() && (heated || alone)) {
                one.add(new Fact.Warm(number.degrees().get()), number.first(), number.last());
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
                said.add(new Jotted.Said(same.get(), facts, Optional.ofNullable(one.at), one.note));
            } else if (doubts.isEmpty()) {
                doubts.add(new Jotted.Doubt(
                        offset + text.length(),
                        offset + text.length(),
                        "which is it?",
                        names.all().stream()
                                .filter(thing -> fits(thing, facts))
                                .map(Thing::exactly)
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
                    .ifPresent(thing -> said.add(new Jotted.Said(thing, facts, Optional.ofNullable(one.at), one.note)));
        }
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
                    .filter(at ->
                            named.all().stream().noneMatch(thing -> at.fact().fits(thing.kind())))
                    .findFirst()
                    .ifPresent(at -> doubt(at.first(), at.last(), "that is not done to it", List.of()));
        } else {
            doubt(
                    named.first(),
                    named.last(),
                    "there are %d of these".formatted(best.size()),
                    best.stream().map(Thing::exactly).limit(OFFERED).toList());
        }
        return Optional.empty();
    }

    private static boolean fits(Thing thing, List<Fact> facts) {
        return facts.stream().allMatch(fact -> fact.fits(thing.kind()));
    }
}
