package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes lines into a batch's log; whoever writes has locked the batch, so that two at once see each other. */
@Component
class BatchLog {

    private final BatchRepository batches;
    private final EntryRepository entries;
    private final BatchReader reader;
    private final Json json;
    private final Clock clock;

    BatchLog(BatchRepository batches, EntryRepository entries, BatchReader reader, Json json, Clock clock) {
        this.batches = batches;
        this.entries = entries;
        this.reader = reader;
        this.json = json;
        this.clock = clock;
    }

    /**
     * A line to be written.
     *
     * @param task the task it does; null for none
     * @param at when it happened
     * @param typed as it was typed
     * @param value what is kept of it beside the words
     */
    record Draft(Kind kind, @Nullable TaskKey task, Instant at, String typed, Object value) {

        static Draft of(Kind kind, Instant at, String typed, Object value) {
            return new Draft(kind, null, at, typed, value);
        }
    }

    @Transactional(readOnly = true)
    BatchSheet sheet(UUID id) {
        return reader.read(List.of(batches.findHere(id).orElseThrow(() -> new NotHere("that batch"))))
                .get(0);
    }

    /** Lets only one at a time write about a batch, and reads it as it then stands. */
    @Transactional(propagation = Propagation.MANDATORY)
    BatchSheet locked(UUID id) {
        Batch batch = batches.lock(id).orElseThrow(() -> new NotHere("that batch"));
        return reader.read(List.of(batch)).get(0);
    }

    @Transactional(propagation = Propagation.MANDATORY)
    UUID write(UUID batch, Draft draft, UUID key) {
        return save(
                new BatchEntry(draft.kind(), batch, draft.at(), new BatchEntry.Said(key, draft.typed())),
                draft.task(),
                json.write(draft.value()));
    }

    @Transactional(propagation = Propagation.MANDATORY)
    void takeBack(UUID batch, UUID entry) {
        BatchEntry back =
                new BatchEntry(Kind.TAKEN_BACK, batch, clock.instant(), new BatchEntry.Said(UUID.randomUUID(), ""));
        back.correctsId = entry;
        save(back, null, "{}");
    }

    private UUID save(BatchEntry entry, @Nullable TaskKey task, String value) {
        entry.value = value;
        entry.task = task == null ? null : task.toString();
        entry.accountId = Current.person().account();
        entry.recordedAt = clock.instant();
        return entries.saveAndFlush(entry).id;
    }
}
