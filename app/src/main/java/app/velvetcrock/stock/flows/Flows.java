package app.velvetcrock.stock.flows;

import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.stillroom.Current;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Sums over the ledger. A herb is counted as if dried, whatever water it held; an oil in millilitres; what was taken back was never
 * taken, and what is poured on, bottled, split or dried goes nowhere.
 */
@Service
public class Flows {

    private static final int MOST = 2000;

    static final String KEY = "case when l.kind in ('INFUSED_OIL', 'MADE') then lower(l.name) else l.kind_key end";

    /** In grams, millilitres or pieces, of a sum in a lot's own unit. */
    static final String MEASURED =
            "case when l.unit = 'PIECE' then 1 when l.kind in ('INFUSED_OIL', 'CARRIER') then 1000 * l.density else 1000 end";

    static final String HOLDS =
            "not exists (select from movement b where b.stillroom_id = m.stillroom_id and b.reverses = m.id)";

    static final String NO_MELT = "not (l.kind = 'MADE' and l.kind_key = 'melt')";

    private static final String TAKEN =
            """
            select t.*, least(t.first, (select f.created_at::date from lot f where f.stillroom_id = :stillroom and f.kind = t.kind
                    and (case when f.kind in ('INFUSED_OIL', 'MADE') then lower(f.name) else f.kind_key end) = t.key
                    order by f.created_at limit 1)) as since
            from (select a.*, min(a.moved) over (partition by a.kind, a.key) as first from (
                select l.kind, %1$s as key, max(l.name) as name, l.unit, l.part, l.cut, l.moisture, m.cause,
                    sum(-m.amount / %2$s)::float8 as amount, count(*)::int as times,
                    least(min(l.acquired_on), min(m.happened_at)::date) as moved
                from movement m join lot l on l.stillroom_id = m.stillroom_id and l.id = m.lot_id
                where m.stillroom_id = :stillroom and m.happened_at >= :since and m.cause <> 'UNDONE' and %4$s and %3$s
                group by 1, 2, 4, 5, 6, 7, 8) a) t
            where t.cause in ('USED', 'DRAWN', 'GIVEN', 'SOLD') order by t.kind, t.key"""
                    .formatted(KEY, MEASURED, HOLDS, NO_MELT);

    private static final String LEFT =
            """
            select l.kind, %1$s as key, l.name, l.unit, l.part, l.cut, l.moisture, (l.balance / %2$s)::float8 as amount,
                l.id, l.batch_id, l.best_before
            from lot l where l.stillroom_id = :stillroom and l.balance > 0 and %3$s
            order by l.name, l.created_at, l.id limit :most"""
                    .formatted(KEY, MEASURED, NO_MELT);

    private static final String MADE =
            """
            with strained as (
                select m.batch_id, lower(l.name) as oil, sum(m.amount / (1000 * l.density))::float8 as millilitres
                from movement m join lot l on l.stillroom_id = m.stillroom_id and l.id = m.lot_id and l.kind = 'INFUSED_OIL'
                where m.stillroom_id = :stillroom and m.happened_at >= :since and m.happened_at < :until
                    and m.cause = 'STRAINED' and m.amount > 0 and %1$s
                group by 1, 2),
            totals as (select oil, count(*)::int as batches, sum(millilitres) as millilitres from strained group by 1)
            select s.oil, l.kind_key, l.part, l.cut, l.moisture, t.batches, t.millilitres, sum(u.amount)::float8 as amount
            from strained s join totals t on t.oil = s.oil
            cross join lateral (select m.lot_id, sum(-m.amount / 1000.0) as amount from movement m
                where m.stillroom_id = :stillroom and m.batch_id = s.batch_id and m.cause = 'USED' and m.amount < 0 and %1$s group by 1) u
            join lot l on l.stillroom_id = :stillroom and l.id = u.lot_id and l.kind = 'HERB'
            group by 1, 2, 3, 4, 5, 6, 7 order by 1, 2"""
                    .formatted(HOLDS);

    private final JdbcClient sql;

    Flows(JdbcClient sql) {
        this.sql = sql;
    }

