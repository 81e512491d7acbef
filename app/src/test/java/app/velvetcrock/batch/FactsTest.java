package app.velvetcrock.batch;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.bench.Bench;
import app.velvetcrock.bench.BenchForm;
import app.velvetcrock.bench.BenchWork;
import app.velvetcrock.core.bench.ChargePart;
import app.velvetcrock.core.course.Seen;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.SignedIn;
import app.velvetcrock.stillroom.TestHouse;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Provenance;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.upkeep.Rebuild;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What is kept beside batches for lists, against their plans and logs. */
@HttpTest
class FactsTest {

    @LocalServerPort
    int port;

    @Autowired
    Bench bench;

    @Autowired
    Starting starting;

    @Autowired
    Deeds deeds;

    @Autowired
    Batches batches;

    @Autowired
    Rebuild rebuild;

    @Autowired
    Stores stores;

    @Autowired
    Materia materia;

    @Autowired
    JdbcClient sql;

    @Autowired
    Clock clock;

    private final Random random = new Random(20);

    /** Started, strained, settled, thrown out, noted and any of it taken back, in any order: what is kept says the same. */
    @Test
    void agreesWithPlanAndLogWhateverWasDone() {
        SignedIn tove = TestHouse.at(port).person("Facts");
        Current.as(tove, () -> {
            CarrierKind olive = materia.carrier("olive").orElseThrow();
            stores.add(new Arrival.Carrier(
                    olive,
                    olive.density().massOf(Volume.ofMillilitres(20_000)),
                    null,
                    null,
                    Provenance.UNSAID,
                    "20 L"));
            for (int i = 0; i < 12; i++) {
                history();
            }
            return started();
        });
        assertThat(ofThisHousehold(rebuild.everywhere(false), tove)).isEmpty();
        assertThat(sql.sql("select distinct state from batch_facts where stillroom_id = :s")
                        .param("s", tove.stillroom())
                        .query(String.class)
                        .list())
                .as("histories that reach every state")
                .containsExactlyInAnyOrder("STANDING", "STRAINED", "DISCARDED", "NEVER_STARTED");
    }

    /** What differs is found, named, and mended by one command; found again it is not. */
    @Test
    void whatWasSpoiledIsFoundAndMended() {
        SignedIn tove = TestHouse.at(port).person("Spoiled");
        Current.as(tove, this::started);
        sql.sql("update batch_facts set state = 'NEVER_STARTED', herbs = '{yarrow}' where stillroom_id = :s")
                .param("s", tove.stillroom())
                .update();
        assertThat(ofThisHousehold(rebuild.everywhere(false), tove)).hasSize(1);
        assertThat(ofThisHousehold(rebuild.everywhere(true), tove)).hasSize(1);
        assertThat(ofThisHousehold(rebuild.everywhere(false), tove)).isEmpty();
        assertThat(Current.as(tove, () -> batches.standing().size())).isEqualTo(1);
    }

    private static List<String> ofThisHousehold(Rebuild.Found found, SignedIn person) {
        return found.otherwise().stream()
                .filter(words -> words.startsWith(person.stillroom().toString()))
                .toList();
    }

    /** The key of a deed is its own, not its form's: a start and a note said again by whatever way are done once. */
    @Test
    void aDeedIsDoneOnceForItsKeyWhoeverSaysIt() {
        SignedIn tove = TestHouse.at(port).person("Once");
        Current.as(tove, () -> {
            UUID key = UUID.randomUUID();
            UUID batch = started(key);
            assertThat(started(key)).isEqualTo(batch);
            assertThat(batches.standing()).hasSize(1);
            var note = Current.doing(new Deed.Note("hay"), UUID.randomUUID(), clock.instant(), "");
            UUID line = deeds.done(batch, note);
            assertThat(deeds.done(batch, note)).isEqualTo(line);
            assertThat(batches.sheet(batch).lines()).hasSize(2);
            return batch;
        });
    }

    private UUID started() {
        return started(UUID.randomUUID());
    }

    private UUID started(UUID key) {
        BenchWork work = bench.work(BenchForm.of("", "8 g", "", "").by("cold-dark"));
        ChargePart part = work.planned().orElseThrow().first();
        return starting.start(Current.doing(
                new Deed.Start(
                        part.frozen(),
                        part.jar().id(),
                        part.jar().kit(),
                        part.weighed().herb(),
                        part.weighed().oil()),
                key,
                clock.instant(),
                ""));
    }

    private void history() {
        UUID batch;
        try {
            batch = started();
        } catch (RuntimeException noJarIsFree) {
            return;
        }
        for (int i = 0; i < 5; i++) {
            List<Deed> could = new ArrayList<>(List.of(
                    new Deed.Note("a note"),
                    new Deed.Strain(
                            Mass.ofGrams(90),
                            Pressing.HAND,
                            true,
                            new Seen(Clarity.CLEAR, Smell.RIGHT, Volume.ZERO, ""),
                            ""),
                    new Deed.Settle(Mass.ofGrams(80), Volume.ofMillilitres(2), Smell.RIGHT),
                    new Deed.ThrowOut(Ruin.MOULD, "wet jar", Optional.empty())));
            List<BatchSheet.Written> lines = batches.sheet(batch).lines();
            could.add(new Deed.TakeBack(lines.get(random.nextInt(lines.size())).id()));
            could.add(new Deed.TakeBack(lines.get(0).id()));
            try {
                deeds.done(
                        batch,
                        Current.doing(could.get(random.nextInt(could.size())), UUID.randomUUID(), clock.instant(), ""));
            } catch (Refused mayNotBeDone) {
                assertThat(mayNotBeDone.getMessage()).isNotBlank();
            }
        }
        // Free the jar, so that the next can begin.
        try {
            deeds.done(
                    batch,
                    Current.doing(
                            new Deed.ThrowOut(Ruin.MOULD, "over", Optional.empty()),
                            UUID.randomUUID(),
                            clock.instant(),
                            ""));
        } catch (Refused isOver) {
            assertThat(isOver.getMessage()).isNotBlank();
        }
    }
}
