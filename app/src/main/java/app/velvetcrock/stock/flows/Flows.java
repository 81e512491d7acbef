package app.velvetcrock.stock.flows;

import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.stillroom.Current;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Sums over the ledger, as the database keeps them by the day. A herb is counted as if dried, whatever water it held; an oil in
 * millilitres; what was taken back was never taken, and what is poured on, bottled, split or dried goes nowhere.
 */
@Service
public class Flows {

    private static final int MOST = 2000;

    private static final String KEY =
            "case when l.kind in ('INFUSED_OIL', 'MADE') then lower(l.name) else l.kind_key end";

    /** In grams, millilitres or pieces, of a sum in a lot's own unit. */
    private static final String MEASURED =
            "case when l.unit = 'PIECE' then 1 when l.kind in ('INFUSED_OIL', 'CARRIER') then 1000 * l.density else 1000 end";

    private static final String TAKEN =
            """
            select t.*, least(t.first,
                (select f.created_at::date from lot f where f.stillroom_id = :stillroom and f.kind = t.kind and %1$s = t.key
                    order by f.created_at limit 1),
                (select f.acquired_on from lot f where f.stillroom_id = :stillroom and f.kind = t.kind and %1$s = t.key
                    and f.acquired_on is not null order by f.acquired_on limit 1)) as since
            from (select a.*, min(a.moved) over (partition by a.kind, a.key) as first from (
                select kind, key, max(name) as name, unit, part, cut, moisture, cause, sum(amount)::float8 as amount,
                    sum(times)::int as times, min(day) filter (where times > 0) as moved
                from flow where stillroom_id = :stillroom and day >= :since group by 1, 2, 4, 5, 6, 7, 8 having sum(times) > 0) a) t
            where t.cause in ('USED', 'DRAWN', 'GIVEN', 'SOLD') order by t.kind, t.key"""
                    .formatted("case when f.kind in ('INFUSED_OIL', 'MADE') then lower(f.name) else f.kind_key end");

    private static final String LEFT =
            """
            select l.kind, %1$s as key, l.name, l.unit, l.part, l.cut, l.moisture, (l.balance / %2$s)::float8 as amount,
                l.id, l.batch_id, l.best_before
            from lot l where l.stillroom_id = :stillroom and l.balance > 0
                and not (l.kind = 'MADE' and l.kind_key = 'melt')
            order by l.name, l.created_at, l.id limit :most"""
                    .formatted(KEY, MEASURED);

    private static final String MADE =
            """
            select * from (select oil, kind_key, part, cut, moisture, sum(grams)::float8 as amount,
                (sum(sum(batches)) over of_oil)::int as batches, (sum(sum(millilitres)) over of_oil)::float8 as millilitres
                from brewed where stillroom_id = :stillroom and day >= :since and day < :until
                group by 1, 2, 3, 4, 5 window of_oil as (partition by oil)) t
            where kind_key <> '' order by 1, 2""";

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

    /** What was taken since a day, most a year ago, of each thing and for each reason. */
    @Transactional(readOnly = true)
    public List<Taken> taken(LocalDate since) {
        return sql.sql(TAKEN)
                .param("stillroom", Current.stillroom())
                .param("since", since)
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

    /** What oils were strained from a day until another, and of how much of each herb. */
    @Transactional(readOnly = true)
    public List<Made> made(LocalDate since, LocalDate until) {
        return sql.sql(MADE)
                .param("stillroom", Current.stillroom())
                .param("since", since)
                .param("until", until)
                .query((row, at) -> new Made(
                        row.getString("oil"),
                        row.getString("kind_key"),
                        row.getInt("batches"),
                        row.getDouble("millilitres"),
                        dried(row)))
                .list();
    }

    /** Some days of the household's sums, of each what holds: a day on which all was taken back is none. */
    static String days(String which) {
        return """
                (select kind, key, max(name) as name, unit, part, cut, moisture, cause, day, sum(amount) as amount, sum(times) as times,
                    sum(paid) as paid
                from flow where stillroom_id = :stillroom and %s
                group by kind, key, unit, part, cut, moisture, cause, day having sum(times) > 0)"""
                .formatted(which);
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
        return Optional.ofNullable(row.getString("part"))
                .filter(part -> !part.isEmpty())
                .map(Part::valueOf);
    }

    /** An amount; of a herb as if it were dried: the same dry matter at a tenth of water (craft: water). */
    static double dried(ResultSet row) throws SQLException {
        double amount = row.getDouble("amount");
        String moisture = row.getString("moisture");
        return moisture == null || moisture.isEmpty()
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
