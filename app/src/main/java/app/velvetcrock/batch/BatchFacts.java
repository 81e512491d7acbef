package app.velvetcrock.batch;

import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Facts;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.kit.Baths;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.kit.SourceCurves;
import app.velvetcrock.live.Changes;
import app.velvetcrock.readings.ProbedHeat;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import java.sql.Date;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what lists ask of a batch beside it: written anew after whatever was done to it, in the same transaction. */
@Component
public class BatchFacts {

    private final JdbcClient sql;
    private final KitShelf kit;
    private final SourceCurves curves;
    private final ProbedHeat probed;
    private final Baths baths;
    private final Changes changes;
    private final BatchRows rows;
    private final BatchReader reader;
    private final Households households;

    BatchFacts(
            JdbcClient sql,
            KitShelf kit,
            SourceCurves curves,
            ProbedHeat probed,
            Baths baths,
            Changes changes,
            BatchRows rows,
            BatchReader reader,
            Households households) {
        this.sql = sql;
        this.kit = kit;
        this.curves = curves;
        this.probed = probed;
        this.baths = baths;
        this.changes = changes;
        this.rows = rows;
        this.reader = reader;
        this.households = households;
    }

    /** Writes a batch's facts as its plan and log now say. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void write(UUID batch) {
        reader.among(List.of(batch)).forEach(sheet -> {
            if (sheet.course().method().isHeated()) {
                probed.settle(sheet.probed());
                probed.advance(sheet.probed());
            }
            write(sheet);
        });
        changes.batch(batch);
    }

    private void write(BatchSheet sheet) {
        learn(sheet);
        keep(sheet.id(), facts(sheet));
    }

    /** Keeps what is derived of a batch, of whichever kind; nothing else writes it. */
    @Transactional(propagation = Propagation.MANDATORY)
    void keep(UUID batch, Facts facts) {
        sql.sql(
                        """
                        insert into batch_facts
                        (stillroom_id, batch_id, number, kind, state, herbs, carriers, began_on, ended_on, keeps_until, settling)
                        select stillroom_id, id, number, kind, :state, :herbs, :carriers, :began, :ended, :keeps, :settling
                        from batch where stillroom_id = :stillroom and id = :batch
                        on conflict (stillroom_id, batch_id) do update set state = excluded.state,
                        herbs = excluded.herbs, carriers = excluded.carriers, began_on = excluded.began_on,
                        ended_on = excluded.ended_on, keeps_until = excluded.keeps_until,
                        settling = excluded.settling""")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .param("state", facts.state().name())
                .param("herbs", facts.herbs().toArray(String[]::new))
                .param("carriers", facts.carriers().toArray(String[]::new))
                .param("began", date(facts.began()))
                .param("ended", date(facts.ended()))
                .param("keeps", date(facts.keepsUntil()))
                .param("settling", facts.settling())
                .update();
    }

    private Facts facts(BatchSheet sheet) {
        return Facts.of(
                sheet.plan(),
                sheet.course(),
                sheet.log(),
                households.current().settings().zone());
    }

    private static @Nullable Date date(Optional<LocalDate> day) {
        return day.map(Date::valueOf).orElse(null);
    }

    /**
     * What was compared.
     *
     * @param last the number of the last of them
     * @param otherwise numbers of those that stood otherwise
     */
    public record Compared(int batches, int last, List<Integer> otherwise) {}

    /**
     * Compares what is kept of the next batches with their plans and logs, and writes it anew where that is asked.
     *
     * @param after the number of the last batch that was compared; 0 to begin
     * @param most few enough to be read at once
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Compared compare(int after, int most, boolean mend) {
        List<BatchRows.Row> next = rows.after(after, most);
        List<Integer> otherwise = new ArrayList<>();
        for (BatchSheet sheet :
                reader.among(next.stream().map(BatchRows.Row::id).toList())) {
            if (!kept(sheet.id()).filter(facts(sheet)::equals).isPresent()) {
                otherwise.add(sheet.number());
                if (mend) {
                    write(sheet);
                }
            } else if (mend) {
                learn(sheet);
            }
        }
        int last = next.isEmpty() ? after : next.get(next.size() - 1).number();
        return new Compared(next.size(), last, otherwise);
    }

    /** What its readings show of the source that heats it; what an earlier stage showed stays. */
    private void learn(BatchSheet sheet) {
        if (sheet.course().heat().isPresent()) {
            kit.sourceOf(sheet.course().method().sources(), sheet.heatedBy())
                    .ifPresent(source -> curves.keep(
                            sheet.id(),
                            source.id(),
                            sheet.course()
                                    .shown(
                                            sheet.log(),
                                            kit.load(
                                                    sheet.course().method(),
                                                    sheet.course().charge()))));
            sheet.course().heat().flatMap(HeatCourse::water).ifPresent(water -> baths.keep(sheet.id(), water));
        }
    }

    Optional<Facts> kept(UUID batch) {
        return sql.sql("select * from batch_facts where stillroom_id = :stillroom and batch_id = :batch")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .query((row, at) -> new Facts(
                        Course.State.valueOf(row.getString("state")),
                        List.of((String[]) row.getArray("herbs").getArray()),
                        List.of((String[]) row.getArray("carriers").getArray()),
                        day(row.getDate("began_on")),
                        day(row.getDate("ended_on")),
                        day(row.getDate("keeps_until")),
                        row.getBoolean("settling")))
                .optional();
    }

    private static Optional<LocalDate> day(@Nullable Date date) {
        return Optional.ofNullable(date).map(Date::toLocalDate);
    }
}
