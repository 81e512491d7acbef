package app.velvetcrock.core.jot;

import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.jot.Lexicon.Verb;
import app.velvetcrock.core.jot.said.AtTheCupboard;
import app.velvetcrock.core.jot.said.AtThePan;
import app.velvetcrock.core.jot.said.AtTheStores;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** What is said of one or several things, while it is read. */
final class Sentence {

    private static final Set<String> LIGHT = Set.of("took", "taken", "take", "gave", "given");

    final List<Named> things = new ArrayList<>();
    final List<At> facts = new ArrayList<>();
    final List<Loose> loose = new ArrayList<>();

    @Nullable
    Open open;

    @Nullable
    Pressing pressing;

    @Nullable
    Snapped snapped;

    @Nullable
    Settling settling;

    /** Something was opened: all that was done to it, or on the way to something else. */
    @Nullable
    Loose opened;

    @Nullable
    Skin skin;

    @Nullable
    LocalDateTime at;

    String note = "";
    boolean clearGlass;
    boolean endsWithThing;

    /** Whom what is still to be said of went to: "gave to Inga 50 ml". */
    private String whom = "";

    /** What is named at one place: several, where several go by that name. */
    record Named(List<Thing> all, Word first, Word last) {}

    record At(Fact fact, Word first, Word last) {}

    /** A verb that waits for an amount. */
    record Open(Verb verb, Word first, Word last) {}

    /** A number nobody asked for yet. */
    record Loose(Word first, Word last, Optional<Quantity> amount, Optional<Temperature> degrees) {}

    record Snapped(Snap how, Word first, Word last) {}

    /** What is said to have settled, until it is known how. */
    record Settling(Optional<Quantity> clear, Optional<Volume> water, Word first, Word last) {}

    void settles(Word first, Word last) {
        settling = new Settling(Optional.empty(), Optional.empty(), first, last);
    }

    /** Tells whether so much is what is clear of what settled, and takes it. */
    boolean isClear(Quantity amount, Word last) {
        Settling before = settling;
        boolean clear = before != null && before.clear().isEmpty();
        if (before != null && clear) {
            settling = new Settling(Optional.of(amount), before.water(), before.first(), last);
        }
        return clear;
    }

    /** Tells whether so much water lay under what settled, and takes it. */
    boolean isUnder(Quantity amount, Word last) {
        Settling before = settling;
        boolean under = before != null && before.water().isEmpty() && amount instanceof Volume;
        if (before != null && under) {
            settling = new Settling(before.clear(), Optional.of((Volume) amount), before.first(), last);
        }
        return under;
    }

    boolean isWithout(Word last) {
        return isUnder(Volume.ZERO, last);
    }

    Skin reaction() {
        Skin here = skin == null ? new Skin() : skin;
        skin = here;
        return here;
    }

    /** Tells whether something of a kind goes by what was named. */
    boolean names(Thing.Kind kind) {
        return things.stream().flatMap(named -> named.all().stream()).anyMatch(thing -> thing.kind() == kind);
    }

    /** Tells whether something was named, and each may be such. */
    boolean all(Predicate<Thing> such) {
        return !things.isEmpty()
                && things.stream().allMatch(named -> named.all().stream().anyMatch(such));
    }

    /** Tells whether a verb says only once more what went into a melt: "4 g wax added". */
    boolean isAddedAlready(Verb verb) {
        return verb == Verb.TOP_UP && facts.stream().anyMatch(at -> at.fact() instanceof AtThePan.Added);
    }

    /** That something was opened says nothing more beside what else was done. */
    void opens() {
        Loose open = opened;
        if (open != null && facts.isEmpty() && loose.isEmpty() && this.open == null && names(Thing.Kind.STORE)) {
            add(new AtTheStores.Opened(), open.first(), open.last());
        }
    }

    void add(Fact fact, Word first, Word last) {
        // That it looks well says nothing more beside what else was seen or smelled.
        boolean looked = fact instanceof Fact.Looked;
        // "off the heat, into the freezer" is one.
        facts.removeIf(one -> fact instanceof AtThePan.OffHeat && one.fact().equals(new Fact.Did(TaskKind.HEAT_OFF)));
        facts.removeIf(one -> looked && one.fact().equals(Fact.LOOKS_WELL));
        boolean more = looked
                && fact.equals(Fact.LOOKS_WELL)
                && facts.stream().anyMatch(one -> one.fact() instanceof Fact.Looked);
        if (!more && facts.stream().noneMatch(one -> one.fact().equals(fact))) {
            facts.add(new At(fact, first, last));
        }
    }

    /** "gave it a shake", "took it off the heat": the verb says nothing by itself; "turned to low" is no shaking. */
    void lightVerbIsOver(Fact fact) {
        boolean did = fact instanceof Fact.Did || fact instanceof Fact.Turned || fact instanceof AtTheStores.TakenDown;
        if (did && open != null && LIGHT.contains(open.first().text())) {
            open = null;
        }
        if (fact instanceof Fact.Turned turned && turned.change() == HeatChange.SETTING) {
            facts.removeIf(one -> one.fact().equals(new Fact.Did(TaskKind.SHAKE))
                    && one.first().text().equals("turned"));
        }
    }

    /** "went mouldy, threw it out": why is what was found. */
    void thrownOutForWhatWasFound() {
        Open out = open;
        if (out == null || out.verb() != Verb.THROW_OUT) {
            return;
        }
        for (At one : List.copyOf(facts)) {
            Optional<Ruin> why = one.fact() instanceof Fact.Found found ? Lexicon.ruin(found.what()) : Optional.empty();
            if (why.isPresent()) {
                facts.remove(one);
                thrownOut(why.get(), out.last());
                return;
            }
        }
    }

    void thrownOut(Ruin why, Word last) {
        Open out = open;
        open = null;
        if (out != null) {
            add(new Fact.ThrownOut(why), out.first(), last);
        }
    }

    /** Whom it goes to, and from then on to nobody named. */
    String whom() {
        String said = whom;
        whom = "";
        return said;
    }

    /** Tells whether somebody is whom what was said last went to, or what is still to be said, and takes her. */
    boolean takesWhom(String name) {
        for (int last = facts.size() - 1; open == null && last >= 0; last--) {
            At one = facts.get(last);
            Optional<Fact> to = to(one.fact(), name);
            if (to.isPresent()) {
                facts.set(last, new At(to.get(), one.first(), one.last()));
                return true;
            }
        }
        if (open != null && open.verb().isTaking() && open.verb().how() != Held.DRAW && whom.isEmpty()) {
            whom = name;
            return true;
        }
        return false;
    }

    private static Optional<Fact> to(Fact fact, String name) {
        if (fact instanceof AtTheCupboard.Took took
                && took.how() != Held.DRAW
                && took.to().isEmpty()) {
            return Optional.of(new AtTheCupboard.Took(took.how(), took.amount(), name));
        }
        return fact instanceof AtTheCupboard.TookPieces took
                        && took.how() != Held.DRAW
                        && took.to().isEmpty()
                ? Optional.of(new AtTheCupboard.TookPieces(took.how(), took.pieces(), name))
                : Optional.empty();
    }

    /** How it was pressed, and the glass it was filled into, stand beside the amount, before or behind it. */
    Fact complete(Fact fact) {
        if (fact instanceof AtTheCupboard.Bottled bottled && clearGlass) {
            return new AtTheCupboard.Bottled(bottled.bottles(), bottled.size(), Glass.CLEAR);
        }
        return fact instanceof Fact.Strained strained
                ? new Fact.Strained(strained.out(), Optional.ofNullable(pressing))
                : fact;
    }
}
