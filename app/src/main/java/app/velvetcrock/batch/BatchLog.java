package app.velvetcrock.batch;

import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.readings.ProbedHeat;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes lines into a batch's log; whoever writes has locked the batch, so that two at once see each other. */
@Component
public class BatchLog {

    private final BatchRepository batches;
    private final EntryRepository entries;
    private final Entries written;
    private final BatchReader reader;
    private final LineCodec codec;
    private final ProbedHeat probed;
    private final Clock clock;

    BatchLog(
            BatchRepository batches,
            EntryRepository entries,
            Entries written,
            BatchReader reader,
            LineCodec codec,
            ProbedHeat probed,
            Clock clock) {
        this.batches = batches;
        this.entries = entries;
        this.written = written;
        this.reader = reader;
        this.codec = codec;
        this.probed = probed;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public BatchSheet sheet(UUID id) {
        return reader.kept(id)
                .or(() -> reader.among(List.of(id)).stream().findFirst())
                .orElseThrow(() -> new NotHere("that batch"));
    }

    /** Lets only one at a time write about a batch, and reads it as it then stands. */
    @Transactional(propagation = Propagation.MANDATORY)
    public BatchSheet locked(UUID id) {
        batches.lock(id).orElseThrow(() -> new NotHere("that batch"));
        return sheet(id);
    }

    /** The line that a deed with this one-time key left; absent where it is still to be done. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<UUID> said(UUID key) {
        return written.by(key).map(entry -> entry.id);
    }

    /** The batch that a start with this one-time key charged; absent where it is still to be done. */
    @Transactional(propagation = Propagation.MANDATORY)
    Optional<UUID> begunBy(UUID key) {
        return written.by(key).map(entry -> entry.batchId);
    }

    /** Writes the line a deed leaves; its batch is locked. */
    @Transactional(propagation = Propagation.MANDATORY)
    public UUID write(UUID batch, Line line, Doing<?> doing) {
        BatchEntry entry =
                new BatchEntry(batch, doing.at(), codec.write(line), new BatchEntry.Said(doing.key(), doing.typed()));
        entry.accountId = doing.by();
        entry.recordedAt = clock.instant();
        probed.forget(batch, line, doing.at());
        return entries.saveAndFlush(entry).id;
    }
}
