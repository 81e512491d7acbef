package app.velvetcrock;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures;
import jakarta.persistence.Entity;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OneToOne;
import java.time.LocalDate;
import org.hibernate.annotations.TenantId;

@AnalyzeClasses(packages = "app.velvetcrock", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {

    /** stillroom ← condition ← stores ← batch ← bench ← rounds ← press ← cupboard; shelf and demo look at batches and are looked at by none. */
    @ArchTest
    static final ArchRule importsGoOneWay = Architectures.layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("core")
            .definedBy("app.velvetcrock.core..")
            .layer("web")
            .definedBy("app.velvetcrock.web..")
            .layer("stillroom")
            .definedBy("app.velvetcrock.stillroom..")
            .layer("condition")
            .definedBy("app.velvetcrock.condition..")
            .layer("stores")
            .definedBy("app.velvetcrock.stores..")
            .layer("draw")
            .definedBy("app.velvetcrock.draw..")
            .layer("batch")
            .definedBy("app.velvetcrock.batch..")
            .layer("tend")
            .definedBy("app.velvetcrock.tend..")
            .layer("bench")
            .definedBy("app.velvetcrock.bench..")
            .layer("rounds")
            .definedBy("app.velvetcrock.rounds..")
            .layer("press")
            .definedBy("app.velvetcrock.press..")
            .layer("cupboard")
            .definedBy("app.velvetcrock.cupboard..")
            .layer("shelf")
            .definedBy("app.velvetcrock.shelf..")
            .layer("demo")
            .definedBy("app.velvetcrock.demo..")
            .whereLayer("web")
            .mayOnlyAccessLayers("core")
            .whereLayer("draw")
            .mayOnlyAccessLayers("core")
            .whereLayer("stillroom")
            .mayOnlyAccessLayers("core", "web")
            .whereLayer("condition")
            .mayOnlyAccessLayers("core", "web", "stillroom")
            .whereLayer("stores")
            .mayOnlyAccessLayers("core", "web", "stillroom", "condition")
            .whereLayer("batch")
            .mayOnlyAccessLayers("core", "web", "stillroom", "condition", "stores", "draw")
            .whereLayer("tend")
            .mayOnlyAccessLayers("core", "web", "stillroom", "condition", "stores", "batch", "draw")
            .whereLayer("bench")
            .mayOnlyAccessLayers("core", "web", "stillroom", "condition", "stores", "batch", "draw")
            .whereLayer("rounds")
            .mayOnlyAccessLayers("core", "web", "stillroom", "condition", "stores", "batch", "bench", "draw")
            .whereLayer("press")
            .mayOnlyAccessLayers("core", "web", "stillroom", "condition", "stores", "batch", "bench", "rounds", "draw")
            .whereLayer("cupboard")
            .mayOnlyAccessLayers(
                    "core", "web", "stillroom", "condition", "stores", "batch", "bench", "rounds", "press", "draw")
            .whereLayer("shelf")
            .mayOnlyAccessLayers("core", "web", "stillroom", "condition", "batch", "rounds", "draw")
            .whereLayer("demo")
            .mayNotBeAccessedByAnyLayer();

    @ArchTest
    static final ArchRule noCircles =
            slices().matching("app.velvetcrock.(*)..").should().beFreeOfCycles();

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
