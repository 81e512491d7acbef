package app.velvetcrock.core.jot;

import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.jot.Lexicon.Says;
import app.velvetcrock.core.jot.Lexicon.Verb;
import app.velvetcrock.core.jot.said.AtTheCupboard;
import app.velvetcrock.core.jot.said.AtThePan;
import app.velvetcrock.core.jot.said.AtTheStores;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a part of a line comes to, while it is read word by word. */
final class Draft {

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
        } else if (says instanceof Says.Wants wants && !here.isAddedAlready(wants.verb())) {
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
        } else if (says instanceof Says.Snapped snapped) {
            here.snapped = new Sentence.Snapped(snapped.how(), first, last);
        } else if (says instanceof Says.Settles) {
            here.settles(first, last);
        } else if (says instanceof Says.Dry) {
            if (!here.isWithout(last)) {
                doubt(first, last, "where was none?", List.of());
            }
        } else if (says instanceof Says.ClearGlass) {
            here.clearGlass = true;
        } else if (says instanceof Says.Opened) {
            here.opened = new Sentence.Loose(first, last, Optional.empty(), Optional.empty());
        } else if (says instanceof Says.Reacts reacts) {
            here.reaction().says(reacts.none(), first, last);
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
        if (open == null && here.isClear(amount, last)) {
            return;
        }
        if (open == null || !open.verb().takesAmount()) {
            here.loose.add(new Sentence.Loose(first, last, Optional.of(amount), Optional.empty()));
            return;
        }
        here.open = null;
        switch (open.verb()) {
            case TOP_UP -> here.add(new Fact.ToppedUp(amount), open.first(), last);
            case STRAIN -> here.add(new Fact.Strained(amount, Optional.empty()), open.first(), last);
            case DRAW, GIVE, SELL -> here.add(
                    new AtTheCupboard.Took(open.verb().how(), amount, here.whom()), open.first(), last);
            case LEFT -> here.add(new AtTheStores.Left(amount), open.first(), last);
            case WEIGH -> {
                if (amount instanceof Mass now) {
                    here.add(new AtTheStores.Weighed(now, Snap.NOT_TRIED), open.first(), last);
                } else {
                    doubt(open.first(), last, "what does it weigh?", List.of());
                }
            }
            case BOTTLE -> doubt(
                    open.first(),
                    last,
                    "how many of them?",
                    List.of("bottled 1 x " + text.substring(first.from(), last.to())));
            case THROW_OUT, STIR_IN -> throw new IllegalStateException("not done by an amount");
        }
    }

    /** Tells whether a verb waits for an amount. */
    boolean waits() {
        Sentence.Open open = here().open;
        return here().settling != null || open != null && open.verb().takesAmount();
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
        here.add(new AtTheCupboard.TookPieces(open.verb().how(), pieces, here.whom()), open.first(), word);
        return true;
    }

    /** Tells whether what is weighed is no liquid: an ounce of it is one of weight. */
    boolean isSolid() {
        Sentence.Open open = here().open;
        return open != null && open.verb() == Verb.WEIGH || here().all(thing -> thing.kind() == Thing.Kind.RACK);
    }

    /** Tells whether what was said to have settled had so much water under it, and takes it. */
    boolean takesWater(Quantity amount, Word last) {
        return here().isUnder(amount, last);
    }

    /** So many bottles of one size, where bottles are filled. */
    boolean takesBottles(int bottles, Volume size, Word last) {
        Sentence here = here();
        Sentence.Open open = here.open;
        if (open == null || open.verb() != Verb.BOTTLE && open.verb() != Verb.TOP_UP) {
            return false;
        }
        here.open = null;
        here.endsWithThing = false;
        here.add(new AtTheCupboard.Bottled(bottles, size, Glass.DARK), open.first(), last);
        return true;
    }

    /** Tells whether an amount is of what goes into the melt that is spoken of, and takes it. */
    boolean takesPart(Quantity amount, Thing.Part part, Word first, Word last) {
        Sentence here = here();
        boolean plus = first.from() > 0
                && text.substring(0, first.from()).stripTrailing().endsWith("+");
        Optional<Sentence.Open> open = Optional.ofNullable(here.open);
        boolean added = open.filter(one -> one.verb() == Verb.TOP_UP).isPresent();
        if (part.stirredIn() || !plus && !added && !here.names(Thing.Kind.MELT)) {
            return false;
        }
        Word from = added ? open.orElseThrow().first() : first;
        here.open = added ? null : here.open;
        here.endsWithThing = false;
        here.add(new AtThePan.Added(amount, part), from, last);
        return true;
    }

    /** Tells whether something was stirred in that goes by a name of the melt's, and takes it. */
    boolean takesStirredIn(Thing.Part part, boolean in, Word first, Word last) {
        Sentence here = here();
        Optional<Sentence.Open> open = Optional.ofNullable(here.open);
        boolean stirred = open.filter(one -> one.verb() == Verb.STIR_IN).isPresent();
        if (!stirred && !(in && part.stirredIn() && here.names(Thing.Kind.MELT))) {
            return false;
        }
        Word from = stirred ? open.orElseThrow().first() : first;
        here.open = stirred ? null : here.open;
        here.endsWithThing = false;
        here.add(new AtThePan.StirredIn(part), from, last);
        return true;
    }

    /** What is said of somebody's skin; absent while nothing is. */
    Optional<Skin> skin() {
        return Optional.ofNullable(here().skin);
    }

    /** The same; from now on something is. */
    Skin reaction() {
        return here().reaction();
    }

    String typed(Word word) {
        return text.substring(word.from(), word.to());
    }

    /** A number that names nothing: grams, while somebody waits for what came out; else nobody knows yet. */
    void number(Word word, Optional<Quantity> grams, Optional<Temperature> degrees) {
        Sentence here = here();
        here.endsWithThing = false;
        boolean weighed = here.open != null
                && (here.open.verb() == Verb.STRAIN || here.open.verb() == Verb.WEIGH && here.names(Thing.Kind.RACK));
        if (weighed && grams.isPresent()) {
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
        return new Closing(names, text, offset, before, doubts).all(sentences);
    }
}
