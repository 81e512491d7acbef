package app.velvetcrock.stock.flows;

import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.Cause;
import java.time.LocalDate;
import java.util.Collection;
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
            select f.*, case when f.cause = 'DISCARDED' then (
                select coalesce(string_agg(distinct nullif(m.note, ''), ', '), '')
                from movement m join lot l on l.stillroom_id = m.stillroom_id and l.id = m.lot_id
                where m.stillroom_id = :stillroom and m.cause = 'DISCARDED' and l.kind = f.kind
                    and case when l.kind in ('INFUSED_OIL', 'MADE') then lower(l.name) else l.kind_key end = f.key
                    and (m.happened_at at time zone :zone)::date between f.first and f.last
                    and m.happened_at >= :early and m.happened_at < :late
                    and not exists (select from movement b where b.stillroom_id = m.stillroom_id and b.reverses = m.id))
                else '' end as notes
            from (
                select kind, key, max(name) as name, unit, part, cut, moisture, cause, extract(month from day)::int as month,
                    sum(amount)::float8 as amount, sum(times)::int as times, min(day) as first, max(day) as last,
                    sum(paid)::float8 as paid
                from %s d group by 1, 2, 4, 5, 6, 7, 8, 9) f
            order by 1, 2, 9 limit :most"""
                    .formatted(Flows.days("day >= :first and day < :end and kind <> 'CONTAINER'"));

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
                .param("late", first.plusYears(1).plusDays(1))
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

    /** Of which kind some made things are, by their names in lower case. */
    @Transactional(readOnly = true)
    public Map<String, String> kindsOfMade(Collection<String> names) {
        Map<String, String> kinds = new HashMap<>();
        if (!names.isEmpty()) {
            sql.sql(
                            """
                            select n.name, l.kind_key from unnest(cast(:names as text[])) n (name)
                            cross join lateral (select l.kind_key from lot l where l.stillroom_id = :stillroom and l.kind = 'MADE'
                                and case when l.kind in ('INFUSED_OIL', 'MADE') then lower(l.name) else l.kind_key end = n.name
                                order by l.created_at limit 1) l""")
                    .param("stillroom", Current.stillroom())
                    .param("names", names.toArray(String[]::new))
                    .query(row -> {
                        kinds.put(row.getString(1), row.getString(2));
                    });
        }
        return kinds;
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
