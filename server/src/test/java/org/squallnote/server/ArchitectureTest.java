package org.squallnote.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaMethodCall;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.chrono.ChronoLocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

@AnalyzeClasses(packages = "org.squallnote", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule arrowsOnlyGoDown = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("server")
            .definedBy("org.squallnote.server..")
            .layer("store")
            .definedBy("org.squallnote.store..")
            .layer("search")
            .definedBy("org.squallnote.search..")
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
            .whereLayer("search")
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

    /** What comes before what, and which day is which, are rules; they stand in core with their tests. */
    @ArchTest
    static final ArchRule daysAreComparedInCore = noClasses()
            .that()
            .resideInAPackage("org.squallnote.server..")
            .should(callAnyOf(
                    List.of(LocalDate.class, LocalTime.class, LocalDateTime.class, ChronoLocalDate.class),
                    Set.of("isBefore", "isAfter", "isEqual", "compareTo")));

    private static ArchCondition<JavaClass> callAnyOf(List<Class<?>> owners, Set<String> methods) {
        Set<String> names = owners.stream().map(Class::getName).collect(Collectors.toSet());
        return new ArchCondition<>("compare days or times") {
            @Override
            public void check(JavaClass one, ConditionEvents events) {
                for (JavaMethodCall call : one.getMethodCallsFromSelf()) {
                    if (names.contains(call.getTargetOwner().getName()) && methods.contains(call.getName())) {
                        events.add(SimpleConditionEvent.satisfied(call, call.getDescription()));
                    }
                }
            }
        };
    }

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
