package app.velvetcrock.rounds;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.HeldBack;
import app.velvetcrock.core.book.FirstDays;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.rounds.AfterStraining;
import app.velvetcrock.core.rounds.Rounds;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.labelled.Labelling;
import app.velvetcrock.learned.Gatherings;
import app.velvetcrock.learned.Reminders;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.GatheringDays;
import app.velvetcrock.stock.Oils;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.StringJoiner;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gathers the tasks of every batch into today's rounds. */
@Service
public class RoundsService {

    /** How far ahead what ends is shown. */
    private static final int DAYS_AHEAD = 7;

    /** An oil that ends later than this asks for nothing yet, and was not smelled for its date today. */
    private static final int DAYS_OF_ENDING = 45;

    /** Of the days ahead only these are shown; shakes and looks come on their own day. Heat may be put on, and a crock read, early. */
    private static final Set<TaskKind> FORESEEN = Set.of(
            TaskKind.NEXT,
            TaskKind.STRAIN,
            TaskKind.DECANT,
            TaskKind.USE_FIRST,
            TaskKind.HEAT_ON,
            TaskKind.HEAT_OFF,
            TaskKind.READ,
            TaskKind.WATER,
            TaskKind.FRIDGE_IN,
            TaskKind.FRIDGE_OUT,
            TaskKind.SPIRIT_GONE);

    private static final int LABELS_NAMED = 3;
    private static final int LESSONS = 3;

    /** When what was learned is of use. */
    private static final Set<TaskKind> AT_THEIR_DAY = Set.of(TaskKind.STRAIN, TaskKind.DECANT);

    private final Batches batches;
    private final Oils oils;
    private final Conditions conditions;
    private final Households households;
    private final PanTasks pan;
    private final Labelling labelling;
    private final Reminders reminders;
    private final GatheringDays picked;
    private final Clock clock;

    RoundsService(
            Batches batches,
            Oils oils,
            Conditions conditions,
            Households households,
            PanTasks pan,
            Labelling labelling,
            Reminders reminders,
            GatheringDays picked,
            Clock clock) {
        this.pan = pan;
        this.labelling = labelling;
        this.reminders = reminders;
        this.picked = picked;
        this.batches = batches;
        this.oils = oils;
        this.conditions = conditions;
        this.households = households;
        this.clock = clock;
    }

    /**
     * What the strip is made of.
     *
     * @param standing what stands in a vessel
     * @param strained what is strained, not used up, and asks for something about now
     * @param firstToEnd of each of those the oil that ends first
     * @param left every oil that is not used up
     * @param book twins nobody judged yet, and skin that is to be looked at again
     */
    public record Gathered(
            List<BatchSheet> standing,
            List<BatchSheet> strained,
            Map<UUID, Stock.OfOil> firstToEnd,
            List<Stock.OfOil> left,
            Reminders.Open book) {}

    /** Reads all of it together. */
    @Transactional(readOnly = true)
    public Gathered gather() {
        Map<UUID, Stock.OfOil> first = new HashMap<>();
        LocalDate today = households.current().dayOf(clock.instant());
        Set<UUID> open = Set.copyOf(batches.settlingOrEnded(today.minusDays(1)));
        HeldBack held = HeldBack.from(Held.USE, conditions.open());
        List<Stock.OfOil> left = oils.left();
        left.stream()
                .filter(oil -> held.isFree(oil.batch(), oil.id()))
                .filter(oil -> open.contains(oil.batch()) || oil.useBy().isBefore(today.plusDays(DAYS_OF_ENDING)))
                .forEach(oil -> first.putIfAbsent(oil.batch(), oil));
        Map<Boolean, List<BatchSheet>> all = batches.standingAnd(first.keySet()).stream()
                .collect(Collectors.partitioningBy(sheet -> sheet.course().state() == Course.State.STANDING));
        return new Gathered(
                Objects.requireNonNull(all.get(true)),
                Objects.requireNonNull(all.get(false)).stream()
                        .filter(sheet -> first.containsKey(sheet.id()))
                        .toList(),
                first,
                left,
                reminders.open(today));
    }

