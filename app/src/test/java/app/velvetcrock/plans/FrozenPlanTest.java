package app.velvetcrock.plans;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Source;
import app.velvetcrock.core.planning.Carriers;
import app.velvetcrock.core.planning.FirstInfusion;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.planning.Take;
import app.velvetcrock.core.spirit.Dosing;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A plan frozen today reads back the same: what a batch shows never depends on the rules of the day it is looked at. */
class FrozenPlanTest {

    private final Materia materia = Materia.shipped();
    private final Planner planner = new Planner(Cautions.shipped(), Materia.shipped());
    private final Json json = new Json();
    private final PlanShape shape = new PlanShape(json);

    @Test
    void everyPlanReadsBackAsItWasWritten() {
        Random random = new Random(6);
        for (int i = 0; i < 300; i++) {
            FrozenPlan frozen = frozen(request(random));
            assertThat(shape.read(shape.write(frozen))).isEqualTo(frozen);
        }
    }

    /** What was not asked about when a plan was frozen it does not name: spirit, pots, a first infusion, an override. */
    @Test
    void aPlanThatDoesNotNameWhatIsNewerIsStillRead() {
        Random random = new Random(8);
        int plain = 0;
        for (int i = 0; i < 200; i++) {
            FrozenPlan frozen = frozen(ofOneOil(request(random)));
            String older = unnumbered(frozen)
                    .replaceAll(",\"(spirit|first|knowingly|spiritLot)\":null", "")
                    .replace(",\"open\":false", "");
            assertThat(shape.read(older)).isEqualTo(frozen);
            plain += older.contains("\"knowingly\"") ? 0 : 1;
        }
        assertThat(plain).isGreaterThan(50);
    }

    /** A database filled before blends, pots and doses were known is taken over: every plan reads back with the figures it had. */
    @Test
    void plansOfAnOlderDatabaseAreTakenOver() throws Exception {
        String server = "jdbc:postgresql://127.0.0.1:" + System.getenv("CROCK_TEST_DB_PORT") + "/";
        String name = "crock_older_" + UUID.randomUUID().toString().replace("-", "");
        try (Connection connection = DriverManager.getConnection(server + "postgres", "crock", "");
                Statement sql = connection.createStatement()) {
            sql.execute("create database " + name);
            try (Connection older = DriverManager.getConnection(server + name, "crock", "")) {
                takesOver(server + name, older);
            } finally {
                sql.execute("drop database " + name + " with (force)");
            }
        }
    }

    private void takesOver(String url, Connection older) throws Exception {
        Flyway.configure().dataSource(url, "crock", "").target("10").load().migrate();
        UUID stillroom = UUID.randomUUID();
        UUID jar = UUID.randomUUID();
        try (Statement sql = older.createStatement()) {
            sql.execute(
                    "insert into stillroom values ('%s', 0, 'Older', 'METRIC', 'METRIC', 'CELSIUS', 'EUR', 'UTC', 14, 19, false, now())"
                            .formatted(stillroom));
            sql.execute(
                    "insert into jar values ('%s', '%s', 0, 'jar', 500000, 84000, 1, now())".formatted(stillroom, jar));
        }
        Random random = new Random(12);
        Map<UUID, FrozenPlan> plans = new LinkedHashMap<>();
        for (int i = 1; i <= 20; i++) {
            FrozenPlan frozen = frozen(plain(request(random)), Optional.empty());
            UUID id = UUID.randomUUID();
            plans.put(id, frozen);
            try (PreparedStatement insert =
                    older.prepareStatement("insert into batch values (?, ?, 0, ?, 'older', ?, ?::jsonb, now())")) {
                insert.setObject(1, stillroom);
                insert.setObject(2, id);
                insert.setInt(3, i);
                insert.setObject(4, jar);
                insert.setString(5, asOlder(frozen));
                insert.execute();
            }
        }
        Flyway.configure().dataSource(url, "crock", "").load().migrate();
        try (Statement sql = older.createStatement();
                ResultSet rows = sql.executeQuery("select id, plan from batch")) {
            while (rows.next()) {
                assertThat(shape.read(rows.getString(2))).isEqualTo(plans.remove(rows.getObject(1, UUID.class)));
            }
        }
        assertThat(plans).isEmpty();
    }

    private static PlanRequest ofOneOil(PlanRequest request) {
        return new PlanRequest(
                request.herbs(),
                request.carriers().parts().get(0).carrier(),
                request.oil(),
                request.vessel(),
                request.jarsInStock(),
                request.circumstances());
    }

