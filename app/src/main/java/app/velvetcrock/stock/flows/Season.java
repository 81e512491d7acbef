package app.velvetcrock.stock.flows;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.Cause;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** One year of the ledger, month by month: what came in, became something, and left. */
@Service
public class Season {

    private static final String MOVED =
            """
            select l.kind, %1$s as key, max(l.name) as name, l.unit, l.part, l.cut, l.moisture, m.cause, d.month,
                sum(abs(m.amount) / %2$s)::float8 as amount, count(*)::int as times, min(d.day) as first,
                coalesce(sum(case when m.cause = 'BOUGHT' then l.price_minor * m.amount / l.price_for::numeric end), 0)::float8 as paid,
                coalesce(string_agg(distinct nullif(m.note, ''), ', ') filter (where m.cause = 'DISCARDED'), '') as notes
            from movement m join lot l on l.stillroom_id = m.stillroom_id and l.id = m.lot_id
            cross join lateral (select day, extract(month from day)::int as month from (
                -- What was gathered was gathered on its day, whenever it was written down.
                select case when m.cause in ('GATHERED', 'BOUGHT') and l.acquired_on is not null then l.acquired_on
                    else (m.happened_at at time zone :zone)::date end as day) one) d
            where m.stillroom_id = :stillroom and m.cause in
                    ('GATHERED', 'BOUGHT', 'DRIED', 'STRAINED', 'POURED', 'USED', 'DRAWN', 'GIVEN', 'SOLD', 'DISCARDED')
                and (m.amount > 0) = (m.cause in ('GATHERED', 'BOUGHT', 'DRIED', 'STRAINED', 'POURED'))
                and d.day >= :first and d.day < :end and m.happened_at >= :early and l.kind <> 'CONTAINER' and %4$s and %3$s
            group by 1, 2, 4, 5, 6, 7, 8, 9 order by 1, 2, 9 limit :most"""
                    .formatted(Flows.KEY, Flows.MEASURED, Flows.HOLDS, Flows.NO_MELT);

    private static final int MOST = 4000;

    private final JdbcClient sql;

    Season(JdbcClient sql) {
        this.sql = sql;
    }

    /**
     * What moved of a thing in a month for one reason.
     *
     * @param amount grams as if dried, millilitres or pieces
     * @param paid for what was bought, where its price is known, in minor units
     * @param notes why it was thrown out, in the words that were typed; empty of anything else
     */
    public record Moved(
            Thing thing,
            String name,
            Measure measure,
            Cause cause,
            int month,
            double amount,
            int times,
            LocalDate first,
            double paid,
            String notes) {}

    /** All that moved in a year of a time zone. */
    @Transactional(readOnly = true)
    public List<Moved> of(int year, String zone) {
        LocalDate first = LocalDate.of(year, 1, 1);
        return sql.sql(MOVED)
                .param("stillroom", Current.stillroom())
                .param("zone", zone)
                .param("first", first)
                .param("end", first.plusYears(1))
                .param("early", first.minusDays(1))
                .param("most", MOST)
                .query((row, at) -> {
                    Thing thing = Flows.thing(row);
                    return new Moved(
                            thing,
                            row.getString("name"),
                            Flows.measure(row, thing),
                            Cause.valueOf(row.getString("cause")),
                            row.getInt("month"),
                            Flows.dried(row),
                            row.getInt("times"),
                            row.getObject("first", LocalDate.class),
                            row.getDouble("paid"),
                            row.getString("notes"));
                })
                .list();
    }

    /** What a gram of each herb, as if dried, cost where it was bought, in minor units: the mean over all that has a price. */
    @Transactional(readOnly = true)
    public Map<String, Double> pricesOfGrams() {
        Map<String, double[]> sums = new HashMap<>();
        sql.sql("select kind_key, part, cut, moisture, sum(price_minor)::float8 as paid, "
                        + "(sum(price_for) / 1000.0)::float8 as grams "
                        + "from lot where stillroom_id = :stillroom and kind = 'HERB' and price_minor is not null "
                        + "and coalesce(origin, 'BOUGHT') = 'BOUGHT' group by 1, 2, 3, 4")
                .param("stillroom", Current.stillroom())
                .query(row -> {
                    double dried = row.getDouble("grams")
                            * Flows.driedOf(
                                    Part.valueOf(row.getString("part")),
                                    Cut.valueOf(row.getString("cut")),
                                    Moisture.valueOf(row.getString("moisture")));
                    double[] sum = sums.computeIfAbsent(row.getString("kind_key"), key -> new double[2]);
                    sum[0] += row.getDouble("paid");
                    sum[1] += dried;
                });
        Map<String, Double> prices = new HashMap<>();
        sums.forEach((key, sum) -> {
            if (sum[1] > 0) {
                prices.put(key, sum[0] / sum[1]);
            }
        });
        return prices;
    }
}