    /** The strip for now. */
    @Transactional(readOnly = true)
    public RoundsOfToday today(Gathered gathered) {
        House house = households.current();
        Instant now = clock.instant();
        Today today = Today.of(now, house);
        Map<UUID, Stock.OfOil> first = gathered.firstToEnd();
        List<RowWords.Found> found = new ArrayList<>();
        gathered.standing().forEach(sheet -> add(found, sheet, sheet.open(), today));
        for (BatchSheet sheet : gathered.strained()) {
            List<Task> open = new ArrayList<>(sheet.open());
            AfterStraining.useFirst(
                            sheet.plan(),
                            sheet.log(),
                            Objects.requireNonNull(first.get(sheet.id())).useBy(),
                            today.zone())
                    .ifPresent(open::add);
            add(found, sheet, open, today);
        }
        RowWords words = new RowWords(house, today, first, repeated(found));
        List<Row> rows = Stream.concat(found.stream().map(words::row), pan.rows().stream())
                .sorted(Comparator.comparing((Row row) -> row.state() != Row.State.LATE)
                        .thenComparing(Row::at)
                        .thenComparing(Row::name))
                .toList();
        return new RoundsOfToday(
                conditions.open(),
                conditions.asked(),
                toLabel(labelling.due(gathered.standing(), gathered.left())),
                ofTheBook(gathered),
                rows.stream().filter(row -> !isAhead(row)).toList(),
                rows.stream().filter(RoundsService::isAhead).toList());
    }

    /** Twins that are both strained, skin that was to be looked at again, and what is to be gathered about now. */
    private List<RoundsOfToday.Reminder> ofTheBook(Gathered gathered) {
        Set<UUID> standing = gathered.standing().stream().map(BatchSheet::id).collect(Collectors.toSet());
        List<Reminders.Pair> over = gathered.book().pairs().stream()
                .filter(pair -> !standing.contains(pair.first()) && !standing.contains(pair.second()))
                .toList();
        Map<UUID, BatchSheet> sheets = batches
                .among(over.stream()
                        .flatMap(pair -> Stream.of(pair.first(), pair.second()))
                        .collect(Collectors.toSet()))
                .stream()
                .filter(sheet -> sheet.course().state() == Course.State.STRAINED)
                .collect(Collectors.toMap(BatchSheet::id, sheet -> sheet));
        List<RoundsOfToday.Reminder> all = new ArrayList<>();
        over.forEach(pair -> {
            BatchSheet first = sheets.get(pair.first());
            BatchSheet second = sheets.get(pair.second());
            if (first != null && second != null) {
                all.add(new RoundsOfToday.Reminder(
                        "/book/twins/" + pair.id(),
                        "Judge the twins: %s, batches %d and %d"
                                .formatted(first.name(), first.number(), second.number())));
            }
        });
        gathered.book()
                .again()
                .forEach(again -> all.add(new RoundsOfToday.Reminder(
                        "/book/reactions?who=" + again.person(), "Look at the skin again: " + again.name())));
        List<Gatherings.Ahead> gather = gathered.book().gather();
        Set<String> there = picked.since(gather.stream()
                .collect(Collectors.toMap(
                        Gatherings.Ahead::kindKey, one -> one.day().minusDays(FirstDays.STILL), (one, other) -> one)));
        gather.stream()
                .filter(one -> !there.contains(one.kindKey()))
                .forEach(one -> all.add(new RoundsOfToday.Reminder("/book/next-year", one.summary())));
        all.addAll(lastTime(gathered));
        return all;
    }

