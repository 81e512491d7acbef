package app.velvetcrock.stock.deeds;

import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.deed.MayAtStores;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.stillroom.Current;
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
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The one way anything is done at the stores, whoever says it: the lots are locked, the core asked whether it may be done, and
 * the place it belongs to does it; all of it or nothing.
 */
@Service
public class StoreDeeds {

    private final Map<Class<?>, Hand<StoreDeed>> hands = new HashMap<>();
    private final StandingLots lots;
    private final Households households;
    private final JdbcClient sql;
    private final Clock clock;

    StoreDeeds(List<StoreHands> all, StandingLots lots, Households households, JdbcClient sql, Clock clock) {
        this.sql = sql;
        this.lots = lots;
        this.households = households;
        this.clock = clock;
        Work work = new Work(hands);
        all.forEach(one -> one.takeUp(work));
        for (Class<?> deed : StoreDeed.class.getPermittedSubclasses()) {
            if (!hands.containsKey(deed)) {
                throw new IllegalStateException("nobody does " + deed.getSimpleName());
            }
        }
    }

    /** Does one kind of deed to lots that are locked, and tells by what it can be found or taken back. */
    public interface Hand<D extends StoreDeed> {
        UUID does(Doing<D> doing);
    }

    /** Where it is said who does what. */
    public record Work(Map<Class<?>, Hand<StoreDeed>> hands) {

        /** Gives a kind of deed its hand; each kind has one. */
        public <D extends StoreDeed> void on(Class<D> deed, Hand<D> hand) {
            @SuppressWarnings("unchecked")
            Hand<StoreDeed> any = doing ->
                    hand.does(new Doing<>(doing.key(), doing.at(), doing.by(), doing.typed(), (D) doing.deed()));
            if (hands.put(deed, any) != null) {
                throw new IllegalStateException("two do " + deed.getSimpleName());
            }
        }
    }

    /**
     * Does a deed at the stores, once for its key, whoever says it.
     *
     * @return the deed by which all it moved is taken back; of what moved nothing, or made something, that thing
     * @throws Refused with the field it hangs on, where it may not be done; nothing is changed
     */
    @Transactional
    public UUID done(Doing<? extends StoreDeed> doing) {
        StoreDeed deed = doing.deed();
        Instant now = clock.instant();
        List<MayAtStores.Standing> standing = lots.locked(deed.lots());
        Optional<UUID> before = said(doing.key());
        if (before.isPresent()) {
            return before.get();
        }
        MayAtStores.be(
                        deed,
                        standing,
                        new May.Times(doing.at(), now, households.current().wording()))
                .ifPresent(refusal -> {
                    throw new Refused(refusal);
                });
        UUID done = Objects.requireNonNull(hands.get(deed.getClass()))
                .does(new Doing<>(doing.key(), May.atLatest(doing.at(), now), doing.by(), doing.typed(), deed));
        sql.sql("insert into store_deed (stillroom_id, client_key, done) values (:stillroom, :key, :done)")
                .param("stillroom", Current.stillroom())
                .param("key", doing.key())
                .param("done", done)
                .update();
        return done;
    }

    /** What a deed of this key did, where it was done already. */
    private Optional<UUID> said(UUID key) {
        return sql.sql("select done from store_deed where stillroom_id = :stillroom and client_key = :key")
                .param("stillroom", Current.stillroom())
                .param("key", key)
                .query(UUID.class)
                .optional();
    }
}
