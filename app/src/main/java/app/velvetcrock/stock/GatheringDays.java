package app.velvetcrock.stock;

import app.velvetcrock.stillroom.Current;
import java.time.LocalDate;
import java.time.Month;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When this household gathered what it picked itself: its own seasons. */
@Service
public class GatheringDays {

    /** What was brought in by mistake and taken back was never gathered. */
    private static final String NOT_TAKEN_BACK =
            "and not exists (select 1 from movement m join movement back on back.stillroom_id = m.stillroom_id "
                    + "and back.reverses = m.id where m.stillroom_id = lot.stillroom_id and m.lot_id = lot.id "
                    + "and m.cause in ('BOUGHT', 'GATHERED'))";

    private final JdbcClient sql;

    GatheringDays(JdbcClient sql) {
        this.sql = sql;
    }

    /** In which months each herb was gathered or cut here in any year; a herb that was only bought is not in it. */
    @Transactional(readOnly = true)
    public Map<String, Set<Month>> months() {
        Map<String, Set<Month>> months = new HashMap<>();
        sql.sql(
                        "select distinct kind_key, extract(month from acquired_on)::int from lot where stillroom_id = :stillroom "
                                + "and kind = 'HERB' and origin in ('GATHERED', 'GROWN') and acquired_on is not null "
                                + NOT_TAKEN_BACK)
                .param("stillroom", Current.stillroom())
                .query((row, at) -> months.computeIfAbsent(row.getString(1), key -> EnumSet.noneOf(Month.class))
                        .add(Month.of(row.getInt(2))))
                .list();
        return months;
    }

    /** Some of a herb, gathered or cut here on a day. */
    public record Day(String kindKey, LocalDate on) {}

    /** The day each herb was first gathered or cut here, year by year. */
    @Transactional(readOnly = true)
    public List<Day> firstDays() {
        return sql.sql(
                        """
                        select key, min(day) from (select key, day from flow
                            where stillroom_id = :stillroom and cause = 'GATHERED' and kind = 'HERB'
                            group by key, day having sum(times) > 0) gathered
                        group by key, extract(year from day) order by 1, 2""")
                .param("stillroom", Current.stillroom())
                .query((row, at) -> new Day(row.getString(1), row.getObject(2, LocalDate.class)))
                .list();
    }

    /** Which of some herbs were gathered or cut here since a day, each since its own. */
    @Transactional(readOnly = true)
    public Set<String> since(Map<String, LocalDate> days) {
        return days.isEmpty()
                ? Set.of()
                : daysSince(days.keySet(), Collections.min(days.values())).stream()
                        .filter(day -> !day.on().isBefore(Objects.requireNonNull(days.get(day.kindKey()))))
                        .map(Day::kindKey)
                        .collect(Collectors.toSet());
    }

    private List<Day> daysSince(Set<String> kindKeys, LocalDate earliest) {
        return sql.sql("select kind_key, acquired_on from lot where stillroom_id = :stillroom and kind_key in (:kinds) "
                        + "and kind = 'HERB' and origin in ('GATHERED', 'GROWN') and acquired_on >= :earliest "
                        + NOT_TAKEN_BACK)
                .param("stillroom", Current.stillroom())
                .param("kinds", kindKeys)
                .param("earliest", earliest)
                .query((row, at) -> new Day(row.getString(1), row.getObject(2, LocalDate.class)))
                .list();
    }
}
