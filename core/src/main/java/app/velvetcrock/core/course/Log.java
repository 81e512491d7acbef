package app.velvetcrock.core.course;

import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** The entries of a batch that hold, in the order they happened: none that was taken back, and none that takes back. */
public record Log(List<Entry> entries) {

    public Log {
        entries = List.copyOf(entries);
    }

    /** Sorts out what holds; entries may come in any order. */
    public static Log of(Collection<Entry> all) {
        Set<UUID> takenBack = all.stream()
                .map(Entry::what)
                .filter(Entry.TakenBack.class::isInstance)
                .map(what -> ((Entry.TakenBack) what).entry())
                .collect(Collectors.toSet());
        return new Log(all.stream()
                .filter(entry -> !(entry.what() instanceof Entry.TakenBack) && !takenBack.contains(entry.id()))
                .sorted(Comparator.comparing(Entry::happenedAt))
                .toList());
    }

    /** What was said of one kind, in order. */
    public <T extends Entry.What> List<T> all(Class<T> kind) {
        return entries.stream()
                .map(Entry::what)
                .filter(kind::isInstance)
                .map(kind::cast)
                .toList();
    }

    public <T extends Entry.What> Optional<T> last(Class<T> kind) {
        List<T> said = all(kind);
        return said.isEmpty() ? Optional.empty() : Optional.of(said.get(said.size() - 1));
    }

    /** When the first of one kind happened. */
    public Optional<Instant> firstAt(Class<? extends Entry.What> kind) {
        return entries.stream()
                .filter(entry -> kind.isInstance(entry.what()))
                .map(Entry::happenedAt)
                .findFirst();
    }

    /** The entries that did tasks of one kind, in order. */
    public List<Entry> done(TaskKind kind) {
        return entries.stream()
                .filter(entry ->
                        entry.what().task().filter(key -> key.kind() == kind).isPresent())
                .toList();
    }

    /** The entry that did just this task. */
    public Optional<Entry> done(TaskKey key) {
        return entries.stream()
                .filter(entry -> entry.what().task().filter(key::equals).isPresent())
                .findFirst();
    }
}