    /** What could be planned then: one herb, a plain oil, a jar, no dose and no override. */
    private static PlanRequest plain(PlanRequest request) {
        PlanRequest.Circumstances how = request.circumstances();
        return new PlanRequest(
                request.herbs().subList(0, 1),
                new PlannedCarrier(request.carrier().kind(), request.carrier().bottle()),
                new OilWish.ToCover(),
                jar(500, 84),
                List.of(jar(500, 84)),
                new PlanRequest.Circumstances(
                        how.method(),
                        how.lengths(),
                        how.start(),
                        how.use(),
                        how.pressing(),
                        how.storage(),
                        Means.of(how.means().pantry(), how.means().spirit())));
    }

    /** The same plan as it was written then. */
    private String asOlder(FrozenPlan frozen) {
        JsonMapper mapper = new JsonMapper();
        ObjectNode all = (ObjectNode) mapper.readTree(unnumbered(frozen));
        ObjectNode request = (ObjectNode) all.get("plan").get("request");
        ObjectNode how = (ObjectNode) request.get("circumstances");
        request.set("herb", request.remove("herbs").get(0));
        how.set("pantry", how.get("means").get("pantry"));
        how.set("spirit", how.remove("means").get("spirit"));
        how.remove(List.of("dosing", "knowingly"));
        ((ObjectNode) request.get("carrier")).remove("first");
        all.set("herbLot", all.remove("herbLots").get(0));
        all.remove(List.of("spiritLot", "holds"));
        return mapper.writeValueAsString(all).replace(",\"open\":false", "");
    }

    /** The same plan as it was written before plans had a version: the records as they were, lots apart. */
    private String unnumbered(FrozenPlan frozen) {
        ObjectNode all = (ObjectNode) json.tree(Map.of("plan", frozen.plan(), "holds", frozen.holds()));
        int herbs = frozen.plan().request().herbs().size();
        ObjectNode request = (ObjectNode) all.get("plan").get("request");
        request.set("carrier", request.remove("carriers").get("parts").get(0).get("carrier"));
        all.set("herbLots", json.tree(lots(frozen).subList(0, herbs)));
        all.set("carrierLot", json.tree(lots(frozen).get(herbs)));
        all.set(
                "spiritLot",
                json.tree(lots(frozen).stream().skip(herbs + 1).findFirst().map(UUID::toString)));
        return json.write(all);
    }

    private static List<UUID> lots(FrozenPlan frozen) {
        return frozen.takes().stream().map(Take::lot).toList();
    }

    private FrozenPlan frozen(PlanRequest request) {
        return frozen(request, request.circumstances().means().spirit().map(spirit -> UUID.randomUUID()));
    }

    private FrozenPlan frozen(PlanRequest request, Optional<UUID> spirit) {
        FrozenPlan frozen = FrozenPlan.of(
                planner.plan(request),
                new FrozenPlan.Lots(
                        request.herbs().stream().map(herb -> UUID.randomUUID()).toList(),
                        request.carriers().parts().stream()
                                .map(part -> UUID.randomUUID())
                                .toList(),
                        spirit));
        return request.herbs().size() > 1
                ? frozen.holding(Map.of("strain", Instant.parse("2026-12-05T08:00:00Z")))
                : frozen;
    }

