package app.velvetcrock.demo;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.bench.Bench;
import app.velvetcrock.bench.BenchForm;
import app.velvetcrock.bench.BenchWork;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.HouseholdUnits;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TemperatureScale;
import app.velvetcrock.core.measure.UnitSystem;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.HouseSettings;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stillroom.SignedIn;
import app.velvetcrock.stores.NewCarrier;
import app.velvetcrock.stores.NewHerb;
import app.velvetcrock.stores.Stores;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** The Gannet Row stillroom: everything in it is recorded through the services that people use, its dates relative to today. */
@Component
class DemoHousehold implements ApplicationRunner {

    private static final ZoneId ZONE = ZoneId.of("Atlantic/Faroe");

    private final People people;
    private final Stores stores;
    private final Bench bench;
    private final Batches batches;
    private final Materia materia;
    private final Clock clock;
    private final TransactionTemplate together;
    private final boolean wanted;

    DemoHousehold(
            People people, Stores stores, Bench bench, Batches batches, Materia materia, Clock clock,
            PlatformTransactionManager transactions, @Value("${crock.demo}") boolean wanted) {
        this.people = people;
        this.stores = stores;
        this.bench = bench;
        this.batches = batches;
        this.materia = materia;
        this.clock = clock;
        this.together = new TransactionTemplate(transactions);
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!wanted) {
            return;
        }
        // Signing up and filling are two transactions: a start that was cut off between them is taken up here.
        SignedIn person = people.demoPerson().orElseGet(this::signUp);
        if (Current.as(person, stores::jars).isEmpty()) {
            Current.as(person, () -> together.execute(status -> fill()));
        }
    }

    private SignedIn signUp() {
        HouseSettings settings = new HouseSettings(
                "Gannet Row", new HouseholdUnits(UnitSystem.METRIC, CupSystem.METRIC, TemperatureScale.CELSIUS), "EUR", ZONE,
                Temperature.ofCelsius(14), Temperature.ofCelsius(19));
        return people.signUp(new People.NewPerson("demo@gannetrow.example", "five jars of yarrow", "Runa"), settings, true);
    }

    private @Nullable Void fill() {
        jars();
        UUID yarrow = herb("yarrow", 240, 95);
        UUID elder = herb("elderflower", 120, 160);
        UUID selfHeal = herb("self-heal", 130, 120);
        UUID nettle = herb("nettle", 260, 70);
        UUID mullein = herb("mullein", 70, 150);
        UUID buckthorn = herb("sea-buckthorn", 200, 60);
        herb("meadowsweet", 90, 130);
        UUID rapeseed = carrier("rapeseed", 5, 100, 400);
        UUID sunflower = carrier("sunflower-high-oleic", 3, 40, 500);
        UUID hemp = carrier("hemp", 0.5, 35, 300);
        carrier("sesame", 0.75, null, 420);
        carrier("babassu", 1, 20, 600);

        UUID first = start(mullein, "35 g", sunflower, "", 28, 120);
        note(first, "Petals went pale after two weeks; smells of honey.");
        strain(first, "352 g", 88, "Clear and gold. A finer cut next time.");
        UUID second = start(buckthorn, "90 g", rapeseed, "", 42, 62);
        strain(second, "350 g", 19, "Very orange. Stains everything.");
        UUID third = start(selfHeal, "40 g", hemp, "", 35, 80);
        strain(third, "372 g", 44, "");

        start(nettle, "60 g", rapeseed, "1:6", 35, 38);
        UUID late = start(selfHeal, "30 g", rapeseed, "", 35, 31);
        note(late, "Oil has gone green to the top.");
        start(yarrow, "50 g", rapeseed, "", 35, 9);
        start(elder, "45 g", sunflower, "", 28, 2);
        return null;
    }

    private void jars() {
        jar("Small screw-top, 350 mL", 350, 70, 3);
        jar("Half litre preserving jar", 500, 84, 4);
        jar("Three-quarter litre jar", 750, 95, 3);
        jar("Litre preserving jar", 1000, 100, 3);
    }

    private void jar(String name, double capacity, double width, int pieces) {
        stores.add(new Vessel(name, Volume.ofMillilitres(capacity), Length.ofMillimetres(width)), pieces);
    }

    private UUID herb(String key, double grams, int daysAgo) {
        HerbKind kind = materia.herb(key).orElseThrow();
        return stores.add(new NewHerb(kind, kind.part(), Cut.CUT_AND_SIFTED, Moisture.DRIED, Mass.ofGrams(grams), ago(daysAgo), Math.round(grams) + " g"));
    }

    private UUID carrier(String key, double litres, @Nullable Integer openedDaysAgo, int bestBeforeInDays) {
        var kind = materia.carrier(key).orElseThrow();
        return stores.add(new NewCarrier(kind, kind.density().massOf(Volume.ofMillilitres(litres * 1000)),
                openedDaysAgo == null ? null : ago(openedDaysAgo), ago(-bestBeforeInDays), litres + " L"));
    }

    private UUID start(UUID herb, String amount, UUID carrier, String oil, int days, int daysAgo) {
        BenchForm form = new BenchForm(null, herb.toString(), amount, carrier.toString(), oil, "", String.valueOf(days),
                ago(daysAgo).toString(), "ADULT_SKIN", "HAND", "COOL_DARK");
        BenchWork work = bench.work(form);
        if (!work.canStart()) {
            throw new IllegalStateException("the demo's plan for %s cannot start: %s".formatted(amount, work.fields().troubles()));
        }
        BenchWork.Planned planned = work.planned().orElseThrow();
        return batches.start(planned.frozen(), planned.jar().id(), UUID.randomUUID());
    }

    private void note(UUID batch, String words) {
        batches.note(batch, words, UUID.randomUUID());
    }

    private void strain(UUID batch, String out, int daysAgo, String note) {
        Mass mass = Mass.ofGrams(Double.parseDouble(out.replace(" g", "")));
        batches.strain(batch, new Batches.Strain(mass, Pressing.HAND, ago(daysAgo), out, note), UUID.randomUUID());
    }

    private LocalDate ago(int days) {
        return LocalDate.ofInstant(clock.instant(), ZONE).minusDays(days);
    }
}