    /**
     * What was taken of a thing for one reason.
     *
     * @param amount grams as if dried, millilitres or pieces
     * @param inBatches taken into a batch or a making; else drawn out, given away or sold
     * @param since when the first of it came in
     */
    public record Taken(
            Thing thing,
            String name,
            Measure measure,
            Optional<Part> part,
            boolean inBatches,
            double amount,
            int times,
            LocalDate since) {}

    /**
     * What is left in one lot.
     *
     * @param amount grams as if dried, millilitres or pieces
     * @param usable the last day it may be used, where one is known
     */
    public record Left(
            Thing thing,
            String name,
            Measure measure,
            Optional<Part> part,
            double amount,
            UUID lot,
            @Nullable UUID batch,
            Optional<LocalDate> usable) {}

    /**
     * What came of a herb.
     *
     * @param oil the oil's name in lower case
     * @param batches of how many this oil was strained
     * @param millilitres strained in all of them, and {@code grams} of the herb, as if dried, that went into them
     */
    public record Made(String oil, String herb, int batches, double millilitres, double grams) {}

    /** What was taken since a moment, most a year ago, of each thing and for each reason. */
    @Transactional(readOnly = true)
    public List<Taken> taken(Instant since) {
        return sql.sql(TAKEN)
                .param("stillroom", Current.stillroom())
                .param("since", Timestamp.from(since))
                .query((row, at) -> {
                    Thing thing = thing(row);
                    return new Taken(
                            thing,
                            row.getString("name"),
                            measure(row, thing),
                            part(row),
                            "USED".equals(row.getString("cause")),
                            dried(row),
                            row.getInt("times"),
                            row.getObject("since", LocalDate.class));
                })
                .list();
    }

    /** What is there now, lot by lot. */
    @Transactional(readOnly = true)
    public List<Left> left() {
        return sql.sql(LEFT)
                .param("stillroom", Current.stillroom())
                .param("most", MOST)
                .query((row, at) -> {
                    Thing thing = thing(row);
                    return new Left(
                            thing,
                            row.getString("name"),
                            measure(row, thing),
                            part(row),
                            dried(row),
                            row.getObject("id", UUID.class),
                            row.getObject("batch_id", UUID.class),
                            Optional.ofNullable(row.getObject("best_before", LocalDate.class)));
                })
                .list();
    }

    /** What oils were strained from a moment until another, and of how much of each herb. */
    @Transactional(readOnly = true)
    public List<Made> made(Instant since, Instant until) {
        return sql.sql(MADE)
                .param("stillroom", Current.stillroom())
                .param("since", Timestamp.from(since))
                .param("until", Timestamp.from(until))
                .query((row, at) -> new Made(
                        row.getString("oil"),
                        row.getString("kind_key"),
                        row.getInt("batches"),
                        row.getDouble("millilitres"),
                        dried(row)))
                .list();
    }

    static Thing thing(ResultSet row) throws SQLException {
        return new Thing(LotKind.valueOf(row.getString("kind")), row.getString("key"));
    }

    static Measure measure(ResultSet row, Thing thing) throws SQLException {
        return switch (row.getString("unit")) {
            case "PIECE" -> Measure.PIECE;
            case "MICROLITRE" -> Measure.MILLILITRE;
            default -> thing.kind() == LotKind.INFUSED_OIL || thing.kind() == LotKind.CARRIER
                    ? Measure.MILLILITRE
                    : Measure.GRAM;
        };
    }

    private static Optional<Part> part(ResultSet row) throws SQLException {
        return Optional.ofNullable(row.getString("part")).map(Part::valueOf);
    }

    /** An amount; of a herb as if it were dried: the same dry matter at a tenth of water (craft: water). */
    static double dried(ResultSet row) throws SQLException {
        double amount = row.getDouble("amount");
        String moisture = row.getString("moisture");
        return moisture == null
                ? amount
                : amount
                        * driedOf(
                                Part.valueOf(row.getString("part")),
                                Cut.valueOf(row.getString("cut")),
                                Moisture.valueOf(moisture));
    }

    static double driedOf(Part part, Cut cut, Moisture moisture) {
        return WaterContent.of(part, cut, moisture).gramIn(WaterContent.DRIED);
    }
}
