package app.velvetcrock.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.HttpTest;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.HouseSettings;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.SignedIn;
import app.velvetcrock.stock.deeds.StoreDeeds;
import app.velvetcrock.stock.flows.Adding;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

@HttpTest
class LedgerTest {

    private static final Ledger.Why USED = new Ledger.Why(Cause.USED, null, null, Instant.EPOCH);

    @Autowired
    People people;

    @Autowired
    Stores stores;

    @Autowired
    Ledger ledger;

    @Autowired
    LotCare care;

    @Autowired
    StoreDeeds deeds;

    @Autowired
    MovementRepository movements;

    @Autowired
    Materia materia;

    @Autowired
    JdbcClient sql;

    @Autowired
    Adding sums;

    @Autowired
    PlatformTransactionManager transactions;

    private SignedIn person;

    @BeforeEach
    void household() {
        person = newHousehold();
    }

    @Test
    void anySequenceBalancesUndoIncluded() {
        Random random = new Random(7);
        UUID lot = Current.as(person, () -> herb(100));
        for (int i = 0; i < 120; i++) {
            boolean undo = random.nextInt(3) == 0;
            try {
                Current.as(person, () -> inTransaction(() -> step(lot, undo, random)));
            } catch (Refused expected) {
                assertThat(expected.getMessage()).containsAnyOf("only", "taken back", "Take that back first");
            }
            long balance = number("select balance from lot where id = :lot", lot);
            assertThat(balance)
                    .isNotNegative()
                    .isEqualTo(number("select sum(amount) from movement where lot_id = :lot", lot));
        }
    }

    /**
     * Any mixture of splitting, grinding, merging, drawing, correcting, throwing out and taking back: every lot is the sum of its
     * movements and never below
     * nothing, and all herb together is what came in, less what was taken, lost and corrected away.
     */
    @Test
    void anyDeedsOverManyLotsBalanceUndoIncluded() {
        Random random = new Random(11);
        Current.as(person, () -> List.of(herb(300), herb(200), herb(90)));
        List<UUID> done = new ArrayList<>();
        int refused = 0;
        for (int i = 0; i < 150; i++) {
            try {
                done.add(Current.as(person, () -> deed(random, done)));
            } catch (Refused expected) {
                refused++;
            }
            assertThat(sql.sql(
                                    """
                            select count(*) from lot l where l.stillroom_id = :stillroom and (l.balance < 0
                            or l.balance <> (select coalesce(sum(m.amount), 0)
                            from movement m where m.stillroom_id = l.stillroom_id and m.lot_id = l.id))""")
                            .param("stillroom", person.stillroom())
                            .query(Long.class)
                            .single())
                    .isZero();
        }
        assertThat(refused).isBetween(1, 120);
        assertThat(sumsOtherwise()).isEmpty();
        // what only moves between lots neither makes nor loses any
        assertThat(sql.sql("select coalesce(sum(amount), 0) from movement where stillroom_id = :stillroom and cause in "
                                + "('SPLIT', 'MERGED')")
                        .param("stillroom", person.stillroom())
                        .query(Long.class)
                        .single())
                .isZero();
        nothingIsMadeOrLostUnsaid();
    }

    /**
     * Every reversal is just what it reverses; what was ground is nine tenths of what went in; every deed that stands or is taken
     * back is whole.
     */
    private void nothingIsMadeOrLostUnsaid() {
        assertThat(
                        count(
                                """
                select count(*) from movement r join movement m on m.stillroom_id = r.stillroom_id and m.id = r.reverses
                where r.stillroom_id = :stillroom and (r.amount <> -m.amount or r.lot_id <> m.lot_id or r.deed is distinct from m.deed)"""))
                .isZero();
        assertThat(
                        count(
                                """
                select count(*) from (select deed, sum(amount) filter (where amount > 0) as came
                , -sum(amount) filter (where amount < 0) as went
                from movement where stillroom_id = :stillroom and cause = 'PROCESSED' group by deed) d where abs(came - went * 0.9) > 1"""))
                .isZero();
        assertThat(
                        count(
                                """
                select count(*) from (select deed, count(*) as moved, count(reverses) as back
                from movement where stillroom_id = :stillroom and deed is not null group by deed) d
                where back <> 0 and back * 2 <> moved"""))
                .as("a deed taken back in part")
                .isZero();
    }

