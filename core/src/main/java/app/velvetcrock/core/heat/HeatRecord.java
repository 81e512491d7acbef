package app.velvetcrock.core.heat;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * A course of heat as it comes in: readings and what was done, in any order and more than once.
 *
 * <p>What comes at the end costs the same however much came before. Checkpoints are kept every so many readings, so that a late
 * one replays only what came after the checkpoint before it. Not for several threads.
 */
public final class HeatRecord {

    /** [E] Readings from one checkpoint to the next: ten minutes of a probe that speaks every ten seconds. */
    private static final int STEP = 60;

    private final HeatLaw law;
    private final NavigableMap<Instant, At> all = new TreeMap<>();
    private final NavigableMap<Instant, HeatTally> checkpoints = new TreeMap<>();
    private HeatTally now = HeatTally.NOTHING;
    private int sinceCheckpoint;

    /** What came at one moment: of one probe one reading; what was done comes after it. */
    private record At(Optional<HeatReading> reading, List<HeatEvent> events) {

        static final At NOTHING = new At(Optional.empty(), List.of());
    }

    /** What it had come to at a moment, which goes on from there without what came before. */
    public record Checkpoint(Instant at, HeatTally tally) {}

    /** @throws IllegalArgumentException for a stage without a ceiling */
    public HeatRecord(Heated heated, Instant start) {
        this.law = HeatLaw.of(heated, start);
    }

    /**
     * Goes on from a checkpoint; only what came after it may be added then.
     *
     * @throws IllegalArgumentException for a stage without a ceiling
     */
    public HeatRecord(Heated heated, Instant start, Checkpoint from) {
        this(heated, start);
        all.put(from.at(), At.NOTHING);
        checkpoints.put(from.at(), from.tally());
        now = from.tally();
    }

    /** Takes a reading in; the same moment again changes nothing, but that a person's word there holds before a probe's. */
    public HeatRecord add(HeatReading reading) {
        At before = all.getOrDefault(reading.at(), At.NOTHING);
        boolean holds = before.reading()
                .filter(there -> reading.byProbe() || !there.byProbe())
                .isEmpty();
        if (holds) {
            put(reading.at(), new At(Optional.of(reading), before.events()));
        }
        return this;
    }

    /** Takes in what was done; the same again changes nothing. */
    public HeatRecord add(HeatEvent event) {
        At before = all.getOrDefault(event.at(), At.NOTHING);
        if (!before.events().contains(event)) {
            put(
                    event.at(),
                    new At(
                            before.reading(),
                            Stream.concat(before.events().stream(), Stream.of(event))
                                    .sorted(Comparator.comparing(HeatEvent::change))
                                    .toList()));
        }
        return this;
    }

    private void put(Instant moment, At what) {
        boolean isLast = all.isEmpty() || moment.isAfter(all.lastKey());
        all.put(moment, what);
        if (isLast) {
            step(moment, what);
        } else {
            replay(moment);
        }
    }

    private void step(Instant moment, At what) {
        if (what.reading().isPresent()) {
            now = now.plus(law, what.reading().get());
            sinceCheckpoint++;
        }
        for (HeatEvent event : what.events()) {
            now = now.plus(event);
        }
        if (sinceCheckpoint >= STEP) {
            checkpoints.put(moment, now);
            sinceCheckpoint = 0;
        }
    }

    private void replay(Instant from) {
        checkpoints.tailMap(from, true).clear();
        Map.Entry<Instant, HeatTally> kept = checkpoints.lastEntry();
        now = kept == null ? HeatTally.NOTHING : kept.getValue();
        sinceCheckpoint = 0;
        (kept == null ? all : all.tailMap(kept.getKey(), false)).forEach(this::step);
    }

    /** The checkpoints so far, in order, with the one it went on from. */
    public List<Checkpoint> checkpoints() {
        return checkpoints.entrySet().stream()
                .map(kept -> new Checkpoint(kept.getKey(), kept.getValue()))
                .toList();
    }

    /** What it has come to by now. */
    public HeatTally tally() {
        return now;
    }

    /** How many readings there are. */
    public int size() {
        return (int)
                all.values().stream().filter(at -> at.reading().isPresent()).count();
    }
}
