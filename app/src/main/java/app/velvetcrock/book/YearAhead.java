package app.velvetcrock.book;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.HeldBack;
import app.velvetcrock.core.book.FirstDays;
import app.velvetcrock.core.book.Lasting;
import app.velvetcrock.core.book.NextYear;
import app.velvetcrock.core.book.Pace;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.GatheringDays;
import app.velvetcrock.stock.flows.Flows;
import app.velvetcrock.stock.flows.Measure;
import app.velvetcrock.stock.flows.Thing;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What next year needs of each thing, by what the last one took: the ledger's sums put into the core's. */
@Service
class YearAhead {

    private final Flows flows;
    private final GatheringDays gathered;
    private final Catalogue catalogue;
    private final Conditions conditions;
    private final Households households;
    private final Clock clock;

    YearAhead(
            Flows flows,
            GatheringDays gathered,
            Catalogue catalogue,
            Conditions conditions,
            Households households,
            Clock clock) {
        this.flows = flows;
        this.gathered = gathered;
        this.catalogue = catalogue;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /**
     * A thing whose pace is known.
     *
     * @param left grams as if dried, millilitres or pieces; nothing that is held back is in it
     * @param need from the day there is new of it: its gathering, or when it runs out
     * @param parts what a herb's pace is made of; none of another thing
     * @param firsts the days it was first gathered here, year by year
     * @param fresh what of it fresh comes to a gram dried; 1 of what is no herb
     */
    record Known(
            Thing thing,
            String name,
            Measure measure,
            Pace pace,
            double left,
            Lasting lasting,
            NextYear need,
            List<NextYear.Part> parts,
            List<LocalDate> firsts,
            double fresh) {

        /** Tells whether any more of it is wanted, to the gram, millilitre or piece. */
        boolean isWanted() {
            return need.more() >= 0.5;
        }

        /** Tells whether it is to be gathered here, as it was before. */
        boolean isGathered() {
            return !firsts.isEmpty();
        }
    }

    /** A thing that was taken too few times, or within too short a time. */
    record TooFew(String name, int takings, int days) {}

    record Ahead(LocalDate today, List<Known> known, List<TooFew> few) {

        List<Known> herbs() {
            return known.stream()
                    .filter(one -> one.thing().kind() == LotKind.HERB)
                    .toList();
        }

        List<Known> made() {
            return known.stream().filter(one -> one.thing().isMade()).toList();
        }

        List<Known> bought() {
            return known.stream()
                    .filter(one -> !one.thing().isMade() && one.thing().kind() != LotKind.HERB)
                    .toList();
        }
    }

    /** What was taken of a thing, for whatever reason, or only besides batches. */
    private record Sum(
            String name, Measure measure, LocalDate since, double all, int times, double besides, int timesBesides) {

        static Sum of(List<Flows.Taken> taken) {
            List<Flows.Taken> besides =
                    taken.stream().filter(one -> !one.inBatches()).toList();
            return new Sum(
                    taken.get(0).name(),
                    taken.get(0).measure(),
                    taken.stream()
                            .map(Flows.Taken::since)
                            .min(LocalDate::compareTo)
                            .orElseThrow(),
                    amount(taken),
                    times(taken),
                    amount(besides),
                    times(besides));
        }

        private static double amount(List<Flows.Taken> taken) {
            return taken.stream().mapToDouble(Flows.Taken::amount).sum();
        }

        private static int times(List<Flows.Taken> taken) {
            return taken.stream().mapToInt(Flows.Taken::times).sum();
        }

        Pace pace(LocalDate today) {
            return Pace.of(all, times, since, today);
        }
    }

    @Transactional(readOnly = true)
    public Ahead read() {
        LocalDate today = households.current().dayOf(clock.instant());
        LocalDate since = today.minusDays(Pace.YEAR);
        HeldBack held = HeldBack.from(Held.USE, conditions.open());
        Map<Thing, List<Lasting.Left>> left = flows.left().stream()
                .filter(one -> held.isFree(one.batch(), one.lot()))
                .collect(Collectors.groupingBy(
                        Flows.Left::thing,
                        Collectors.mapping(one -> new Lasting.Left(one.amount(), one.usable()), Collectors.toList())));
        Map<Thing, Sum> sums = new LinkedHashMap<>();
        flows.taken(since).stream()
                .collect(Collectors.groupingBy(Flows.Taken::thing, LinkedHashMap::new, Collectors.toList()))
                .forEach((thing, taken) -> sums.put(thing, Sum.of(taken)));
        Map<String, List<Flows.Made>> made =
                flows.made(since, today.plusDays(1)).stream().collect(Collectors.groupingBy(Flows.Made::herb));
        Map<String, FirstDays> firsts = gathered.firstDays().stream()
                .collect(Collectors.groupingBy(
                        GatheringDays.Day::kindKey,
                        Collectors.collectingAndThen(
                                Collectors.mapping(GatheringDays.Day::on, Collectors.toList()), FirstDays::of)));
        Map<String, HerbKind> kinds = new HashMap<>();
        catalogue.herbs().forEach(kind -> kinds.put(kind.key(), kind));
        List<Known> known = new ArrayList<>();
        List<TooFew> few = new ArrayList<>();
        sums.forEach((thing, sum) -> {
            List<NextYear.Part> parts = thing.kind() == LotKind.HERB
                    ? parts(sum, made.getOrDefault(thing.key(), List.of()), sums, today)
                    : List.of();
            Pace own = sum.pace(today);
            Pace pace = NextYear.together(parts, own.days()).orElse(own);
            String name = name(thing, sum.name(), kinds.get(thing.key()));
            if (!pace.isKnown()) {
                few.add(new TooFew(name, pace.takings(), pace.days()));
                return;
            }
            FirstDays days = firsts.getOrDefault(thing.key(), FirstDays.of(List.of()));
            List<Lasting.Left> there = left.getOrDefault(thing, List.of());
            Lasting lasting = Lasting.of(there, pace, today);
            LocalDate from = thing.kind() == LotKind.HERB ? days.next(today).orElse(today) : today;
            known.add(new Known(
                    thing,
                    name,
                    sum.measure(),
                    pace,
                    there.stream().mapToDouble(Lasting.Left::amount).sum(),
                    lasting,
                    NextYear.of(pace, lasting, today, from),
                    parts,
                    thing.kind() == LotKind.HERB ? days.days() : List.of(),
                    fresh(kinds.get(thing.key()))));
        });
        return new Ahead(today, known, few);
    }

    /** A herb goes by its oils: by what is taken of each, or, where too little was, by what was infused; and by what is taken besides. */
    private static List<NextYear.Part> parts(Sum herb, List<Flows.Made> made, Map<Thing, Sum> sums, LocalDate today) {
        int days = herb.pace(today).days();
        Stream<NextYear.Part> oils = made.stream()
                .collect(Collectors.groupingBy(Flows.Made::oil, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(of -> {
                    double grams = of.stream().mapToDouble(Flows.Made::grams).sum();
                    double millilitres = of.get(0).millilitres();
                    Sum taken =
                            sums.get(new Thing(LotKind.INFUSED_OIL, of.get(0).oil()));
                    return taken != null && taken.pace(today).isKnown() && millilitres > 0
                            ? new NextYear.Part(
                                    "for %s".formatted(taken.name()),
                                    taken.pace(today).perDay() * grams / millilitres,
                                    taken.times())
                            : new NextYear.Part(
                                    "put into %s".formatted(of.get(0).oil()),
                                    grams / days,
                                    of.get(0).batches());
                });
        Stream<NextYear.Part> besides = herb.timesBesides() == 0
                ? Stream.empty()
                : Stream.of(new NextYear.Part(
                        "drawn, given and sold as it is", herb.besides() / days, herb.timesBesides()));
        return Stream.concat(oils, besides).toList();
    }

    /** A herb goes by its kind's name, whatever this or that bag of it is called. */
    private static String name(Thing thing, String called, @Nullable HerbKind kind) {
        return thing.kind() == LotKind.HERB && kind != null ? kind.common() : called;
    }

    private static double fresh(@Nullable HerbKind kind) {
        return kind == null ? 1 : WaterContent.DRIED.gramIn(WaterContent.of(kind.part(), Cut.WHOLE, Moisture.FRESH));
    }
}
