package app.velvetcrock.jot;

import app.velvetcrock.core.book.NextStep;
import app.velvetcrock.core.intake.Arriving;
import app.velvetcrock.core.jot.Jotted;
import app.velvetcrock.core.jot.said.AtTheCupboard;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.jot.said.Thing;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A line as it was understood, worded.
 *
 * @param parts the line in pieces, those in doubt marked; empty while all is clear
 * @param canWrite whether Enter writes it
 * @param first what stands before all else, where somebody's skin took it ill; empty otherwise
 */
record JotPage(List<Said> said, List<Part> parts, List<Asked> asked, boolean canWrite, String first) {

    /** A sentence as the log will show it. */
    record Said(String thing, String facts, String when) {}

    record Part(String text, boolean doubt) {}

    /** What is asked of some words, and the whole line with each choice in their place. */
    record Asked(String words, String why, List<Choice> choices) {}

    record Choice(String words, String line) {}

    /** A line to learn from, by the household's own things. */
    record Example(String line) {}

    static JotPage of(String line, Jotted read, House house, Function<Arriving, String> words) {
        Stream<Said> arrived = read.arrived().stream().map(one -> new Said("Came in", words.apply(one), "today"));
        Stream<Said> done = read.said().stream()
                .map(one -> new Said(
                        named(one.thing()),
                        facts(one, house),
                        one.at()
                                .map(at -> house.moment(
                                        at.atZone(house.settings().zone()).toInstant()))
                                .orElse("now")));
        return new JotPage(
                Stream.concat(arrived, done).toList(),
                read.doubts().isEmpty() ? List.of() : parts(line, read.doubts()),
                read.doubts().stream().map(doubt -> asked(line, doubt)).toList(),
                read.isClear(),
                isUrgent(read) ? NextStep.NOW : "");
    }

    /** Tells whether help is wanted before anything is written down. */
    static boolean isUrgent(Jotted read) {
        return read.said().stream()
                .flatMap(said -> said.facts().stream())
                .anyMatch(fact -> fact instanceof AtTheCupboard.Reacted reacted
                        && NextStep.isGrave(reacted.strength(), reacted.spreading()));
    }

    private static String named(Thing thing) {
        return switch (thing.kind()) {
            case JAR, HEATED -> "%s, jar %d".formatted(thing.name(), thing.number());
            case OIL, GOOD -> "%s, batch %d".formatted(thing.name(), thing.number());
            case MELT -> "%s %d, in the pan".formatted(thing.name(), thing.number());
            case RACK -> thing.name() + ", on the rack";
            case HERB, STORE -> thing.name();
        };
    }

    private static String facts(Jotted.Said said, House house) {
        String facts = said.facts().stream()
                .map((Fact fact) -> fact.words(house.wording()))
                .collect(Collectors.joining(", "));
        return Stream.of(facts, said.note().isEmpty() ? "" : "“%s”".formatted(said.note()))
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining(", "));
    }

    private static List<Part> parts(String line, List<Jotted.Doubt> doubts) {
        List<Part> parts = new ArrayList<>();
        int at = 0;
        for (Jotted.Doubt doubt : doubts.stream()
                .sorted((one, other) -> one.from() - other.from())
                .toList()) {
            if (doubt.from() < at || doubt.from() == doubt.to()) {
                continue;
            }
            parts.add(new Part(line.substring(at, doubt.from()), false));
            parts.add(new Part(line.substring(doubt.from(), doubt.to()), true));
            at = doubt.to();
        }
        parts.add(new Part(line.substring(at), false));
        return parts.stream().filter(part -> !part.text().isEmpty()).toList();
    }

    private static Asked asked(String line, Jotted.Doubt doubt) {
        String words = line.substring(doubt.from(), doubt.to());
        return new Asked(
                words,
                doubt.why(),
                doubt.choices().stream()
                        .map(choice -> new Choice(
                                choice,
                                // What is missing is said where its part of the line ends.
                                "%s%s%s%s"
                                        .formatted(
                                                line.substring(0, doubt.from()),
                                                words.isEmpty() ? " " : "",
                                                choice,
                                                line.substring(doubt.to()))))
                        .toList());
    }

    /** What this household could scribble now. */
    static List<Example> examples(List<Thing> things) {
        List<Example> all = new ArrayList<>();
        things.stream().filter(one -> one.kind() == Thing.Kind.JAR).findFirst().ifPresent(jar -> {
            String name = jar.exactly().toLowerCase(Locale.ROOT);
            all.add(new Example(name + " shaken, smells green"));
            all.add(new Example(name + " shaken yesterday 18:30"));
            all.add(new Example(name + " stands out, pushed under - more leaf than last year"));
        });
        things.stream()
                .filter(one -> one.kind() == Thing.Kind.HEATED)
                .findFirst()
                .ifPresent(pot -> {
                    boolean one = things.stream()
                                    .filter(each -> each.kind() == Thing.Kind.HEATED)
                                    .count()
                            == 1;
                    String name = one && pot.alsoCalled().contains("crock") ? "the crock" : pot.exactly();
                    all.add(new Example(name.toLowerCase(Locale.ROOT) + " 46.2, water topped up"));
                    all.add(new Example(name.toLowerCase(Locale.ROOT) + " lid off, to warm"));
                });
        things.stream().filter(one -> one.kind() == Thing.Kind.OIL).findFirst().ifPresent(oil -> {
            String name = oil.exactly().toLowerCase(Locale.ROOT);
            all.add(new Example(name + " drew 20 ml, smells ok"));
        });
        things.stream()
                .filter(one -> one.kind() == Thing.Kind.GOOD)
                .findFirst()
                .ifPresent(good -> all.add(
                        new Example("gave a %s to Inga".formatted(good.exactly().toLowerCase(Locale.ROOT)))));
        example(things, Thing.Kind.RACK, "%s weighs 137 g, snaps").ifPresent(all::add);
        example(things, Thing.Kind.STORE, "%s opened").ifPresent(all::add);
        example(things, Thing.Kind.MELT, "%s spoon soft, +4 g wax").ifPresent(all::add);
        all.add(new Example("came in: 100 g beeswax 6.50"));
        return all;
    }

    private static Optional<Example> example(List<Thing> things, Thing.Kind kind, String line) {
        return things.stream()
                .filter(one -> one.kind() == kind)
                .findFirst()
                .map(one -> new Example(line.formatted(one.exactly().toLowerCase(Locale.ROOT))));
    }
}
