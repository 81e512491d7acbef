package app.velvetcrock.errands;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.NotHere;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makings planned backwards that wait until the oil of their batch is strained. */
@Service
public class Awaited {

    private static final int MOST = 100;

    private final JdbcClient sql;
    private final Batches batches;
    private final Makings makings;
    private final Oils oils;
    private final Clock clock;

    Awaited(JdbcClient sql, Batches batches, Makings makings, Oils oils, Clock clock) {
        this.sql = sql;
        this.batches = batches;
        this.makings = makings;
        this.oils = oils;
        this.clock = clock;
    }

    /** So many containers of a kind, to a firmness F. */
    public record Wish(String kind, int pieces, UUID container, double firmness) {}

    /** A making that waits: for the straining of its batch, or, where there are oils, to be begun with them. */
    public record Waiting(BatchSheet batch, Wish wish, List<Stock.OfOil> oils) {}

    private record Row(UUID batch, Wish wish, Optional<UUID> made) {}

    /** Remembers what the oil of a batch is for. */
    @Transactional
    public void expect(UUID batch, Wish wish) {
        sql.sql(
                        "insert into awaited_making (stillroom_id, batch_id, kind, pieces, container_lot, firmness, added_at) "
                                + "values (:stillroom, :batch, :kind, :pieces, :container, :firmness, :at) on conflict do nothing")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .param("kind", wish.kind())
                .param("pieces", wish.pieces())
                .param("container", wish.container())
                .param("firmness", wish.firmness())
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }

    /** Those not begun yet, the oldest first; what was thrown out or never started waits for nothing. */
    @Transactional(readOnly = true)
    public List<Waiting> open() {
        List<Row> rows = rows();
        if (rows.isEmpty()) {
            return List.of();
        }
        Map<UUID, BatchSheet> sheets = batches
                .among(rows.stream().map(Row::batch).toList())
                .stream()
                .collect(Collectors.toMap(BatchSheet::id, Function.identity()));
        Map<UUID, Boolean> begun = makings
                .among(rows.stream().flatMap(row -> row.made().stream()).toList())
                .stream()
                .collect(Collectors.toMap(Makings.Sheet::id, Makings.Sheet::isBegun));
        Map<UUID, List<Stock.OfOil>> left = oils.left().stream().collect(Collectors.groupingBy(Stock.OfOil::batch));
        return rows.stream()
                .filter(row -> row.made()
                        .filter(made -> begun.getOrDefault(made, false))
                        .isEmpty())
                .filter(row -> sheets.containsKey(row.batch()))
                .map(row -> new Waiting(
                        Objects.requireNonNull(sheets.get(row.batch())),
                        row.wish(),
                        left.getOrDefault(row.batch(), List.of())))
                .filter(waits -> EnumSet.of(Course.State.STANDING, Course.State.STRAINED)
                        .contains(waits.batch().course().state()))
                .toList();
    }

    /** Tells whether something waits for the oil of a batch. */
    @Transactional(readOnly = true)
    public boolean isOpen(UUID batch) {
        return open().stream().anyMatch(waits -> waits.batch().id().equals(batch));
    }

    private List<Row> rows() {
        return sql.sql("select batch_id, kind, pieces, container_lot, firmness, made_id from awaited_making "
                        + "where stillroom_id = :stillroom and dropped_at is null "
                        + "order by made_id is not null, added_at desc limit :most")
                .param("stillroom", Current.stillroom())
                .param("most", MOST)
                .query((row, at) -> new Row(
                        row.getObject(1, UUID.class),
                        new Wish(row.getString(2), row.getInt(3), row.getObject(4, UUID.class), row.getDouble(5)),
                        Optional.ofNullable(row.getObject(6, UUID.class))))
                .list();
    }

    /** Whether anything ever waited for the oil of a batch of this household. */
    @Transactional(readOnly = true)
    public boolean everDid(UUID batch) {
        return sql.sql(
                        "select exists (select 1 from awaited_making where stillroom_id = :stillroom and batch_id = :batch)")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .query(Boolean.class)
                .single();
    }

    /** A making was begun with these lots: what waited for any of their batches waits no more. */
    @Transactional
    public void begun(UUID making, Collection<UUID> lots) {
        List<UUID> from = oils.left().stream()
                .filter(oil -> lots.contains(oil.id()))
                .map(Stock.OfOil::batch)
                .toList();
        if (!from.isEmpty()) {
            sql.sql(
                            "update awaited_making set made_id = :making where stillroom_id = :stillroom and batch_id in (:from)")
                    .param("stillroom", Current.stillroom())
                    .param("making", making)
                    .param("from", from)
                    .update();
        }
    }

    /** Drops it, or lets it wait again. */
    @Transactional
    public void drop(UUID batch, boolean dropped) {
        int there = sql.sql(
                        "update awaited_making set dropped_at = :at where stillroom_id = :stillroom and batch_id = :batch")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .param("at", dropped ? Timestamp.from(clock.instant()) : null)
                .update();
        if (there == 0) {
            throw new NotHere("what waits for that oil");
        }
    }
}
