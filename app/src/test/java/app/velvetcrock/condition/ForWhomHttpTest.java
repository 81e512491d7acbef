package app.velvetcrock.condition;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.core.caution.Bearing;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.ForWhom;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.assertj.core.api.SoftAssertions;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Each cell of who it is for, as page, gate and label have it: what is refused does not begin, what is warned of stands there and on the
 * label, what is noted stands there, of what nothing is known nothing is said. The table itself is held by core.
 */
@HttpTest
class ForWhomHttpTest {

    private static final List<Use> USES = List.of(
            Use.ADULT_SKIN,
            Use.FACE,
            Use.LIPS,
            Use.CHILD_6_14,
            Use.CHILD_2_5,
            Use.BABY,
            Use.NEWBORN,
            Use.PREGNANCY,
            Use.NURSING,
            Use.NURSLING,
            Use.ELDERLY,
            Use.WITH_LATEX,
            Use.INTIMATE,
            Use.FOOD,
            Use.ANIMALS);

    /**
     * No single thing bears them: sums and what no figure is held for are of all drops together; nobody gathers a look-alike unticked, the
     * Stores refuse it (LotsHttpTest); and no household names an addition of its own.
     */
    private static final Set<String> OF_THE_WHOLE =
            Set.of("sum-of-all", "no-figure", "look-alike-not-ticked", "unknown-addition");

    private static final boolean EVERY_CELL = Integer.getInteger("crock.cases", 1) > 1;

    private final ForWhom table = ForWhom.shipped();
    private final Materia materia = Materia.shipped();

    @LocalServerPort
    int port;

    /** Where something of a row comes in, and how it is begun for a use. */
    private interface Place {
        Document page(Use use);

        Answer begin(Document page, Use use);

        /** Where the words stand that go with what was begun; it is then taken back. */
        String goesWith(Answer begun);
    }

    @TestFactory
    Stream<DynamicTest> everyHerbOnTheBench() {
        return rows("herb", row -> {
            Visitor tove = Visitor.stocked(port, "For whom");
            String herb = herb(tove, row.traits());
            return bench(tove, "&herb=" + herb);
        });
    }

    @TestFactory
    Stream<DynamicTest> everyCarrierOnTheBench() {
        return rows("carrier", row -> {
            Visitor tove = Visitor.stocked(port, "For whom");
            return bench(tove, "&carrier=" + carrier(tove, row.traits()));
        });
    }

    @TestFactory
    Stream<DynamicTest> everyAdditionInThePan() {
        return rows("addition", row -> pan(supply(row.traits()), "1 g"));
    }

    @TestFactory
    Stream<DynamicTest> everyEssentialOilInThePan() {
        return rows("essential", row -> pan(supply(row.traits()), "1 drop"));
    }

    /** Percent of all drops together, and of one no figure is held of: a little under is begun, a little over is held back. */
    @TestFactory
    Stream<DynamicTest> everyCeilingInThePan() {
        return Stream.of("sum-of-all", "no-figure")
                .flatMap(trait -> rows("essential", row -> row.traits().contains(trait), row -> ceiling(trait, row)));
    }

    private void ceiling(String trait, ForWhom.Line row) {
        boolean sum = trait.equals("sum-of-all");
        SupplyKind oil = materia.supplies().stream()
                .filter(one -> one.type() == SupplyType.ESSENTIAL_OIL)
                .filter(one -> sum
                        ? one.traits().equals(Set.of(SupplyKind.SUM_ONLY))
                        : one.dermalMost().isEmpty() && one.traits().isEmpty())
                .findFirst()
                .orElseThrow();
        SoftAssertions all = new SoftAssertions();
        for (Use use : uses(row)) {
            double most = row.cell(use).most().orElse(0);
            if (most > 0) {
                all.assertThat(pan(oil, (most - 0.05) + " %").page(use).select("#over, #not-for-them"))
                        .as("a little under, for " + use.word())
                        .isEmpty();
            }
            Place over = pan(oil, (most + 0.05) + " %");
            Document page = over.page(use);
            all.assertThat(page.select("#over").text())
                    .as("a little over, for " + use.word())
                    .contains("more essential oil than is held safe for " + use.word());
            all.assertThat(over.begin(page, use).status())
                    .as("a little over, for " + use.word())
                    .isEqualTo(row.cell(use).isRefused() || use.isTender() ? 422 : 200);
        }
        all.assertAll();
    }

