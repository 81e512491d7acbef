package app.velvetcrock;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OneToOne;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.hibernate.annotations.TenantId;

@AnalyzeClasses(packages = "app.velvetcrock", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    private static final String ROOT = "app.velvetcrock.";

    /** Who may look at whom: a place sees those of the floors below it, never one beside or above it, but for the neighbours named. */
    private static final List<Set<String>> FLOORS = List.of(
            Set.of("core"),
            Set.of("web", "draw", "standin", "sentence"),
            Set.of("stillroom"),
            Set.of("hours", "door", "condition", "plans", "live", "trust", "phone"),
            Set.of("catalogue", "kit", "ways", "readings"),
            Set.of("stock"),
            Set.of("rack", "batch"),
            Set.of("recipes", "errands", "labelled", "parting", "learned"),
            Set.of("melt"),
            Set.of("bench", "tend", "press", "cupboard", "pan", "devices"),
            Set.of("rounds", "stores", "recipepages", "hob", "wish", "arrivals", "toolshelf", "label", "stall"),
            Set.of("book"),
            Set.of("shelf", "front", "jot", "pictures"),
            Set.of("demo", "upkeep"));

    private static final int WIDEST = 140;
    private static final int MOST_TYPES = 20;
    private static final int LONGEST_FILE = 350;

    private static int floor(String place) {
        for (int i = 0; i < FLOORS.size(); i++) {
            if (FLOORS.get(i).contains(place)) {
                return i;
            }
        }
        return -1;
    }

    private static String place(JavaClass type) {
        String name = type.getPackageName();
        return name.startsWith(ROOT) ? name.substring(ROOT.length()).replaceFirst("\\..*", "") : "";
    }

    @ArchTest
    static void importsGoOneWay(JavaClasses all) {
        Set<String> against = new TreeSet<>();
        Set<String> places = new TreeSet<>();
        for (JavaClass type : all) {
            String from = place(type);
            if (from.isEmpty()) {
                continue;
            }
            places.add(from);
            type.getDirectDependenciesFromSelf().forEach(dependency -> {
                String to = place(dependency.getTargetClass());
                if (!to.isEmpty() && !to.equals(from) && floor(to) >= floor(from)) {
                    against.add(from + " → " + to + ": " + type.getSimpleName() + " uses "
                            + dependency.getTargetClass().getSimpleName());
                }
            });
        }
        assertThat(against).isEmpty();
        assertThat(places)
                .as("every place has its floor, and no floor is empty")
                .isEqualTo(FLOORS.stream().flatMap(Set::stream).collect(Collectors.toCollection(TreeSet::new)));
    }

    @ArchTest
    static void noPackageIsAWarehouse(JavaClasses all) {
        Map<String, Long> types = all.stream()
                .filter(type -> type.isTopLevelClass()
                        && !type.getSimpleName().equals("package-info")
                        // What the build worked out about beans, if it ran before.
                        && !type.getName().matches(".*(__|\\$\\$).*")
                        && type.getPackageName().startsWith(ROOT))
                .collect(Collectors.groupingBy(JavaClass::getPackageName, TreeMap::new, Collectors.counting()));
        types.values().removeIf(count -> count <= MOST_TYPES);
        assertThat(types).isEmpty();
    }

    /** Nobody scrolls sideways to read a line, of code or of a page. */
    @ArchTest
    static void noLineIsWiderThanAScreen(JavaClasses all) throws IOException {
        List<String> wide = new ArrayList<>();
        for (Path root : List.of(Path.of("src"), Path.of("../core/src"), Path.of("../browser/src"))) {
            try (Stream<Path> files = Files.walk(root)) {
                for (Path file : files.filter(path ->
                                Files.isRegularFile(path) && path.toString().matches(".*(java|templates/.*html)"))
                        .toList()) {
                    int number = 0;
                    for (String line : Files.readAllLines(file)) {
                        number++;
                        if (line.length() > WIDEST) {
                            wide.add(file + ":" + number);
                        }
                    }
                }
            }
        }
        assertThat(wide).isEmpty();
    }

    /** A file that is longer does more than one thing. */
    @ArchTest
    static void noFileIsALongRead(JavaClasses all) throws IOException {
        List<String> longOnes = new ArrayList<>();
        for (Path root : List.of(Path.of("src/main"), Path.of("../core/src/main"))) {
            try (Stream<Path> files = Files.walk(root)) {
                for (Path file :
                        files.filter(path -> path.toString().endsWith(".java")).toList()) {
                    if (Files.readAllLines(file).size() > LONGEST_FILE) {
                        longOnes.add(file.toString());
                    }
                }
            }
        }
        assertThat(longOnes).isEmpty();
    }

    /** What a page says is worded before it is drawn: a template chooses no words, unwraps nothing, and names no class. */
    @ArchTest
    static void templatesCarryNoLogic(JavaClasses all) throws IOException {
        List<String> logic = new ArrayList<>();
        int seen = 0;
        try (Stream<Path> files = Files.walk(Path.of("src/main/resources/templates"))) {
            for (Path file :
                    files.filter(path -> path.toString().endsWith(".html")).toList()) {
                Matcher expression = Pattern.compile("[$*]\\{[^}]*\\}").matcher(Files.readString(file));
                while (expression.find()) {
                    seen++;
                    String bare = expression.group().replaceAll("'[^']*'", "''");
                    if (bare.matches("(?s).*(\\?(?![.:\\[])|\\.(get|isPresent|orElse|orElseThrow)\\(|\\bT\\().*")) {
                        logic.add(file.getFileName() + ": " + bare);
                    }
                }
            }
        }
        assertThat(logic).isEmpty();
        assertThat(seen).as("expressions looked at").isGreaterThan(800);
    }

    /** A table is read and written by one place alone, the one that has its entity or wrote to it first. */
    @ArchTest
    static void noSqlReachesOverANeighboursTable(JavaClasses all) throws IOException {
        Map<String, String> owners = new HashMap<>(Map.ofEntries(
                Map.entry("follow_up", "condition"),
                Map.entry("lineage", "batch"),
                Map.entry("retention", "batch"),
                Map.entry("batch_facts", "batch"),
                Map.entry("plan_revision", "plans"),
                Map.entry("lot_edge", "stock"),
                Map.entry("warm_up", "hours"),
                Map.entry("source_curve", "kit"),
                Map.entry("source_trial", "kit"),
                Map.entry("revision", "live"),
                Map.entry("device", "readings"),
                Map.entry("probe_reading", "readings"),
                Map.entry("probe_span", "readings"),
                Map.entry("weighing", "readings"),
                Map.entry("heat_checkpoint", "readings"),
                Map.entry("heat_outline", "readings"),
                Map.entry("calendar_feed", "rounds"),
                Map.entry("form_key", "web"),
                Map.entry("sign_in_attempt", "door"),
                Map.entry("membership", "stillroom"),
                Map.entry("invitation", "stillroom"),
                Map.entry("write_check", "web"),
                Map.entry("spring_session", "door"),
                Map.entry("recipient", "parting"),
                Map.entry("leaving", "parting"),
                Map.entry("gift", "parting"),
                Map.entry("gift_list", "parting"),
                Map.entry("stall_day", "parting"),
                Map.entry("stall_thing", "parting"),
                Map.entry("twin", "learned"),
                Map.entry("written", "book"),
                Map.entry("flow", "stock"),
                Map.entry("brewed", "stock"),
                Map.entry("twin_judging", "learned"),
                Map.entry("reaction", "learned"),
                Map.entry("gathering_ahead", "learned"),
                Map.entry("known_reaction", "parting"),
                Map.entry("label_printing", "labelled"),
                Map.entry("label_words", "labelled"),
                Map.entry("lesson_answer", "batch"),
                Map.entry("label_look", "labelled"),
                Map.entry("label_paper", "labelled")));
        for (JavaClass type : all) {
            if (type.isAnnotatedWith(Entity.class)) {
                owners.put(table(type), place(type));
            }
        }
        Set<String> reaching = new TreeSet<>();
        Set<String> seen = new HashSet<>();
        for (Path file : sources()) {
            String text = Files.readString(file);
            String place = Path.of("src/main/java/app/velvetcrock")
                    .relativize(file)
                    .getName(0)
                    .toString();
            for (String literal : literals(text)) {
                Matcher table = Pattern.compile("\\b(?:from|join|into|update|using)\\s+([a-z_]{3,})\\b")
                        .matcher(literal.toLowerCase(java.util.Locale.ROOT));
                while (table.find()) {
                    String name = table.group(1);
                    if (owners.containsKey(name) && literal.matches("(?s).*\\b(select|insert|update|delete)\\b.*")) {
                        seen.add(name);
                        if (!owners.get(name).equals(place)) {
                            reaching.add(file.getFileName() + " of " + place + " names " + name);
                        }
                    }
                }
            }
        }
        assertThat(reaching).isEmpty();
        assertThat(seen).as("tables that queries name").hasSizeGreaterThan(8);
    }

    private static String table(JavaClass entity) {
        return entity.isAnnotatedWith(jakarta.persistence.Table.class)
                ? entity.getAnnotationOfType(jakarta.persistence.Table.class).name()
                : entity.getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", "_").toLowerCase(java.util.Locale.ROOT);
    }

    private static List<Path> sources() {
        try (Stream<Path> files = Files.walk(Path.of("src/main/java/app/velvetcrock"))) {
            return files.filter(file -> file.toString().endsWith(".java")).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<String> literals(String text) {
        List<String> literals = new ArrayList<>();
        Matcher block = Pattern.compile("\"\"\"(.*?)\"\"\"|\"((?:\\\\.|[^\"\\\\\n])*)\"", Pattern.DOTALL)
                .matcher(text);
        while (block.find()) {
            literals.add(block.group(1) == null ? block.group(2) : block.group(1));
        }
        return literals;
    }

    /** Nothing is known by its English: no line of a log, no caution, no message. */
    @ArchTest
    static void nothingIsRecognisedByItsWords(JavaClasses all) throws IOException {
        Pattern words = Pattern.compile(
                "(?:(?:words|head|text|name|getMessage|label|title)\\(\\)|\\b(?:words|sentence|label|title))"
                        + "\\s*\\.(?:equals|startsWith|endsWith|contains|matches)\\(\\s*\"");
        List<String> found = new ArrayList<>();
        for (Path file : sources()) {
            Matcher line = words.matcher(Files.readString(file));
            while (line.find()) {
                found.add(file.getFileName() + ": " + line.group());
            }
        }
        // What a driver says of a broken connection has no other mark.
        found.removeIf(one -> one.startsWith("DatabaseAwayFilter"));
        assertThat(found).isEmpty();
    }

    /** What people and devices send is read by patterns whose time grows with its length alone; none may go back. */
    @ArchTest
    static final ArchRule noPatternGoesBack = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAPackage("java.util.regex")
            .orShould()
            .callMethod(String.class, "matches", String.class)
            .orShould()
            .callMethod(String.class, "split", String.class)
            .orShould()
            .callMethod(String.class, "split", String.class, int.class)
            .orShould()
            .callMethod(String.class, "replaceAll", String.class, String.class)
            .orShould()
            .callMethod(String.class, "replaceFirst", String.class, String.class);

    @ArchTest
    static final ArchRule noCircles =
            slices().matching("app.velvetcrock.(*)..").should().beFreeOfCycles();

    /** Nor do the rooms of core: what measures things knows nothing of where a batch stands. */
    @ArchTest
    static final ArchRule noCirclesInCore =
            slices().matching("app.velvetcrock.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule entitiesAreTheirPlacesOwn =
            classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule noAssociationsAcrossTables =
            noClasses().should().dependOnClassesThat().belongToAnyOf(ManyToOne.class, OneToMany.class, OneToOne.class);

    @ArchTest
    static final ArchRule everyEntityOfAHouseholdIsScoped = classes()
            .that()
            .areAnnotatedWith(Entity.class)
            .and()
            .resideOutsideOfPackage("app.velvetcrock.stillroom..")
            .should()
            .dependOnClassesThat()
            .areAssignableTo(TenantId.class);

    @ArchTest
    static final ArchRule theClockIsInjected = noClasses()
            .should()
            .callMethod(LocalDate.class, "now")
            .orShould()
            .callMethod(java.time.Instant.class, "now");
}
