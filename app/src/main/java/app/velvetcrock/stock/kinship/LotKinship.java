package app.velvetcrock.stock.kinship;

import app.velvetcrock.condition.Kinship;
import app.velvetcrock.condition.Reach;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Ledger;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Walks from what something is to all that was made of it, by the movements that hold: what was used in a batch is in all that came of
 * that batch, what went out and in by one deed or one bottling is in both. A movement taken back is no edge any more.
 */
@Component
class LotKinship implements Kinship {

    private static final String HOLDS =
            "not exists (select from movement u where u.stillroom_id = m.stillroom_id and u.reverses = m.id)";

    private static final String DOWN =
            """
            with recursive down (origin, lot, batch) as (
                select o.origin, o.lot, case when o.lot is null then o.batch end
                from unnest(cast(:origins as uuid[]), cast(:lots as uuid[]), cast(:batches as uuid[])) as o (origin, lot, batch)
                union
                select d.origin, n.lot, n.batch from down d cross join lateral (
                    select null::uuid as lot, m.batch_id as batch from movement m
                    where m.stillroom_id = :stillroom and m.lot_id = d.lot and m.amount < 0 and m.cause = 'USED'
                        and m.batch_id is not null and %1$s
                    union all
                    select i.lot_id, null from movement m
                    join movement i on i.stillroom_id = m.stillroom_id and i.deed = m.deed
                        and i.amount > 0 and i.cause <> 'UNDONE' and i.lot_id <> m.lot_id
                    where m.stillroom_id = :stillroom and m.lot_id = d.lot and m.amount < 0 and m.cause <> 'UNDONE'
                        and m.deed is not null and %1$s
                    union all
                    select i.lot_id, null from movement m
                    join movement i on i.stillroom_id = m.stillroom_id and i.entry_id = m.entry_id
                        and i.amount > 0 and i.cause = 'BOTTLED' and i.lot_id <> m.lot_id
                    where m.stillroom_id = :stillroom and m.lot_id = d.lot and m.amount < 0 and m.cause = 'BOTTLED' and %1$s
                    union all
                    select l.id, null from lot l where l.stillroom_id = :stillroom and l.batch_id = d.batch and l.kind_key <> 'melt'
                ) n
            )
            select d.origin, d.lot, d.batch, l.name, l.batch_id, l.balance > 0 from down d
            left join lateral (select * from lot where stillroom_id = :stillroom and id = d.lot offset 0) l on true"""
                    .formatted(HOLDS);

    /** What was poured into a batch, or out of what a lot was made or filled from at the stores. */
    private static final String UP =
            """
            select distinct s.id, s.name, s.balance > 0 from movement m
            join lot s on s.stillroom_id = m.stillroom_id and s.id = m.lot_id and s.kind in ('CARRIER', 'INFUSED_OIL', 'MADE')
            where m.stillroom_id = :stillroom and m.amount < 0 and %1$s
                and ((m.cause = 'USED' and m.batch_id = coalesce(cast(:batch as uuid),
                        (select l.batch_id from lot l where l.stillroom_id = :stillroom and l.id = cast(:lot as uuid))))
                    or (m.cause = 'BOTTLED' and m.entry_id in (select i.entry_id from movement i
                        where i.stillroom_id = :stillroom and i.lot_id = cast(:lot as uuid) and i.cause = 'BOTTLED' and i.amount > 0))
                    or (m.cause <> 'UNDONE' and m.deed in (select i.deed from movement i
                        where i.stillroom_id = :stillroom and i.lot_id = cast(:lot as uuid) and i.amount > 0)))
            order by s.name, s.id"""
                    .formatted(HOLDS);

    private static final int NAMED = 4;

    private final JdbcClient sql;
    private final EntityManager persistence;

    LotKinship(JdbcClient sql, EntityManager persistence) {
        this.sql = sql;
        this.persistence = persistence;
    }