    /** In an ordinary run every fifth cell, another one in each row; all of them where every case is tried. */
    private List<Use> uses(ForWhom.Line row) {
        int first = table.lines().indexOf(row);
        return IntStream.range(0, USES.size())
                .filter(at -> EVERY_CELL || (at + first) % 5 == 0)
                .mapToObj(USES::get)
                .toList();
    }

    private Stream<DynamicTest> rows(String kind, Function<ForWhom.Line, Place> places) {
        return rows(kind, row -> !OF_THE_WHOLE.contains(row.traits().get(0)), row -> {
            Place place = places.apply(row);
            SoftAssertions all = new SoftAssertions();
            uses(row).forEach(use -> look(row, use, place, all));
            all.assertAll();
        });
    }

    private Stream<DynamicTest> rows(String kind, Predicate<ForWhom.Line> which, Consumer<ForWhom.Line> tried) {
        return table.lines().stream()
                .filter(row -> row.kind().equals(kind))
                .filter(which)
                .map(row -> DynamicTest.dynamicTest(row.what(), () -> tried.accept(row)));
    }

    private void look(ForWhom.Line row, Use use, Place place, SoftAssertions all) {
        Document page = place.page(use);
        String told = "for " + use.word();
        List<Element> said = page.select("main .caution").stream()
                .filter(one -> one.text().contains(row.words())
                        || one.id().equals("food-rule") && row.traits().contains("moist"))
                .toList();
        String level = row.cell(use).level().map(Level::name).orElse("");
        if (level.isEmpty()) {
            all.assertThat(said).as(told).isEmpty();
        } else {
            all.assertThat(said).as(told).isNotEmpty().allSatisfy(one -> assertThat(
                            one.hasClass(level) || one.id().equals("not-for-them"))
                    .as(level + ": " + one.className())
                    .isTrue());
        }
        Answer begun = place.begin(page, use);
        // Moist food is planned by its own rule, which refuses every way but one.
        boolean refused = page.selectFirst("main .caution.REFUSE:not(#food-rule)") != null;
        all.assertThat(begun.status())
                .as(told + " begun: " + begun.page().select("#refused").text())
                .isEqualTo(refused ? 422 : 200);
        if (row.cell(use).isRefused()) {
            all.assertThat(begun.status()).as(told + ", refused").isEqualTo(422);
        } else if (begun.status() == 200) {
            String with = place.goesWith(begun);
            List<String> heads = row.traits().stream()
                    .flatMap(trait -> table.of(Set.of(trait), use).stream())
                    .filter(Caution::onLabel)
                    .map(Caution::head)
                    .toList();
            all.assertThat(heads.isEmpty() || heads.stream().anyMatch(with::contains))
                    .as("%s goes with it: one of %s in %s", told, heads, with)
                    .isTrue();
        }
    }

    private static Place bench(Visitor tove, String of) {
        return new Place() {
            @Override
            public Document page(Use use) {
                return tove.get("/bench?amount=5+g&use=" + use + of).page();
            }

            @Override
            public Answer begin(Document page, Use use) {
                return tove.post(Visitor.form(page, "#bench", Map.of("use", use.name())));
            }

            @Override
            public String goesWith(Answer begun) {
                String label = tove.get(begun.path() + "/label").page().text();
                assertThat(tove.post(Visitor.form(begun.page(), "form[action*=entries]", Map.of()))
                                .status())
                        .isEqualTo(200);
                return label;
            }
        };
    }

