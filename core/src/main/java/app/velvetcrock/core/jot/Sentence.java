package app.velvetcrock.core.jot;

import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.jot.Lexicon.Verb;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.strain.Pressing;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What is said of one or several things, while it is read. */
final class Sentence {

    private static final Set<String> LIGHT = Set.of("took", "taken", "gave", "given");

    final List<Named> things = new ArrayList<>();
    final List<At> facts = new ArrayList<>();
    final List<Loose> loose = new ArrayList<>();

    @Nullable
    Open open;

    @Nullable
    Pressing pressing;

    @Nullable
    LocalDateTime at;

    String note = "";
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

    void add(Fact fact, Word first, Word last) {
        // That it looks well says nothing more beside what else was seen or smelled.
        boolean looked = fact instanceof Fact.Looked;
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
        boolean did = fact instanceof Fact.Did || fact instanceof Fact.Turned;
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
        if (fact instanceof Fact.Took took
                && took.how() != Held.DRAW
                && took.to().isEmpty()) {
            return Optional.of(new Fact.Took(took.how(), took.amount(), name));
        }
        return fact instanceof Fact.TookPieces took
                        && took.how() != Held.DRAW
                        && took.to().isEmpty()
                ? Optional.of(new Fact.TookPieces(took.how(), took.pieces(), name))
                : Optional.empty();
    }

    /** How it was pressed stands beside the amount, before or behind it. */
    Fact complete(Fact fact) {
        return fact instanceof Fact.Strained strained
                ? new Fact.Strained(strained.out(), Optional.ofNullable(pressing))
                : fact;
    }
}
