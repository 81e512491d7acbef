package app.velvetcrock.stock.kinship;

import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.stillroom.Current;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is in a thing, walked up the movements that hold: what was used in the batch it came of, what it was bottled, split or blended
 * from, and what is in those. The other way of the walk that tells what was made of a thing.
 */
@Service
public class Contents {

    private static final String HOLDS =
            "not exists (select from movement u where u.stillroom_id = m.stillroom_id and u.reverses = m.id)";

    private static final String UP =
            """
            with recursive up (origin, lot) as (
                select o.lot, o.lot from unnest(cast(:lots as uuid[])) as o (lot)
                union
                select u.origin, n.lot from up u cross join lateral (
                    select m.lot_id as lot from lot l
                    join movement m on m.stillroom_id = l.stillroom_id and m.batch_id = l.batch_id and m.cause = 'USED' and m.amount < 0
                        and %1$s
                    where l.stillroom_id = :stillroom and l.id = u.lot and l.batch_id is not null
                    union all
                    select m.lot_id from movement i
                    join movement m on m.stillroom_id = i.stillroom_id and m.entry_id = i.entry_id and m.cause = 'BOTTLED'
                        and m.amount < 0 and m.lot_id <> i.lot_id and %1$s
                    where i.stillroom_id = :stillroom and i.lot_id = u.lot and i.cause = 'BOTTLED' and i.amount > 0
                    union all
                    select m.lot_id from movement i
                    join movement m on m.stillroom_id = i.stillroom_id and m.deed = i.deed and m.cause <> 'UNDONE'
                        and m.amount < 0 and m.lot_id <> i.lot_id and %1$s
                    where i.stillroom_id = :stillroom and i.lot_id = u.lot and i.amount > 0 and i.cause <> 'UNDONE' and i.deed is not null
                ) n
            )
            select u.origin, l.id, l.kind, l.kind_key, l.name, l.batch_id from up u
            -- Looked up one by one: what was walked to is little beside all lots there ever were.
            cross join lateral (select * from lot where stillroom_id = :stillroom and id = u.lot offset 0) l
            order by l.created_at, l.id"""
                    .formatted(HOLDS);

    private static final int MOST = 300;

    private final JdbcClient sql;

    Contents(JdbcClient sql) {
        this.sql = sql;
    }

    /** A lot in it; the thing itself is the first of its own. */
    public record In(UUID lot, LotKind kind, String kindKey, String name, Optional<UUID> batch) {

        /** Tells whether it is something bought or gathered, and no oil or melt in between. */
        public boolean isRaw() {
            return kind != LotKind.INFUSED_OIL && kind != LotKind.MADE && kind != LotKind.CONTAINER;
        }
    }

    /** Lots of some kinds, as they were bought or gathered, of which any is left or that are among some; the newest first. */
    @Transactional(readOnly = true)
    public List<In> ofKinds(Collection<String> kindKeys, Collection<UUID> among) {
        return kindKeys.isEmpty()
                ? List.of()
                : sql.sql(
                                "select id, kind, kind_key, name from lot where stillroom_id = :stillroom and kind_key in (:keys) "
                                        + "and kind not in ('INFUSED_OIL', 'MADE', 'CONTAINER') and (balance > 0 or id = any(:among)) "
                                        + "order by created_at desc, id limit " + MOST)
                        .param("stillroom", Current.stillroom())
                        .param("keys", kindKeys)
                        .param("among", among.toArray(UUID[]::new))
                        .query((row, at) -> new In(
                                row.getObject(1, UUID.class),
                                LotKind.valueOf(row.getString(2)),
                                row.getString(3),
                                row.getString(4),
                                Optional.empty()))
                        .list();
    }

    /** What was taken into some batches and makings, and was not taken back. */
    @Transactional(readOnly = true)
    public Set<UUID> usedIn(Collection<UUID> batches) {
        return batches.isEmpty()
                ? Set.of()
                : Set.copyOf(sql.sql(
                                "select distinct m.lot_id from movement m where m.stillroom_id = :stillroom and m.batch_id in (:batches) "
                                        + "and m.cause = 'USED' and m.amount < 0 and " + HOLDS)
                        .param("stillroom", Current.stillroom())
                        .param("batches", batches)
                        .query(UUID.class)
                        .list());
    }

    /** What came of some batches, whether any of it is left or not: each lot with its batch. */
    @Transactional(readOnly = true)
    public Map<UUID, UUID> cameOf(Collection<UUID> batches) {
        Map<UUID, UUID> came = new HashMap<>();
        if (!batches.isEmpty()) {
            sql.sql("select id, batch_id from lot where stillroom_id = :stillroom and batch_id in (:batches) limit "
                            + MOST)
                    .param("stillroom", Current.stillroom())
                    .param("batches", batches)
                    .query(row -> {
                        came.put(row.getObject(1, UUID.class), row.getObject(2, UUID.class));
                    });
        }
        return came;
    }

    /** All that is in some lots, themselves as well, in one walk. */
    @Transactional(readOnly = true)
    public Map<UUID, List<In>> of(Collection<UUID> lots) {
        Map<UUID, List<In>> in = new HashMap<>();
        if (!lots.isEmpty()) {
            sql.sql(UP)
                    .param("stillroom", Current.stillroom())
                    .param("lots", lots.toArray(UUID[]::new))
                    .query(row -> {
                        in.computeIfAbsent(row.getObject(1, UUID.class), key -> new ArrayList<>())
                                .add(new In(
                                        row.getObject(2, UUID.class),
                                        LotKind.valueOf(row.getString(3)),
                                        row.getString(4),
                                        row.getString(5),
                                        Optional.ofNullable(row.getObject(6, UUID.class))));
                    });
        }
        return in;
    }
}