    private Place pan(SupplyKind kind, String share) {
        Visitor tove = Visitor.stocked(port, "For whom");
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "400 g"));
        Answer stored = tove.submit(
                "/stores/supplies",
                "#add-supply",
                Map.of("kind", kind.key(), "amount", "50 mL", "abv", kind.hasStrength() ? "40" : ""));
        assertThat(stored.status()).as(kind.key()).isEqualTo(200);
        tove.submit(
                "/stores/supplies",
                "#add-container",
                Map.of("name", "Round tin 60 mL", "holds", "60 mL", "pieces", "24"));
        String oil = lot(tove, "/stores", "rapeseed");
        return new Place() {
            @Override
            public Document page(Use use) {
                return tove.get(
                                "/pan?kind=salve&was=salve&much=40+g&use=%s&oil=%s&add%%5B0%%5D.of=kind:%s&add%%5B0%%5D.share=%s"
                                        .formatted(use, oil, kind.key(), Visitor.encode(share)))
                        .page();
            }

            @Override
            public Answer begin(Document page, Use use) {
                return tove.post(Visitor.form(page, "#pan", Map.of("use", use.name())));
            }

            @Override
            public String goesWith(Answer begun) {
                tove.post(Visitor.form(begun.page(), ".notice form", Map.of()));
                return begun.page().text();
            }
        };
    }

    private String herb(Visitor tove, List<String> traits) {
        if (traits.contains(Bearing.UNKNOWN_HERB)) {
            tove.submit(
                    "/stores/catalogue?add=Moor+wort",
                    "form[action$=herbs]",
                    Map.of("common", "Moor wort", "botanical", "Inventa palustris"));
            return stored(tove, "Moor wort", Map.of("moisture", "DRIED"));
        }
        if (traits.contains("moist")) {
            return stored(tove, "Calendula", Map.of("moisture", "FRESH"));
        }
        if (traits.contains("other-part")) {
            return stored(tove, "Calendula", Map.of("moisture", "DRIED", "part", "ROOT"));
        }
        HerbKind bearer = materia.herbs().stream()
                .filter(one ->
                        Bearing.herb(one, one.part(), Moisture.DRIED).stream().anyMatch(traits::contains))
                .min(Comparator.comparing(one -> one.traits().stream()
                        .filter(trait -> trait.startsWith("lookalike"))
                        .count()))
                .orElseThrow();
        return stored(tove, bearer.common(), Map.of("moisture", "DRIED"));
    }

    private static String stored(Visitor tove, String herb, Map<String, String> how) {
        Map<String, String> fields = new java.util.HashMap<>(how);
        fields.putAll(Map.of("herb", herb, "amount", "300 g"));
        Answer stored = tove.submit("/stores", "form[action$=herbs]", fields);
        assertThat(stored.status())
                .as(herb + ": " + stored.page().select(".bad").text())
                .isEqualTo(200);
        return lot(tove, "/stores", herb);
    }

    private String carrier(Visitor tove, List<String> traits) {
        if (traits.contains(Bearing.UNKNOWN_CARRIER)) {
            tove.submit(
                    "/stores/catalogue",
                    "#own-carrier",
                    Map.of("common", "Moor seed oil", "density", "0.92", "months", "10"));
            String own = tove.get("/stores").page().select("option").stream()
                    .filter(one -> one.text().startsWith("Moor seed oil"))
                    .findFirst()
                    .orElseThrow()
                    .attr("value");
            return carrier(tove, own, "Moor seed oil");
        }
        CarrierKind bearer = materia.carriers().stream()
                .filter(one -> Bearing.carrier(one).stream().anyMatch(traits::contains))
                .findFirst()
                .orElseThrow();
        return carrier(tove, bearer.key(), bearer.common());
    }

    private static String carrier(Visitor tove, String kind, String name) {
        Answer stored = tove.submit(
                "/stores",
                "form[action$=carriers]",
                Map.of("carrier", kind, "amount", "900 g", "bestBefore", "1 Oct 2027"));
        assertThat(stored.status()).as(name).isEqualTo(200);
        return lot(tove, "/stores", name);
    }

    private SupplyKind supply(List<String> traits) {
        return materia.supplies().stream()
                .filter(one -> one.type() != SupplyType.WAX)
                .filter(one -> Bearing.supply(one).stream().anyMatch(traits::contains))
                .findFirst()
                .orElseThrow(() -> new AssertionError("nothing bears " + traits));
    }

    private static String lot(Visitor tove, String page, String name) {
        return tove.get(page).page().select("table a").stream()
                .filter(link -> link.text().toLowerCase(Locale.ROOT).contains(name.toLowerCase(Locale.ROOT)))
                .min(Comparator.comparing(link -> link.text().length()))
                .orElseThrow()
                .attr("href")
                .replace("/stores/lots/", "");
    }
}
