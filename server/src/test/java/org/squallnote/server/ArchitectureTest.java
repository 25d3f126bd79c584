package org.squallnote.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;

@AnalyzeClasses(packages = "org.squallnote", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule arrowsOnlyGoDown = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("server")
            .definedBy("org.squallnote.server..")
            .layer("store")
            .definedBy("org.squallnote.store..")
            .layer("sources")
            .definedBy("org.squallnote.sources..")
            .layer("formats")
            .definedBy("org.squallnote.formats..")
            .layer("core")
            .definedBy("org.squallnote.core..")
            .whereLayer("server")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("store")
            .mayOnlyBeAccessedByLayers("server")
            .whereLayer("sources")
            .mayOnlyBeAccessedByLayers("server")
            .whereLayer("formats")
            .mayOnlyBeAccessedByLayers("server", "sources");

    @ArchTest
    static final ArchRule nothingKnowsOfADemo = noClasses()
            .that()
            .resideInAnyPackage(
                    "org.squallnote.server..",
                    "org.squallnote.store..",
                    "org.squallnote.sources..",
                    "org.squallnote.core..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.squallnote.standins..");

    /** A controller translates; what it asks for, a feature finds and decides. */
    @ArchTest
    static final ArchRule controllersDoNotSeeTheStore = noClasses()
            .that()
            .haveSimpleNameEndingWith("Controller")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.squallnote.store..");

    @ArchTest
    static final ArchRule featuresHaveNoCycles =
            slices().matching("org.squallnote.server.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule timeComesFromTheClock = noClasses()
            .that()
            .resideInAnyPackage("org.squallnote.server..", "org.squallnote.store..")
            .should()
            .callMethod(Instant.class, "now")
            .orShould()
            .callMethod(LocalDate.class, "now")
            .orShould()
            .callMethod(LocalDateTime.class, "now");

    @ArchTest
    static final ArchRule namesSayWhatThingsAre =
            noClasses().should().haveNameMatching(".*(Util|Utils|Helper|Manager|Dto|Impl)$");
}
