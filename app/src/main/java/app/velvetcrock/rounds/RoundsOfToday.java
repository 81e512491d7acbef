package app.velvetcrock.rounds;

import app.velvetcrock.condition.Asked;
import app.velvetcrock.condition.Told;
import java.util.List;
import java.util.stream.Stream;

/**
 * The strip as it is shown.
 *
 * @param wrong what is wrong and not answered yet, before all else
 * @param asked what a finding asks of somebody: to tell whom a thing went to, to smell a bottle
 * @param toLabel what wants a label, in words; empty where nothing does
 * @param book what the Book asks for: cups to be judged, skin to be looked at again
 * @param untilNow late rows, then today's up to now
 * @param afterNow today's rows still to come, then the days ahead
 */
public record RoundsOfToday(
        List<Told> wrong,
        List<Asked> asked,
        String toLabel,
        List<Reminder> book,
        List<Row> untilNow,
        List<Row> afterNow) {

    /** Something to be done, and where. */
    public record Reminder(String href, String words) {}

    /** More than these are folded away. */
    private static final int SHOWN = 40;

    private static final int DONE_SHOWN = 2;

    public boolean isEmpty() {
        return untilNow.isEmpty() && afterNow.isEmpty();
    }

    /** Everything open, and the last few that were done. */
    public List<Row> firstUntilNow() {
        List<Row> earlier = doneEarlier();
        return untilNow.stream()
                .filter(row -> !earlier.contains(row))
                .limit(SHOWN)
                .toList();
    }

    public List<Row> moreUntilNow() {
        List<Row> earlier = doneEarlier();
        return untilNow.stream()
                .filter(row -> !earlier.contains(row))
                .skip(SHOWN)
                .toList();
    }

    /** What was done today but for the last few. */
    public List<Row> doneEarlier() {
        List<Row> done = untilNow.stream().filter(row -> !row.isOpen()).toList();
        return done.subList(0, Math.max(0, done.size() - DONE_SHOWN));
    }

    public long late() {
        return untilNow.stream().filter(row -> row.state() == Row.State.LATE).count() + asked.size();
    }

    public long openToday() {
        return Stream.concat(untilNow.stream(), afterNow.stream())
                        .filter(row -> row.isOpen() && row.state() != Row.State.COMING)
                        .count()
                + asked.size();
    }

    /** The jars of today's round that still want a look or a shake, in words; empty where none does. */
    public String jars() {
        long jars = Stream.concat(untilNow.stream(), afterNow.stream())
                .filter(row -> row.isOpen() && row.state() != Row.State.COMING)
                .filter(row -> RoundWay.AT_THE_JAR.contains(row.key().kind()))
                .map(Row::batch)
                .distinct()
                .count();
        return jars == 0 ? "" : jars == 1 ? "Go the round: 1 jar" : "Go the round: %d jars".formatted(jars);
    }

    /** How much is to be done, in words. */
    public String summary() {
        long open = openToday();
        if (open == 0) {
            return wrong.isEmpty() ? "nothing more today" : "%d not well, nothing else today".formatted(wrong.size());
        }
        return late() == 0 ? "%d to do today".formatted(open) : "%d to do, %d of them late".formatted(open, late());
    }
}