    /** Whatever is done, said otherwise of a lot, or added up: what the database summed is what the ledger says. */
    @Test
    void theSumsOfADayFollowEveryDeed() {
        Random random = new Random(13);
        Current.as(person, () -> List.of(herb(400), herb(250), herb(120)));
        List<UUID> done = new ArrayList<>();
        for (int i = 0; i < 80; i++) {
            try {
                done.add(Current.as(person, () -> deed(random, done)));
            } catch (Refused expected) {
                assertThat(expected.getMessage()).isNotBlank();
            }
            if (i % 8 == 3) {
                sql.sql("update lot set name = :name, moisture = :moisture, acquired_on = :day where id = "
                                + "(select id from lot where stillroom_id = :stillroom order by random() limit 1)")
                        .param("stillroom", person.stillroom())
                        .param("name", "Bag " + i)
                        .param("moisture", i % 16 == 3 ? "WILTED" : "DRIED")
                        .param("day", LocalDate.of(2026, 1 + random.nextInt(10), 3))
                        .update();
            }
            if (i % 10 == 7) {
                sums.clear(5_000);
            }
            if (i % 20 == 11) {
                sql.sql("update stillroom set zone = :zone where id = :stillroom")
                        .param("stillroom", person.stillroom())
                        .param("zone", i % 40 == 11 ? "Pacific/Auckland" : "Atlantic/Faroe")
                        .update();
            }
            assertThat(sumsOtherwise()).as("after deed %d", i).isEmpty();
        }
        sums.clear(5_000);
        assertThat(count("select count(*) from (select 1 from flow where stillroom_id = :stillroom "
                        + "group by kind, key, unit, part, cut, moisture, cause, day having count(*) > 1) several"))
                .as("one row a day")
                .isZero();
        assertThat(count("select count(*) from flow where stillroom_id = :stillroom"))
                .isPositive();
        sql.sql("delete from flow where stillroom_id = :stillroom and cause = 'DRAWN'")
                .param("stillroom", person.stillroom())
                .update();
        assertThat(sumsOtherwise()).as("what is lost is seen").isNotEmpty();
        Current.as(person, () -> sums.compare(true));
        assertThat(sumsOtherwise()).as("and mended").isEmpty();
    }

    private List<String> sumsOtherwise() {
        return Current.as(person, () -> sums.compare(false));
    }

    private long count(String query) {
        return sql.sql(query)
                .param("stillroom", person.stillroom())
                .query(Long.class)
                .single();
    }

    private UUID deed(Random random, List<UUID> earlier) {
        List<Stock.OfHerb> herbs = stores.herbs();
        Stock.OfHerb lot = herbs.get(random.nextInt(herbs.size()));
        Stock.OfHerb other = herbs.get(random.nextInt(herbs.size()));
        Mass some = Mass.ofMilligrams(1 + random.nextInt((int) lot.left().toMilligrams() + 5000));
        return switch (random.nextInt(7)) {
            case 0 -> does(new StoreDeed.Split(lot.id(), some, "box"));
            case 1 -> does(new StoreDeed.Process(lot.id(), Cut.GROUND, some, some.times(0.9)));
            case 2 -> does(new StoreDeed.Merge(lot.id(), other.id()));
            case 3 -> does(new StoreDeed.TakeOut(lot.id(), some.toMilligrams(), Held.DRAW, ""));
            case 4 -> does(new StoreDeed.SetRight(lot.id(), some.toMilligrams(), "weighed again"));
                // so that something is left to work with
            case 5 -> does(new StoreDeed.ThrowOut(herbs.size() > 2 ? lot.id() : herb(10), "mould", Optional.empty()));
            default -> {
                if (earlier.isEmpty()) {
                    throw new Refused("nothing to take back yet");
                }
                UUID last = earlier.get(random.nextInt(earlier.size()));
                care.takeBack(last);
                yield last;
            }
        };
    }

