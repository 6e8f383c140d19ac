package org.halfdusk.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** What web may lean on, and where. */
class HouseTest {
    private static final JavaClasses WEB = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("org.halfdusk.web", "org.halfdusk.store");

    @Test
    void onlyTheWiringTheDoorAndTheDemoKnowTheStore() {
        noClasses()
                .that()
                .resideInAPackage("org.halfdusk.web..")
                .and()
                .resideOutsideOfPackages(
                        "org.halfdusk.web",
                        "org.halfdusk.web.layout",
                        "org.halfdusk.web.door",
                        "org.halfdusk.web.standin")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.halfdusk.store..", "org.jooq..")
                .check(WEB);
    }

    @Test
    void theStoreKnowsNoWeb() {
        noClasses()
                .that()
                .resideInAPackage("org.halfdusk.store..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.halfdusk.web..", "org.springframework..")
                .check(WEB);
    }

    @Test
    void trigonometryStaysInTheCore() {
        for (String function : new String[] {"sin", "cos", "tan", "asin", "acos", "atan", "atan2", "log"}) {
            noClasses()
                    .that()
                    .resideInAPackage("org.halfdusk.web..")
                    // Made-up data may be made by waves; nothing is computed from it there.
                    .and()
                    .resideOutsideOfPackage("org.halfdusk.web.standin")
                    .should()
                    .callMethodWhere(com.tngtech.archunit.core.domain.JavaCall.Predicates.target(com.tngtech.archunit
                            .core.domain.properties.HasOwner.Predicates.With
                            .<com.tngtech.archunit.core.domain.JavaClass>owner(
                                    com.tngtech.archunit.core.domain.JavaClass.Predicates.equivalentTo(Math.class))
                            .and(com.tngtech.archunit.core.domain.properties.HasName.Predicates.name(function))))
                    .check(WEB);
        }
    }

    @Test
    void onlyTheWiringAsksTheSystemsClock() {
        noClasses()
                .that()
                .resideOutsideOfPackages("org.halfdusk.web.layout")
                .should()
                .callMethod(java.time.Clock.class, "systemUTC")
                .orShould()
                .callMethod(java.time.Instant.class, "now")
                .check(WEB);
    }

    @Test
    void controllersAreNamedSo() {
        classes()
                .that()
                .areAnnotatedWith(org.springframework.stereotype.Controller.class)
                .should()
                .haveSimpleNameEndingWith("Controller")
                .orShould()
                .haveSimpleName("Preferences")
                .check(WEB);
    }
}
