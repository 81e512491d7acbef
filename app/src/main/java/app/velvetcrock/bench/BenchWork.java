package app.velvetcrock.bench;

import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.web.Fields;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The Bench as it stands: what was typed, what was understood, and the plan when all of it was clear.
 *
 * @param way the way as chosen, without the numbers typed for it
 */
public record BenchWork(BenchForm form, Fields fields, BenchShelves shelves, Method way, Optional<Planned> planned) {

    /** The fields of the sentence, in their order, that have something said about them. */
    private static final List<String> SENTENCE = List.of(
            "amount", "herb", "cut", "oil", "carrier", "jar", "length", "start", "use", "pressing", "storage", "total");

    private static final List<String> ASIDE =
            List.of("mix.first", "want.amount", "want.container", "want.firmness", "want.kind");

    /** The blanks that something is said beside; what is said of days and of numbers stands with these. */
    public List<String> besides() {
        Stream<String> herbs = IntStream.range(0, form.rows().size())
                .boxed()
                .flatMap(i -> Stream.of("more[%d].amount".formatted(i), "more[%d].herb".formatted(i)));
        Stream<String> oils = IntStream.range(
                        0, Objects.requireNonNull(form.mix()).rows().size())
                .boxed()
                .flatMap(i -> Stream.of("mix.more[%d].share".formatted(i), "mix.more[%d].carrier".formatted(i)));
        return Stream.of(SENTENCE.stream(), herbs, oils, ASIDE.stream())
                .flatMap(names -> names)
                .filter(fields::isNoted)
                .toList();
    }

    /** Tells whether what is planned is food of anything moist, whose place is the refrigerator. */
    public boolean isMoistFood() {
        return planned.filter(p -> p.plan().isMoistFood()).isPresent();
    }

    /** Why another way stands here than the one that was asked for; absent where none does. */
    public Optional<String> movedOn() {
        return Optional.ofNullable(fields.echoOf("method"));
    }

    /** Tells whether any of its herbs is fresh, and so does not like to wait. */
    public boolean isFresh() {
        return planned.filter(p -> !p.plan().request().wettest().isDried()
                        && p.plan().request().wettest() != Moisture.WILTED)
                .isPresent();
    }

    /**
     * How long its second stage takes: as planned, else as typed; null of a way that has none.
     */
    public NumbersSentence.@Nullable Blank then() {
        if (way.stages().size() < 2) {
            return null;
        }
        Stage second = way.stages().get(1);
        String words = planned.map(p -> second.pace()
                        .words(p.plan().request().circumstances().lengths().get(1)))
                .orElse(form.then() == null ? "" : form.then());
        return new NumbersSentence.Blank("then " + second.name(), "then", words, "");
    }

    /** Tells whether its way moistens the herb with a spirit, and one is there to choose. */
    public boolean takesSpirit() {
        return way.base().is(Method.SPIRIT_FIRST) && !shelves.spirits().isEmpty();
    }

    /** Tells whether this can be started just so. */
    public boolean canStart() {
        return fields.isClear()
                && planned.filter(p ->
                                p.parts().stream().allMatch(part -> part.plan().canStart()))
                        .isPresent();
    }
}