    private UUID does(StoreDeed deed) {
        return deeds.done(Current.doing(deed, UUID.randomUUID(), Instant.parse("2026-11-24T08:00:00Z"), ""));
    }

    @Test
    void ofTwoWhoDrawTheLastFiftyGramsOneIsTold() {
        UUID lot = Current.as(person, () -> herb(50));
        List<CompletableFuture<String>> both = Stream.of(1, 2)
                .map(i -> CompletableFuture.supplyAsync(() -> Current.as(person, () -> tryToUse(lot))))
                .toList();
        List<String> answers =
                both.stream().map(CompletableFuture::join).sorted().toList();
        assertThat(answers)
                .containsExactly(
                        "There is only 0 g of “Nettle” left, and this needs 50 g. Nothing was taken.", "taken");
        assertThat(number("select balance from lot where id = :lot", lot)).isZero();
    }

    @Test
    void aMovementIsReversedOnceAndOnlyWhileItIsUnused() {
        UUID lot = Current.as(person, () -> herb(80));
        Current.as(person, () -> inTransaction(() -> ledger.take(lot, Mass.ofGrams(30), USED)));
        assertThatThrownBy(() -> Current.as(person, () -> stores.takeBack(lot)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("used in a batch");
        UUID other = Current.as(person, () -> herb(10));
        Current.as(person, () -> stores.takeBack(other));
        assertThat(Current.as(person, () -> stores.takeBack(other))).isEqualTo("Nettle");
        assertThat(number("select count(*) from movement where lot_id = :lot", other))
                .isEqualTo(2);
        assertThat(number("select balance from lot where id = :lot", other)).isZero();
    }

    /** Whoever says it, a form, a line of shorthand or a device that sends anew: a deed of one key is done once. */
    @Test
    void aDeedAtTheStoresIsDoneOnceForItsKey() {
        UUID lot = Current.as(person, () -> herb(80));
        UUID key = UUID.randomUUID();
        List<UUID> done = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            done.add(Current.as(
                    person,
                    () -> deeds.done(Current.doing(
                            new StoreDeed.TakeOut(lot, 30_000, Held.DRAW, ""),
                            key,
                            Instant.parse("2026-11-24T08:00:00Z"),
                            ""))));
        }
        assertThat(done.get(1)).isEqualTo(done.get(0));
        assertThat(number("select balance from lot where id = :lot", lot)).isEqualTo(50_000);
    }

    /** A bottle is open from the first pouring, in whatever order they are written down; a day that was said stays. */
    @Test
    void whatWasPouredFirstOpenedTheBottle() {
        CarrierKind olive = materia.carrier("olive").orElseThrow();
        UUID sealed = Current.as(person, () -> bottle(olive, null));
        pours(sealed, "2026-11-20");
        assertThat(opened(sealed)).isEqualTo("2026-11-20");
        pours(sealed, "2026-10-01");
        assertThat(opened(sealed)).isEqualTo("2026-10-01");
        pours(sealed, "2026-11-01");
        assertThat(opened(sealed)).isEqualTo("2026-10-01");
        Current.as(person, () -> inTransaction(() -> ledger.reverse(earliest(sealed))));
        assertThat(opened(sealed)).isEqualTo("2026-11-01");
        UUID said = Current.as(person, () -> bottle(olive, LocalDate.of(2026, 11, 10)));
        pours(said, "2026-10-01");
        assertThat(opened(said)).isEqualTo("2026-11-10");
        // Poured on the very day that was said, and that taken back: it is open since then all the same.
        pours(said, "2026-11-10");
        Current.as(person, () -> inTransaction(() -> ledger.reverse(earliest(said))));
        Current.as(person, () -> inTransaction(() -> ledger.reverse(latest(said))));
        assertThat(opened(said)).isEqualTo("2026-11-10");
    }

    private UUID bottle(CarrierKind kind, LocalDate opened) {
        return stores.add(new Arrival.Carrier(kind, Mass.ofGrams(500), opened, null, Provenance.UNSAID, "500 g"));
    }

    private void pours(UUID lot, String day) {
        Instant noon = LocalDate.parse(day).atTime(12, 0).atZone(ZoneOffset.UTC).toInstant();
        Current.as(
                person,
                () -> inTransaction(
                        () -> ledger.take(lot, Mass.ofGrams(10), new Ledger.Why(Cause.USED, null, null, noon))));
    }

    private Movement latest(UUID lot) {
        return movements.ofLot(lot).stream()
                .filter(one -> one.amount < 0)
                .max(Comparator.comparing(one -> one.happenedAt))
                .orElseThrow();
    }

    private Movement earliest(UUID lot) {
        return movements.ofLot(lot).stream()
                .filter(one -> one.amount < 0)
                .min(Comparator.comparing(one -> one.happenedAt))
                .orElseThrow();
    }

    private String opened(UUID lot) {
        return sql.sql("select opened_on::text from lot where id = :lot")
                .param("lot", lot)
                .query(String.class)
                .single();
    }

    @Test
    void anotherHouseholdsLotIsNotThereForTheLedgerEither() {
        UUID lot = Current.as(person, () -> herb(80));
        SignedIn stranger = newHousehold();
        assertThatThrownBy(
                        () -> Current.as(stranger, () -> inTransaction(() -> ledger.take(lot, Mass.ofGrams(1), USED))))
                .isInstanceOf(NotHere.class);
        assertThat(number("select balance from lot where id = :lot", lot)).isEqualTo(80_000);
    }

    private void step(UUID lot, boolean undo, Random random) {
        List<Movement> story = movements.ofLot(lot);
        if (undo) {
            Movement some = story.get(random.nextInt(story.size()));
            boolean done = some.reverses != null || story.stream().anyMatch(m -> some.id.equals(m.reverses));
            if (!done) {
                ledger.reverse(some);
            }
        } else {
            ledger.take(lot, Mass.ofGrams(1 + random.nextInt(30)), USED);
        }
    }

    private String tryToUse(UUID lot) {
        try {
            inTransaction(() -> ledger.take(lot, Mass.ofGrams(50), USED));
            return "taken";
        } catch (Refused told) {
            return String.valueOf(told.getMessage());
        }
    }

    private UUID herb(double grams) {
        return stores.add(new Arrival.Herb(
                materia.herb("nettle").orElseThrow(),
                Part.LEAF,
                Cut.CUT_AND_SIFTED,
                Moisture.DRIED,
                Mass.ofGrams(grams),
                null,
                null,
                Provenance.UNSAID,
                grams + " g"));
    }

    private SignedIn newHousehold() {
        HouseholdUnits units = new HouseholdUnits(UnitSystem.METRIC, CupSystem.METRIC, TemperatureScale.CELSIUS);
        return people.signUp(
                new People.NewPerson(UUID.randomUUID() + "@example.org", "five jars of oil", "Tove"),
                new HouseSettings(
                        "Ledger", units, "EUR", ZoneOffset.UTC, Temperature.ofCelsius(14), Temperature.ofCelsius(20)),
                false);
    }

    private Object inTransaction(Runnable work) {
        return new TransactionTemplate(transactions).execute(status -> {
            work.run();
            return "";
        });
    }

    private long number(String query, UUID lot) {
        return sql.sql(query).param("lot", lot).query(Long.class).single();
    }
}