    @Override
    public Map<UUID, Reach> madeOf(Collection<Origin> origins) {
        if (origins.isEmpty()) {
            return Map.of();
        }
        written();
        Map<UUID, Map<UUID, Reach.Reached>> lots = new HashMap<>();
        Map<UUID, Set<UUID>> batches = new HashMap<>();
        sql.sql(DOWN)
                .param("stillroom", Current.stillroom())
                .param("origins", origins.stream().map(Origin::id).toArray(UUID[]::new))
                .param("lots", origins.stream().map(Origin::lot).toArray(UUID[]::new))
                .param("batches", origins.stream().map(Origin::batch).toArray(UUID[]::new))
                .query(row -> {
                    UUID origin = row.getObject(1, UUID.class);
                    @Nullable UUID lot = row.getObject(2, UUID.class);
                    if (lot != null) {
                        lots.computeIfAbsent(origin, key -> new HashMap<>())
                                .put(
                                        lot,
                                        new Reach.Reached(
                                                lot,
                                                row.getString(4),
                                                row.getObject(5, UUID.class),
                                                row.getBoolean(6)));
                    } else {
                        batches.computeIfAbsent(origin, key -> new HashSet<>()).add(row.getObject(3, UUID.class));
                    }
                });
        Map<UUID, Reach> reaches = new HashMap<>();
        origins.forEach(one -> reaches.put(
                one.id(), new Reach(lots.getOrDefault(one.id(), Map.of()), batches.getOrDefault(one.id(), Set.of()))));
        return reaches;
    }

    @Override
    public List<Source> pouredFrom(Subject subject) {
        written();
        record Bottle(UUID id, String name, boolean isThere) {}
        List<Bottle> bottles = sql.sql(UP)
                .param("stillroom", Current.stillroom())
                .param("batch", subject.batch())
                .param("lot", subject.lot())
                .query((row, at) -> new Bottle(row.getObject(1, UUID.class), row.getString(2), row.getBoolean(3)))
                .list();
        Map<UUID, Reach> down = madeOf(bottles.stream()
                .map(one -> new Origin(one.id(), null, one.id()))
                .toList());
        return bottles.stream()
                .map(one -> new Source(
                        one.id(), one.name(), others(one.id(), subject, down.getOrDefault(one.id(), Reach.NOTHING))))
                .filter(source -> !source.others().isEmpty()
                        || bottles.stream().anyMatch(one -> one.id().equals(source.lot()) && one.isThere()))
                .toList();
    }

    private static String others(UUID bottle, Subject subject, Reach reach) {
        List<String> names = reach.there().stream()
                .filter(one -> !one.lot().equals(bottle) && !one.lot().equals(subject.lot()))
                .filter(one -> subject.batch() == null || !subject.batch().equals(one.batch()))
                .map(Reach.Reached::name)
                .distinct()
                .sorted()
                .toList();
        String first = String.join(", ", names.subList(0, Math.min(NAMED, names.size())));
        return names.size() > NAMED ? "%s and %d more".formatted(first, names.size() - NAMED) : first;
    }

    @Override
    public List<Gone> goneOf(Collection<UUID> lots) {
        if (lots.isEmpty()) {
            return List.of();
        }
        written();
        return sql.sql(
                        """
                        select m.id, m.lot_id, l.name, l.unit, m.amount, m.cause, m.happened_at, m.note from movement m
                        join lot l on l.stillroom_id = m.stillroom_id and l.id = m.lot_id
                        where m.stillroom_id = :stillroom and m.lot_id in (:lots) and m.amount < 0 and m.cause in ('GIVEN', 'SOLD')
                        and %s order by m.happened_at, m.id"""
                                .formatted(HOLDS))
                .param("stillroom", Current.stillroom())
                .param("lots", lots)
                .query((row, at) -> new Gone(
                        row.getObject(1, UUID.class),
                        row.getObject(2, UUID.class),
                        Ledger.gone(
                                row.getString(3),
                                Stock.Unit.valueOf(row.getString(4)).words(-row.getLong(5)),
                                Cause.valueOf(row.getString(6)),
                                row.getString(8)),
                        row.getTimestamp(7).toInstant()))
                .list();
    }

    /** Plain queries see what the persistence still holds back. */
    private void written() {
        if (TransactionSynchronizationManager.isActualTransactionActive()
                && !TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            persistence.flush();
        }
    }
}
