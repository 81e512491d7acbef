package app.velvetcrock.batch;

import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The one way anything is done to a batch, whoever says it: the batch is locked, the core asked whether it may be done, and the
 * place it belongs to does it; all of it or nothing.
 */
@Service
public class Deeds {

    private final Map<Class<?>, Hand<Deed>> hands = new HashMap<>();
    private final BatchLog log;
    private final BatchFacts facts;
    private final Households households;
    private final Clock clock;

    Deeds(List<Hands> all, BatchLog log, BatchFacts facts, Households households, Clock clock) {
        this.log = log;
        this.facts = facts;
        this.households = households;
        this.clock = clock;
        Work work = new Work(hands);
        all.forEach(one -> one.takeUp(work));
        for (Class<?> deed : Deed.class.getPermittedSubclasses()) {
            if (!hands.containsKey(deed)) {
                throw new IllegalStateException("nobody does " + deed.getSimpleName());
            }
        }
    }

    /** Does one kind of deed to a batch that is locked, and tells by which line or movement it can be taken back. */
    public interface Hand<D extends Deed> {
        UUID does(BatchSheet sheet, Doing<D> doing);
    }

    /** Does some kinds of deeds; says which when the application starts. */
    public interface Hands {

        void takeUp(Work work);
    }

    /** Where it is said who does what. */
    public record Work(Map<Class<?>, Hand<Deed>> hands) {

        /** Gives a kind of deed its hand; each kind has one. */
        public <D extends Deed> void on(Class<D> deed, Hand<D> hand) {
            @SuppressWarnings("unchecked")
            Hand<Deed> any = (sheet, doing) -> hand.does(sheet, (Doing<D>) doing);
            if (hands.put(deed, any) != null) {
                throw new IllegalStateException("two do " + deed.getSimpleName());
            }
        }
    }

    /**
     * Does a deed to a batch, once for its key, whoever says it and however often.
     *
     * @return the line or movement it can be taken back by
     * @throws Refused with the field it hangs on, where it may not be done; nothing is changed
     */
    @Transactional
    public <D extends Deed> UUID done(UUID batch, Doing<D> doing) {
        BatchSheet sheet = log.locked(batch);
        Optional<UUID> before = log.said(doing.key());
        if (before.isPresent()) {
            return before.get();
        }
        Instant now = clock.instant();
        May.be(
                        doing.deed(),
                        new May.Standing(
                                sheet.number(),
                                sheet.course(),
                                sheet.log(),
                                sheet.plan().mark().isPresent()),
                        new May.Times(doing.at(), now, households.current().wording()))
                .ifPresent(refusal -> {
                    throw new Refused(refusal);
                });
        UUID done = Objects.requireNonNull(hands.get(doing.deed().getClass()))
                .does(
                        sheet,
                        new Doing<>(
                                doing.key(), May.atLatest(doing.at(), now), doing.by(), doing.typed(), doing.deed()));
        facts.write(batch);
        return done;
    }
}
