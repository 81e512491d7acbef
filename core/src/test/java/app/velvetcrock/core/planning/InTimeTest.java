package app.velvetcrock.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.HoursReader;
import app.velvetcrock.core.timetable.Presence;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * By Saturday 5 December 2026, eight in the morning, by each of the ten ways, begun on Tuesday 24 November at nine; home from 17
 * to 22, at weekends from 8.
 */
class InTimeTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");

    /**
     * Chopped from 17:00 to 17:20 on Tuesday, except fresh herb. Cold: 29 Dec. Sun: 15 Dec. Bath of 6 h: 3:55 are earned today,
     * 2:05 tomorrow to 19:50, cool 21:50, so Thursday. 60 min:
     * off at 19:05, cool 21:05, strained by 21:50. Oven 2 h: off 20:05, cool 22:05, Wednesday. Heat and rest: 8 Dec. Spirit: oil
     * on Wednesday 17:20, off 21:05, Thursday. Fresh leaf over
     * evenings would take too many sessions, so it is cut on Thursday at 20:00 and warmed on Saturday (13:15) and Sunday (10:45,
     * off 19:30); cool 21:30, strained on Monday, decanted
     * on Tuesday by 18:00. Pan: off 18:15, stood by 06:15, strained Wednesday, decanted Thursday by 18:00.
     */
    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "cold-dark, DRIED, 2026-12-29T17:45, false", "sun-window, DRIED, 2026-12-15T17:45, false",
                "water-bath, DRIED, 2026-11-26T17:45, true", "quick-bath, DRIED, 2026-11-24T21:50, true",
        "slow-warm, DRIED, 2026-11-26T17:45, true", "oven, DRIED, 2026-11-25T17:45, true",
                "heat-rest, DRIED, 2026-12-08T17:45, false", "spirit-first, DRIED, 2026-11-26T17:45, true",
        "fresh-low, FRESH, 2026-12-01T18:00, true", "juicy-pan, JUICY, 2026-11-26T18:00, true"
    })
    void everyWayIsInTimeOrLate(String method, Moisture moisture, LocalDateTime done, boolean feasible) {
        InTime inTime = inTime(method, moisture, "8-22");
        assertThat(inTime.soonest().orElseThrow().end())
                .isEqualTo(done.atZone(LONDON).toInstant());
        assertThat(inTime.isFeasible()).isEqualTo(feasible);
        assertThat(inTime.late().isPresent()).isEqualTo(!feasible);
        assertThat(inTime.slack().isPresent()).isEqualTo(feasible);
        inTime.latest().ifPresent(latest -> assertThat(latest.end()).isBeforeOrEqualTo(at("2026-12-05T08:00")));
    }

    /** 35 days end 24 days, 9 hours and 45 minutes after the need. With evenings alone fresh leaf spoils, however much time there is. */
    @Test
    void howLateAndWhatSpoils() {
        assertThat(inTime("cold-dark", Moisture.DRIED, "8-22").late())
                .contains(Duration.ofDays(24).plusHours(9).plusMinutes(45));
        InTime evenings = inTime("fresh-low", Moisture.FRESH, "17-22");
        assertThat(evenings.spoils()).isTrue();
        assertThat(evenings.isFeasible()).isFalse();
    }

    private static InTime inTime(String method, Moisture moisture, String weekends) {
        HomeHours home = new HomeHours(
                List.of(new Presence(
                        "A",
                        Arrays.stream(DayOfWeek.values())
                                .collect(Collectors.toMap(
                                        day -> day, day -> HoursReader.parse(day.getValue() > 5 ? weekends : "17-22"))),
                        List.of())),
                LONDON);
        Materia materia = Materia.shipped();
        var nettle = materia.herb("nettle").orElseThrow();
        Method way = Method.of(method).orElseThrow();
        Vessel jar = new Vessel("litre", Volume.ofMillilitres(1000), Length.ofMillimetres(100));
        PlanRequest request = new PlanRequest(
                List.of(new PlannedHerb(
                        nettle,
                        materia.texture(nettle.part(), Cut.CUT_AND_SIFTED),
                        moisture,
                        Optional.empty(),
                        Mass.ofGrams(40),
                        List.of())),
                new PlannedCarrier(
                        materia.carrier("rapeseed").orElseThrow(),
                        new Bottle("rapeseed", 10, Optional.empty(), Optional.empty())),
                new OilWish.ToCover(),
                jar,
                List.of(jar),
                new PlanRequest.Circumstances(
                        way,
                        way.usualLengths(),
                        LocalDate.of(2026, 11, 24),
                        Use.HANDS,
                        Pressing.HAND,
                        Storage.COOL_DARK,
                        Means.of(Temperature.ofCelsius(14), Optional.of(new Strength(96)))));
        return InTime.of(PlanSteps.of(request, home), at("2026-11-24T09:00"), at("2026-12-05T08:00"), home);
    }

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(LONDON).toInstant();
    }
}