    /** What was learned of the same herb, on the day it is strained or decanted again. */
    private List<RoundsOfToday.Reminder> lastTime(Gathered gathered) {
        Instant today = households
                .current()
                .dayOf(clock.instant())
                .plusDays(1)
                .atStartOfDay(households.current().settings().zone())
                .toInstant();
        List<BatchSheet> due = Stream.concat(gathered.standing().stream(), gathered.strained().stream())
                .filter(sheet -> sheet.open().stream()
                        .anyMatch(task -> AT_THEIR_DAY.contains(task.key().kind())
                                && task.due().isBefore(today)))
                .toList();
        Set<String> herbs = due.stream()
                .flatMap(sheet -> sheet.plan().request().herbKeys().stream())
                .collect(Collectors.toSet());
        Set<UUID> these = due.stream().map(BatchSheet::id).collect(Collectors.toSet());
        return herbs.isEmpty()
                ? List.of()
                : batches.lessons(herbs, LESSONS).stream()
                        .filter(lesson -> !these.contains(lesson.batch()))
                        .map(lesson -> new RoundsOfToday.Reminder(
                                lesson.page(), "%s, last time: “%s”".formatted(lesson.name(), lesson.words())))
                        .toList();
    }

    /** "To label: Nettle, Yarrow oil and 2 more", and of what bears a label that is no longer true why. */
    private static String toLabel(List<Labelling.Due> due) {
        if (due.isEmpty()) {
            return "";
        }
        StringJoiner names = new StringJoiner(", ");
        due.stream()
                .limit(LABELS_NAMED)
                .map(one -> one.old().isEmpty() ? one.name() : "! " + one.name() + " anew")
                .forEach(names::add);
        return "To label: %s%s"
                .formatted(names, due.size() > LABELS_NAMED ? " and %d more".formatted(due.size() - LABELS_NAMED) : "");
    }

    private static boolean isAhead(Row row) {
        return row.state() == Row.State.LATER || row.state() == Row.State.COMING;
    }

    /** Today in the household's zone, from its first moment to tomorrow's. */
    record Today(Instant now, LocalDate date, ZoneId zone, Instant start, Instant end) {

        static Today of(Instant now, House house) {
            ZoneId zone = house.settings().zone();
            LocalDate date = house.dayOf(now);
            return new Today(
                    now,
                    date,
                    zone,
                    date.atStartOfDay(zone).toInstant(),
                    date.plusDays(1).atStartOfDay(zone).toInstant());
        }

        Row.State state(Task task, Pace pace) {
            if (task.done().isPresent()) {
                return Row.State.DONE;
            }
            // What is to be used first has a date of its own; before that nothing about it is late.
            boolean hasAge = task.key().kind() != TaskKind.USE_FIRST;
            if ((hasAge && task.due().isBefore(start))
                    || (pace == Pace.HOURS && task.due().isBefore(now.minusSeconds(1800)))) {
                return Row.State.LATE;
            }
            return !task.due().isAfter(now)
                    ? Row.State.DUE
                    : task.due().isBefore(end) ? Row.State.LATER : Row.State.COMING;
        }
    }

    private static Set<String> repeated(List<RowWords.Found> found) {
        Map<String, Set<UUID>> byName = found.stream()
                .filter(one -> one.sheet().course().state() == Course.State.STANDING)
                .collect(Collectors.groupingBy(
                        one -> one.sheet().name(),
                        Collectors.mapping(one -> one.sheet().id(), Collectors.toSet())));
        return byName.entrySet().stream()
                .filter(named -> named.getValue().size() > 1)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    private static void add(List<RowWords.Found> found, BatchSheet sheet, List<Task> open, Today today) {
        List<Task> tasks = new ArrayList<>(Rounds.doneBetween(sheet.log(), today.start(), today.end()));
        // What is mouldy is not shaken, read or strained any more: the row that says so is all that is asked of it.
        open.stream().filter(task -> sheet.holding(task.held()).isEmpty()).forEach(tasks::add);
        for (Task task : tasks) {
            Row.State state = today.state(task, sheet.course().stage().pace());
            boolean foreseen = FORESEEN.contains(task.key().kind())
                    && task.due().isBefore(today.end().plusSeconds(DAYS_AHEAD * 86_400L));
            if (state != Row.State.COMING || foreseen) {
                found.add(new RowWords.Found(sheet, task, state));
            }
        }
    }
}
