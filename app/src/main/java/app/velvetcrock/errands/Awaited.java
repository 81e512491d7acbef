package app.velvetcrock.errands;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.NotHere;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
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

    /** So much of a kind, to a firmness F. */
    public record Wish(String kind, Much much, double firmness) {

        /** The same divided over the oil of so many batches: what does not divide goes to the first, together they are all of it. */
        List<Wish> among(int batches) {
            List<Wish> shares = new ArrayList<>();
            for (int i = 0; i < batches; i++) {
                shares.add(new Wish(kind, much.share(i, batches), firmness));
            }
            return shares;
        }
    }

    /** How much of it. */
    public sealed interface Much {

        Much share(int at, int of);

        /** So many containers. */
        record Pieces(int count, UUID container) implements Much {

            @Override
            public Much share(int at, int of) {
                return new Pieces(Math.max(1, (count + of - 1 - at) / of), container);
            }
        }

        /** So much by weight: what it is poured into is not said yet. */
        record Whole(Mass mass) implements Much {

            @Override
            public Much share(int at, int of) {
                return new Whole(mass.times(1.0 / of));
            }
        }
    }

    /** A making that waits: for the straining of its batch, or, where there are oils, to be begun with them. */
    public record Waiting(BatchSheet batch, Wish wish, List<Stock.OfOil> oils) {}

    private record Row(UUID batch, Wish wish, Optional<UUID> made) {}

    /** Remembers what the oil of a batch is for. */
    @Transactional
    public void expect(UUID batch, Wish wish) {
        Optional<Much.Pieces> pieces =
                Optional.of(wish.much()).filter(Much.Pieces.class::isInstance).map(Much.Pieces.class::cast);
        Optional<Much.Whole> whole =
                Optional.of(wish.much()).filter(Much.Whole.class::isInstance).map(Much.Whole.class::cast);
        sql.sql(
                        "insert into awaited_making "
                                + "(stillroom_id, batch_id, kind, pieces, container_lot, grams, firmness, added_at) "
                                + "values (:stillroom, :batch, :kind, :pieces, :container, :grams, :firmness, :at) on conflict do nothing")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .param("kind", wish.kind())
                .param("pieces", pieces.map(Much.Pieces::count).orElse(null))
                .param("container", pieces.map(Much.Pieces::container).orElse(null))
                .param("grams", whole.map(one -> one.mass().grams()).orElse(null))
                .param("firmness", wish.firmness())
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }

    /** Remembers what the oil of several batches is for. */
    @Transactional
    public void expect(List<UUID> of, Wish wish) {
        List<Wish> shares = wish.among(of.size());
        for (int i = 0; i < of.size(); i++) {
            expect(of.get(i), shares.get(i));
        }
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
        return sql.sql("select batch_id, kind, pieces, container_lot, grams, firmness, made_id from awaited_making "
                        + "where stillroom_id = :stillroom and dropped_at is null "
                        + "order by made_id is not null, added_at desc limit :most")
                .param("stillroom", Current.stillroom())
                .param("most", MOST)
                .query((row, at) -> new Row(
                        row.getObject(1, UUID.class),
                        new Wish(
                                row.getString(2),
                                row.getObject(4, UUID.class) == null
                                        ? new Much.Whole(Mass.ofGrams(row.getDouble(5)))
                                        : new Much.Pieces(row.getInt(3), row.getObject(4, UUID.class)),
                                row.getDouble(6)),
                        Optional.ofNullable(row.getObject(7, UUID.class))))
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
