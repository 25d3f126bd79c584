package org.squallnote.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZonedDateTime;

@AnalyzeClasses(packages = "org.squallnote.core", importOptions = ImportOption.DoNotIncludeTests.class)
class CoreRulesTest {

    @ArchTest
    static final ArchRule usesTheJdkAndSmallPureLibrariesOnly = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "java..",
                    "javax.crypto..",
                    "org.squallnote.core..",
                    "org.jspecify..",
                    "de.focus_shift.jollyday..",
                    "org.dmfs..");

    @ArchTest
    static final ArchRule neverReadsTheClock = noClasses()
            .should()
            .callMethod(Instant.class, "now")
            .orShould()
            .callMethod(LocalDate.class, "now")
            .orShould()
            .callMethod(LocalDateTime.class, "now")
            .orShould()
            .callMethod(ZonedDateTime.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis");

    @ArchTest
    static final ArchRule packagesHaveNoCycles =
            slices().matching("org.squallnote.core.(*)..").should().beFreeOfCycles();
}
