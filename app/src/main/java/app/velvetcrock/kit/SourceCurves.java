package app.velvetcrock.kit;

import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.heat.SourceCurve;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.trip.Question;
import app.velvetcrock.web.trip.Trip;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the household's sources of heat did, session by session. */
@Component
public class SourceCurves {

    /** Enough to be sure of, few enough to follow a cooker that grows old. */
    private static final int LATEST = 200;

    private final JdbcClient sql;
    private final Trip trip;
    private final Clock clock;

    SourceCurves(JdbcClient sql, Trip trip, Clock clock) {
        this.sql = sql;
        this.trip = trip;
        this.clock = clock;
    }

    /** Keeps what the readings of a batch show of a source, in place of what they showed before. */
    public void keep(UUID batch, UUID kit, List<SourceCurve> curves) {
        forget(batch);
        for (int i = 0; i < curves.size(); i++) {
            SourceCurve curve = curves.get(i);
            sql.sql(
                            "insert into source_curve values (:stillroom, :batch, :ordinal, :kit, :setting, :load, :end, :tau, :began)")
                    .param("stillroom", Current.stillroom())
                    .param("batch", batch)
                    .param("ordinal", i)
                    .param("kit", kit)
                    .param("setting", curve.setting().map(Enum::name).orElse(null))
                    .param("load", curve.load().toMicrolitres())
                    .param("end", curve.end().celsius())
                    .param("tau", curve.tau().toSeconds())
                    .param("began", curve.began().map(Temperature::celsius).orElse(null))
                    .update();
        }
    }

    /** Keeps what a trial with plain water showed. */
    @Transactional
    public UUID keepTrial(UUID kit, SourceCurve curve) {
        UUID id = UUID.randomUUID();
        sql.sql("insert into source_trial values (:stillroom, :id, :kit, :setting, :load, :end, :tau, :now, :began)")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("kit", kit)
                .param("setting", curve.setting().map(Enum::name).orElse(null))
                .param("load", curve.load().toMicrolitres())
                .param("end", curve.end().celsius())
                .param("tau", curve.tau().toSeconds())
                .param("began", curve.began().map(Temperature::celsius).orElse(null))
                .param("now", Timestamp.from(clock.instant()))
                .update();
        return id;
    }

    @Transactional
    public void takeTrialBack(UUID id) {
        int gone = sql.sql("delete from source_trial where stillroom_id = :stillroom and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .update();
        if (gone == 0) {
            throw new NotHere("that trial");
        }
    }

    private void forget(UUID batch) {
        sql.sql("delete from source_curve where stillroom_id = :stillroom and batch_id = :batch")
                .param("stillroom", Current.stillroom())
                .param("batch", batch)
                .update();
    }

    /** The latest of each source. */
    public Map<UUID, List<SourceCurve>> all() {
        return trip.answer(question());
    }

    /** Asks for the latest of each source. */
    public Question<Map<UUID, List<SourceCurve>>> question() {
        return new Question<>(
                "source curves",
                Current.person(),
                """
                (select kit_id, setting, load_ul, end_celsius, tau_seconds, began_celsius from source_curve
                where stillroom_id = :stillroom order by batch_id desc, ordinal limit :most)
                union all
                (select kit_id, setting, load_ul, end_celsius, tau_seconds, began_celsius from source_trial
                where stillroom_id = :stillroom order by tried_at desc limit :most)""",
                Map.of("stillroom", Current.stillroom(), "most", LATEST),
                row -> {
                    Map<UUID, List<SourceCurve>> curves = new LinkedHashMap<>();
                    while (row.next()) {
                        curves.computeIfAbsent(row.getObject(1, UUID.class), kit -> new ArrayList<>())
                                .add(curve(row));
                    }
                    return curves;
                });
    }

    private static SourceCurve curve(ResultSet row) throws SQLException {
        return new SourceCurve(
                Optional.ofNullable(row.getString(2)).map(HeatSetting::valueOf),
                Volume.ofMicrolitres(row.getLong(3)),
                Temperature.ofCelsius(row.getDouble(4)),
                Duration.ofSeconds(row.getLong(5)),
                Optional.ofNullable(row.getBigDecimal(6)).map(began -> Temperature.ofCelsius(began.doubleValue())));
    }
}