    /** The published shape is what is written, no more and no less, so that a record of the core that changes is noticed here. */
    @Test
    void whatIsWrittenIsWhatIsPublished() throws IOException {
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("..", "docs", "formats", "plan.schema.json")));
        Random random = new Random(20261125);
        for (int i = 0; i < 300; i++) {
            String written = shape.write(frozen(request(random)));
            assertThat(schema.validate(written, InputFormat.JSON)).as(written).isEmpty();
        }
        assertThat(schema.validate(
                        shape.write(frozen(request(random))).replace("\"kind\":\"infusion\"", "\"kind\":\"soup\""),
                        InputFormat.JSON))
                .isNotEmpty();
    }

    @Test
    void theJsonNamesItsUnitsAndItsVersion() {
        String written = shape.write(frozen(request(new Random(1))));
        assertThat(written)
                .contains(
                        "\"version\":1",
                        "\"grams\":",
                        "\"millilitres\":",
                        "\"millimetres\":",
                        "\"celsius\":",
                        "\"rules\":\"" + Planner.RULES + "\"");
    }

    @Test
    void aPlanOfALaterReleaseIsRefusedInWords() {
        String later = shape.write(frozen(request(new Random(2)))).replace("\"version\":1", "\"version\":2");
        assertThatThrownBy(() -> shape.read(later))
                .hasMessage("a plan of version 2; this release reads versions up to 1");
    }

    private PlanRequest request(Random random) {
        HerbKind herb = pick(List.copyOf(materia.herbs()), random);
        CarrierKind carrier = pick(List.copyOf(materia.carriers()), random);
        LocalDate start = LocalDate.of(2026, 1, 1).plusDays(random.nextInt(300));
        List<Vessel> jars = List.of(
                jar(500, 84),
                jar(1000, 100),
                jar(3000, 140),
                new Vessel("pot", Volume.ofMillilitres(4000), Length.ofMillimetres(220), random.nextBoolean()));
        OilWish oil = pick(
                List.of(
                        new OilWish.ToCover(),
                        new OilWish.ByRatio(3 + random.nextInt(9)),
                        new OilWish.Exactly(Volume.ofMillilitres(100 + random.nextInt(900))),
                        new OilWish.ByCups(1.5),
                        new OilWish.ToFill(),
                        new OilWish.Above(Length.ofMillimetres(25))),
                random);
        Optional<LocalDate> opened =
                random.nextBoolean() ? Optional.empty() : Optional.of(start.minusDays(random.nextInt(200)));
        Method method = pick(Method.shipped(), random);
        Method form = method.variants().isEmpty() || random.nextBoolean() ? method : pick(method.variants(), random);
        Optional<Strength> spirit = random.nextBoolean() ? Optional.empty() : Optional.of(new Strength(75));
        Optional<FirstInfusion> first = random.nextInt(4) > 0
                ? Optional.empty()
                : Optional.of(
                        new FirstInfusion("Yarrow in rapeseed, batch 3", 0.2, Moisture.WILTED, true, Set.of("daisy")));
        List<PlannedHerb> herbs = IntStream.rangeClosed(0, random.nextInt(3))
                .mapToObj(i -> herb(i == 0 ? herb : pick(List.copyOf(materia.herbs()), random), random))
                .toList();
        PlannedCarrier named = new PlannedCarrier(
                carrier,
                new Bottle(carrier.common(), carrier.monthsOpened(), opened, Optional.of(start.plusDays(200))),
                first);
        CarrierKind other = pick(List.copyOf(materia.carriers()), random);
        Bottle sealed = new Bottle(other.common(), other.monthsOpened(), Optional.empty(), Optional.empty());
        return new PlanRequest(
                herbs,
                random.nextInt(3) > 0
                        ? Carriers.of(named)
                        : new Carriers(List.of(
                                new Carriers.Part(named, 0.625),
                                new Carriers.Part(new PlannedCarrier(other, sealed), 0.375))),
                oil,
                pick(jars, random),
                jars,
                new PlanRequest.Circumstances(
                        form,
                        form.usualLengths(),
                        start,
                        pick(List.of(Use.values()), random),
                        pick(List.of(Pressing.values()), random),
                        pick(List.of(Storage.values()), random),
                        new Means(
                                Temperature.ofCelsius(14),
                                spirit,
                                random.nextBoolean() ? Set.of() : Set.of(Source.OVEN, Source.POT)),
                        random.nextBoolean() ? Dosing.AS_USUAL : new Dosing(0.8, Optional.of(new Strength(96))),
                        random.nextInt(4) > 0 ? Optional.empty() : Optional.of("as my mother does")));
    }

    private PlannedHerb herb(HerbKind kind, Random random) {
        Optional<Density> weighed =
                random.nextBoolean() ? Optional.empty() : Optional.of(Density.ofGramsPerMillilitre(0.2));
        return new PlannedHerb(
                kind,
                materia.texture(kind.part(), pick(List.of(Cut.values()), random)),
                pick(List.of(Moisture.values()), random),
                weighed,
                Mass.ofGrams(5 + random.nextInt(120)),
                random.nextBoolean() ? List.of() : List.of(0.9, 1.1));
    }

    private static Vessel jar(double capacity, double width) {
        return new Vessel("jar", Volume.ofMillilitres(capacity), Length.ofMillimetres(width));
    }

    private static <T> T pick(List<T> from, Random random) {
        return from.get(random.nextInt(from.size()));
    }
}
