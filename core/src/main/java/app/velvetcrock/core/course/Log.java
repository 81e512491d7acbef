package app.velvetcrock.core.course;

import app.velvetcrock.core.measure.Volume;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * The entries of a batch that hold, in the order they happened: none that was taken back or corrected, none that takes back;
 * a correction stands as what it says now.
 */
public record Log(List<Entry> entries) {

    private static final Set<Class<? extends Line>> ON_CHARGE =
            Set.of(Line.ToppedUp.class, Line.Strained.class, Line.Discarded.class);

    private static final Set<Class<? extends Line>> ON_STRAINING =
            Set.of(Line.Settled.class, Line.Bottled.class, Line.Sniffed.class, Line.Discarded.class);

    public Log {
        entries = List.copyOf(entries);
    }

    /** Sorts out what holds; entries may come in any order. */
    public static Log of(Collection<Entry> all) {
        Set<UUID> gone = gone(all);
        return new Log(all.stream()
                .filter(entry -> !(entry.line() instanceof Line.TakenBack) && !gone.contains(entry.id()))
                .map(Log::asItHolds)
                .sorted(Comparator.comparing(Entry::happenedAt))
                .toList());
    }

    /** The entries that hold no longer: taken back, or corrected by one that was not taken back itself. */
    public static Set<UUID> gone(Collection<Entry> all) {
        Set<UUID> gone = new HashSet<>();
        for (Entry entry : all) {
            if (entry.line() instanceof Line.TakenBack back) {
                gone.add(back.entry());
            }
        }
        Set<UUID> takenBack = Set.copyOf(gone);
        for (Entry entry : all) {
            if (entry.line() instanceof Line.Corrected corrected && !takenBack.contains(entry.id())) {
                gone.add(corrected.entry());
            }
        }
        return gone;
    }

    private static Entry asItHolds(Entry entry) {
        return entry.line() instanceof Line.Corrected corrected
                ? new Entry(entry.id(), entry.happenedAt(), corrected.now())
                : entry;
    }

    /**
     * Tells whether a newer release wrote something here that this one cannot read. Where the batch stands is not known then, and
     * nothing may be done to it.
     */
    public boolean isAhead() {
        return entries.stream().map(Entry::line).anyMatch(Line.Newer.class::isInstance);
    }

    /** What was said of one kind, in order. */
    public <T extends Line> List<T> all(Class<T> kind) {
        return entries.stream()
                .map(Entry::line)
                .filter(kind::isInstance)
                .map(kind::cast)
                .toList();
    }

    public <T extends Line> Optional<T> last(Class<T> kind) {
        List<T> said = all(kind);
        return said.isEmpty() ? Optional.empty() : Optional.of(said.get(said.size() - 1));
    }

    /** Tells whether it was charged by the handful: what is in it was never weighed. */
    public boolean isByHand() {
        return last(Line.Charged.class).filter(Line.Charged::byHand).isPresent();
    }

    /** The piece of the kit that was said to heat it; absent where nobody said. */
    public Optional<UUID> source() {
        return all(Line.Turned.class).stream()
                .flatMap(line -> line.source().stream())
                .map(Line.Turned.OnSource::kit)
                .reduce((earlier, later) -> later);
    }

    /** When the first of one kind happened. */
    public Optional<Instant> firstAt(Class<? extends Line> kind) {
        return entries.stream()
                .filter(entry -> kind.isInstance(entry.line()))
                .map(Entry::happenedAt)
                .findFirst();
    }

    /** The entries that did tasks of one kind, in order. */
    public List<Entry> done(TaskKind kind) {
        return entries.stream()
                .filter(entry ->
                        entry.line().task().filter(key -> key.kind() == kind).isPresent())
                .toList();
    }

    /** The entry that did just this task. */
    public Optional<Entry> done(TaskKey key) {
        return entries.stream()
                .filter(entry -> entry.line().task().filter(key::equals).isPresent())
                .findFirst();
    }

    /**
     * The oil that really came out, which is what a straining teaches: less the water seen under it, and less what stayed behind when it
     * was decanted, since sludge is not oil (craft: strain). What was bottled before that counts. Absent before straining.
     */
    public Optional<Volume> oilOut() {
        Optional<Volume> out = last(Line.Strained.class)
                .map(strained -> strained.out().minusToZero(strained.seen().water()));
        Volume bottled = Volume.ZERO;
        for (Entry entry : entries) {
            if (entry.line() instanceof Line.Bottled filled) {
                bottled = bottled.plus(filled.size().times(filled.count()));
            } else if (entry.line() instanceof Line.Settled settled) {
                Volume clean = settled.left().plus(bottled);
                out = out.map(all -> all.compareTo(clean) > 0 ? clean : all);
            }
        }
        return out;
    }

    /** Tells whether an entry holds and nothing later rests on it, so that it can be taken back. */
    public boolean canTakeBack(UUID id) {
        return entries.stream().filter(entry -> entry.id().equals(id)).anyMatch(entry -> entries.stream()
                .noneMatch(other -> resting(entry.line()).contains(other.line().getClass())));
    }

    private static Set<Class<? extends Line>> resting(Line line) {
        return line instanceof Line.Charged ? ON_CHARGE : line instanceof Line.Strained ? ON_STRAINING : Set.of();
    }
}
