package app.velvetcrock.book;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.core.book.NextStep;
import app.velvetcrock.core.book.Relatives;
import app.velvetcrock.core.book.Suspects;
import app.velvetcrock.core.book.Suspects.Hypothesis;
import app.velvetcrock.core.book.Suspects.Outcome;
import app.velvetcrock.core.book.Suspects.Suspect;
import app.velvetcrock.core.book.Suspects.What;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.learned.Reactions;
import app.velvetcrock.parting.Person;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.stock.kinship.Contents;
import app.velvetcrock.stock.kinship.Contents.In;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What somebody used, what she may have reacted to, and what of it is here. */
@Component
class ReactionPages {

    private static final int SHOWN = 8;
    private static final int FREE = 24;
    private static final double PERCENT = 100;

    private final Reactions reactions;
    private final Contents contents;
    private final Batches batches;
    private final Goods goods;
    private final Oils oils;
    private final Catalogue catalogue;
    private final Materia materia;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    ReactionPages(
            Reactions reactions,
            Contents contents,
            Batches batches,
            Goods goods,
            Oils oils,
            Catalogue catalogue,
            Materia materia,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.reactions = reactions;
        this.contents = contents;
        this.batches = batches;
        this.goods = goods;
        this.oils = oils;
        this.catalogue = catalogue;
        this.materia = materia;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /** Something she used; {@code again} when the skin is to be looked at once more, empty where it was. */
    record Row(UUID id, String name, String words, String again, boolean due) {}

    /** Something that may be it. */
    record Line(
            String what,
            String key,
            String name,
            String kind,
            long percent,
            String word,
            List<String> evidence,
            List<Lot> lots,
            boolean known) {}

    /** A lot of a suspect, with its page of all that was made of it and who has that. */
    record Lot(UUID id, String name, boolean held) {}

    /** One person's reactions. */
    record Page(
            UUID person,
            String nickname,
            String minded,
            boolean urgent,
            List<Row> rows,
            List<Line> lines,
            String step,
            String suspect,
            String relatives,
            List<String> free,
            int waiting) {}

    /** What is suspected of a person, with what it is in; {@code anywhere} what is in anything that is here, stands or is in the pan. */
    record Case(List<Reactions.Kept> kept, Map<UUID, List<In>> in, Set<UUID> anywhere, List<Suspect> suspects) {}

    Case of(UUID person) {
        List<Reactions.Kept> kept = reactions.of(person);
        Set<UUID> lots = kept.stream().flatMap(one -> one.used().lot().stream()).collect(Collectors.toSet());
        Set<UUID> there = new HashSet<>(contents.usedIn(batches.unfinished()));
        here().forEach(one -> there.add(one.id()));
        lots.addAll(there);
        Map<UUID, List<In>> in = contents.of(lots);
        List<Outcome> outcomes = kept.stream()
                .filter(Reactions.Kept::counts)
                .map(one -> outcome(one.used(), in))
                .toList();
        return new Case(
                kept,
                in,
                there.stream()
                        .flatMap(lot -> in.getOrDefault(lot, List.of()).stream())
                        .map(In::lot)
                        .collect(Collectors.toSet()),
                outcomes.stream().allMatch(one -> one.strength() == Suspects.Strength.NONE)
                        ? List.of()
                        : Suspects.of(outcomes));
    }

    /** An oil or a made thing that is here. */
    private record Here(UUID id, String name) {}

    private List<Here> here() {
        return Stream.concat(
                        goods.inStock().stream().map(one -> new Here(one.id(), one.name())),
                        oils.left().stream().map(one -> new Here(one.id(), one.name())))
                .toList();
    }

    private Outcome outcome(Reactions.Used used, Map<UUID, List<In>> in) {
        Set<Hypothesis> contains = new HashSet<>();
        String of = used.lot().map(UUID::toString).orElse("own:" + used.name().toLowerCase(Locale.ROOT));
        if (used.lot().isEmpty()) {
            contains.add(new Hypothesis(What.KIND, of, used.name()));
        }
        for (In one : used.lot().map(lot -> in.getOrDefault(lot, List.of())).orElse(List.of())) {
            if (one.isRaw()) {
                contains.add(new Hypothesis(What.KIND, one.kindKey(), kindName(one)));
                contains.add(new Hypothesis(What.LOT, one.lot().toString(), one.name()));
            }
        }
        // Tins and bottles of one batch are one: the strongest of them counts.
        Optional<UUID> batch = used.lot().flatMap(lot -> in.getOrDefault(lot, List.of()).stream()
                .filter(one -> one.lot().equals(lot))
                .flatMap(one -> one.batch().stream())
                .findFirst());
        batch.ifPresent(id -> contains.add(new Hypothesis(What.BATCH, id.toString(), used.name())));
        return new Outcome(batch.map(UUID::toString).orElse(of), used.name(), contains, used.strength());
    }

    private String kindName(In one) {
        return catalogue.herbs().stream()
                .filter(kind -> kind.key().equals(one.kindKey()))
                .map(kind -> kind.common())
                .findFirst()
                .or(() -> catalogue.carriers().stream()
                        .filter(kind -> kind.key().equals(one.kindKey()))
                        .map(kind -> kind.common())
                        .findFirst())
                .or(() -> materia.supply(one.kindKey()).map(kind -> kind.common()))
                .orElse(one.name())
                .toLowerCase(Locale.ROOT);
    }

    Set<String> traits(String key) {
        Set<String> traits = new HashSet<>();
        catalogue.herbs().stream().filter(kind -> kind.key().equals(key)).forEach(kind -> traits.addAll(kind.traits()));
        catalogue.carriers().stream()
                .filter(kind -> kind.key().equals(key))
                .forEach(kind -> traits.addAll(kind.traits()));
        materia.supply(key).ifPresent(kind -> traits.addAll(kind.traits()));
        return traits;
    }

    Page page(Person person) {
        House house = households.current();
        LocalDate today = house.dayOf(clock.instant());
        Case found = of(person.id());
        List<NextStep.Seen> seen = found.kept().stream()
                .map(one -> new NextStep.Seen(
                        one.used().strength(),
                        one.used().spreading(),
                        one.used().on()))
                .toList();
        Optional<Hypothesis> first = found.suspects().stream()
                .map(Suspect::hypothesis)
                .filter(one -> one.what() == What.KIND)
                .findFirst();
        return new Page(
                person.id(),
                person.nickname(),
                person.minded(),
                NextStep.isUrgent(seen, today),
                found.kept().stream().map(one -> row(one, house, today)).toList(),
                lines(found, person),
                found.kept().isEmpty() ? "" : NextStep.of(person.who(), seen, today),
                first.map(Hypothesis::name).orElse(""),
                first.map(one -> String.join("; ", Relatives.names(one.key(), traits(one.key()))))
                        .orElse(""),
                first.map(one -> free(one, found.in())).orElse(List.of()),
                (int) found.kept().stream().filter(one -> !one.counts()).count());
    }

    private static Row row(Reactions.Kept one, House house, LocalDate today) {
        Reactions.Used used = one.used();
        List<String> words = new ArrayList<>();
        words.add("used " + house.date(used.on()));
        words.add(used.strength().word());
        Stream.of(used.place(), used.lasted(), used.patch() ? "a patch" : "", used.spreading() ? "! it spread" : "")
                .filter(word -> !word.isEmpty())
                .forEach(words::add);
        return new Row(
                one.id(),
                used.name(),
                String.join(", ", words),
                one.again().map(house::date).orElse(""),
                one.again().filter(day -> !day.isAfter(today)).isPresent());
    }

    private List<Line> lines(Case found, Person person) {
        Set<UUID> held = conditions.open().stream()
                .filter(told -> told.kind() == Condition.ON_HOLD)
                .flatMap(told -> Optional.ofNullable(told.subject().lot()).stream())
                .collect(Collectors.toSet());
        List<Suspect> shown = found.suspects().stream().limit(SHOWN).toList();
        Map<String, List<In>> kinds = contents
                .ofKinds(
                        shown.stream()
                                .map(Suspect::hypothesis)
                                .filter(one -> one.what() == What.KIND)
                                .map(Hypothesis::key)
                                .toList(),
                        found.anywhere())
                .stream()
                .collect(Collectors.groupingBy(In::kindKey));
        return shown.stream()
                .map(one -> new Line(
                        one.hypothesis().what().name(),
                        one.hypothesis().key(),
                        one.hypothesis().name(),
                        switch (one.hypothesis().what()) {
                            case KIND, NONE_OF_THESE -> "";
                            case LOT -> "this lot of it";
                            case BATCH -> "this batch itself";
                        },
                        Math.round(one.share() * PERCENT),
                        one.word(),
                        evidence(one),
                        (one.hypothesis().what() == What.KIND
                                        ? kinds.getOrDefault(one.hypothesis().key(), List.of())
                                        : lots(one.hypothesis(), found))
                                .stream()
                                        .map(lot -> new Lot(lot.lot(), lot.name(), held.contains(lot.lot())))
                                        .toList(),
                        person.who().reacts().stream().anyMatch(known -> known.key()
                                .equals(one.hypothesis().key()))))
                .toList();
    }

    private static List<String> evidence(Suspect one) {
        List<String> lines = new ArrayList<>();
        one.held()
                .forEach(outcome -> lines.add("%s holds it: %s"
                        .formatted(outcome.name(), outcome.strength().word())));
        one.without()
                .forEach(outcome -> lines.add("%s does not: %s"
                        .formatted(outcome.name(), outcome.strength().word())));
        return lines;
    }

    /** The lots of what is suspected: of a kind each that is here, or is in anything that is here, stands or is in the pan. */
    List<In> lots(Hypothesis suspect, Case found) {
        if (suspect.what() == What.KIND) {
            return contents.ofKinds(List.of(suspect.key()), found.anywhere());
        }
        Map<UUID, In> lots = new LinkedHashMap<>();
        found.in().values().stream()
                .flatMap(List::stream)
                .filter(one -> is(suspect, one))
                .forEach(one -> lots.putIfAbsent(one.lot(), one));
        return List.copyOf(lots.values());
    }

    private static boolean is(Hypothesis suspect, In one) {
        return switch (suspect.what()) {
            case LOT -> one.lot().toString().equals(suspect.key());
            case BATCH -> !one.isRaw()
                    && one.batch()
                            .map(UUID::toString)
                            .filter(suspect.key()::equals)
                            .isPresent();
            case KIND, NONE_OF_THESE -> false;
        };
    }

    /** What is here and holds neither it nor a relative. */
    private List<String> free(Hypothesis suspect, Map<UUID, List<In>> in) {
        Set<String> family = Relatives.family(suspect.key(), traits(suspect.key()));
        Map<String, Set<String>> traits = new LinkedHashMap<>();
        return here().stream()
                .filter(one -> in.getOrDefault(one.id(), List.of()).stream()
                        .filter(In::isRaw)
                        .noneMatch(raw -> raw.kindKey().equals(suspect.key())
                                || family.contains("kind:" + raw.kindKey())
                                || traits.computeIfAbsent(raw.kindKey(), this::traits).stream()
                                        .anyMatch(family::contains)))
                .filter(one -> in.getOrDefault(one.id(), List.of()).stream().anyMatch(In::isRaw))
                .map(Here::name)
                .distinct()
                .sorted()
                .limit(FREE)
                .toList();
    }

    /** What she may have used: what is here, and what is in it is known of. */
    List<Fields.Option> choices() {
        return here().stream()
                .map(one -> new Fields.Option(one.id().toString(), one.name()))
                .sorted(Comparator.comparing(Fields.Option::word))
                .toList();
    }
}
