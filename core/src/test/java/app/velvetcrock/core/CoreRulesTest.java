package app.velvetcrock.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;

@AnalyzeClasses(packages = "app.velvetcrock.core", importOptions = DoNotIncludeTests.class)
class CoreRulesTest {

    @ArchTest
    static final ArchRule packagesFormNoCircles =
            slices().matching("app.velvetcrock.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule knowsNoFramework = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..", "jakarta..", "org.hibernate..", "tools.jackson..", "org.thymeleaf..");

    @ArchTest
    static final ArchRule hasNoClockOfItsOwn = noClasses()
            .should()
            .dependOnClassesThat()
            .areAssignableTo(Clock.class)
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(java.time.Instant.class, "now");

    @ArchTest
    static final ArchRule measureKnowsNothingElse = noClasses()
            .that()
            .resideInAPackage("..core.measure..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("..core.materia..", "..core.charge..", "..core.working..", "..core.planning..");
}
