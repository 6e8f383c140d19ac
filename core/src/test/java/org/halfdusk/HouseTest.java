package org.halfdusk;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.dependencies.SliceAssignment;
import com.tngtech.archunit.library.dependencies.SliceIdentifier;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The rooms of the core: what may lean on what. */
class HouseTest {
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("org.halfdusk");

    private static void holds(ArchRule rule) {
        rule.check(CORE);
    }

    @Test
    void onlyTheJdkAndAnnotations() {
        holds(classes()
                .should()
                .onlyDependOnClassesThat(resideInAnyPackage("org.halfdusk..", "java..", "org.jspecify.annotations..")));
    }

    @Test
    void noClockNoFilesNoNetwork() {
        holds(noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.nio.file..", "java.net..", "java.sql..", "javax.."));
        holds(noClasses().should().callMethod(java.time.Instant.class, "now"));
        holds(noClasses().should().callMethod(java.time.LocalDate.class, "now"));
        holds(noClasses().should().callMethod(System.class, "currentTimeMillis"));
    }

    @Test
    void roomsLeanOneWay() {
        holds(layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("angle")
                .definedBy("org.halfdusk.angle..")
                .layer("time")
                .definedBy("org.halfdusk.time..")
                .layer("photometry")
                .definedBy("org.halfdusk.photometry..")
                .layer("place")
                .definedBy("org.halfdusk.place..")
                .layer("ephemeris")
                .definedBy("org.halfdusk.ephemeris..")
                .layer("sky")
                .definedBy("org.halfdusk.sky..")
                .layer("eclipse")
                .definedBy("org.halfdusk.eclipse..")
                .layer("light")
                .definedBy("org.halfdusk.light..")
                .layer("optics")
                .definedBy("org.halfdusk.optics..")
                .layer("trailing")
                .definedBy("org.halfdusk.trailing..")
                .layer("exposure")
                .definedBy("org.halfdusk.exposure..")
                .layer("sequence")
                .definedBy("org.halfdusk.sequence..")
                .layer("show")
                .definedBy("org.halfdusk.show..")
                .layer("shoot")
                .definedBy("org.halfdusk.shoot..")
                .whereLayer("shoot")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("show")
                .mayOnlyBeAccessedByLayers("shoot")
                .whereLayer("sequence")
                .mayOnlyBeAccessedByLayers("shoot")
                .whereLayer("exposure")
                .mayOnlyBeAccessedByLayers("sequence", "show", "shoot")
                .whereLayer("trailing")
                .mayOnlyBeAccessedByLayers("exposure", "sequence", "shoot")
                .whereLayer("optics")
                .mayOnlyBeAccessedByLayers("trailing", "exposure", "sequence", "show", "shoot")
                .whereLayer("eclipse")
                .mayOnlyBeAccessedByLayers("light", "exposure", "shoot")
                .whereLayer("light")
                .mayOnlyBeAccessedByLayers("exposure", "shoot")
                .whereLayer("sky")
                .mayOnlyBeAccessedByLayers(
                        "light", "eclipse", "optics", "trailing", "exposure", "sequence", "show", "shoot")
                .whereLayer("ephemeris")
                .mayOnlyBeAccessedByLayers("sky", "light", "eclipse", "shoot")
                .whereLayer("place")
                .mayOnlyBeAccessedByLayers("sky", "light", "eclipse", "optics", "show", "shoot")
                .whereLayer("time")
                .mayOnlyBeAccessedByLayers(
                        "place", "ephemeris", "sky", "light", "eclipse", "optics", "exposure", "sequence", "shoot")
                .whereLayer("photometry")
                .mayOnlyBeAccessedByLayers(
                        "place", "light", "optics", "trailing", "exposure", "sequence", "show", "shoot"));
    }

    @Test
    void namesAreNotionsOfTheJob() {
        holds(noClasses().should().haveSimpleNameEndingWith("Util"));
        holds(noClasses().should().haveSimpleNameEndingWith("Helper"));
        holds(noClasses().should().haveSimpleNameEndingWith("Manager"));
        holds(noClasses().should().haveSimpleNameEndingWith("Service"));
    }

    /** The subjects and the families that name them are one room; within all others and between them nothing turns back. */
    @Test
    void noCycles() {
        holds(SlicesRuleDefinition.slices()
                .matching("org.halfdusk.(*)..")
                .should()
                .beFreeOfCycles());
    }

    /** Nor between what rooms are split into; only the families of subjects name those who are of them. */
    @Test
    void noCyclesWithinRooms() {
        holds(SlicesRuleDefinition.slices()
                .assignedFrom(new SliceAssignment() {
                    @Override
                    public SliceIdentifier getIdentifierOf(JavaClass c) {
                        return SliceIdentifier.of(
                                List.of(FAMILIES).contains(c.getPackageName()) ? "families" : c.getPackageName());
                    }

                    @Override
                    public String getDescription() {
                        return "packages";
                    }
                })
                .should()
                .beFreeOfCycles());
    }

    @Test
    void theTheoryIsTheEphemerissOwn() {
        holds(noClasses()
                .that()
                .resideOutsideOfPackage("org.halfdusk.ephemeris..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.halfdusk.ephemeris.theory.."));
    }

    /** One subject knows nothing of another; they meet in the families alone. */
    @Test
    void subjectsDoNotKnowEachOther() {
        for (String a : SUBJECTS) {
            for (String b : SUBJECTS) {
                if (!a.equals(b)) {
                    holds(noClasses()
                            .that()
                            .resideInAPackage("org.halfdusk.shoot." + a)
                            .should()
                            .dependOnClassesThat()
                            .resideInAPackage("org.halfdusk.shoot." + b));
                }
            }
        }
    }

    /** Round the families of subjects stand the rooms of what is done with a shoot, one above the other. */
    @Test
    void theRoomsOfAShootStandInOrder() {
        holds(layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("setting")
                .definedBy("org.halfdusk.shoot.setting..")
                .layer("families")
                .definedBy(FAMILIES)
                .layer("programme")
                .definedBy("org.halfdusk.shoot.programme..")
                .layer("search")
                .definedBy("org.halfdusk.shoot.search..")
                .layer("kept")
                .definedBy("org.halfdusk.shoot.kept..")
                .layer("planning")
                .definedBy("org.halfdusk.shoot.planning..")
                .whereLayer("planning")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("kept")
                .mayOnlyBeAccessedByLayers("planning")
                .whereLayer("search")
                .mayOnlyBeAccessedByLayers("planning")
                .whereLayer("programme")
                .mayOnlyBeAccessedByLayers("planning")
                .whereLayer("families")
                .mayOnlyBeAccessedByLayers("programme", "search", "kept", "planning"));
    }

    /** A room whose files nobody reads in one sitting is split by notion. */
    @Test
    void noRoomIsTooLarge() {
        var crowded = CORE.stream()
                .filter(JavaClass::isTopLevelClass)
                .filter(c -> !c.getSimpleName().equals("package-info"))
                .collect(java.util.stream.Collectors.groupingBy(
                        JavaClass::getPackageName, java.util.stream.Collectors.counting()));
        crowded.values().removeIf(n -> n <= MOST_FILES);
        assertEquals(java.util.Map.of(), crowded);
    }

    private static final int MOST_FILES = 12;

    private static final List<String> SUBJECTS =
            List.of("milkyway", "trails", "moon", "lunareclipse", "solareclipse", "fireworks", "town");

    private static final String[] FAMILIES = Stream.concat(
                    Stream.of("", ".choices", ".packing"), SUBJECTS.stream().map(s -> "." + s))
            .map(s -> "org.halfdusk.shoot" + s)
            .toArray(String[]::new);

    /** Choices are values: text is read by codecs alone, at the form and at the row. */
    @Test
    void noTextIsReadInTheDomain() {
        noClasses()
                .that()
                .resideInAnyPackage(
                        "org.halfdusk.shoot..",
                        "org.halfdusk.trailing..",
                        "org.halfdusk.exposure..",
                        "org.halfdusk.sequence..")
                .and()
                .doNotHaveSimpleName("RigTexts")
                .and()
                .doNotHaveSimpleName("ScriptTexts")
                .and()
                .doNotHaveSimpleName("BlockSpec")
                .should()
                .callMethod(String.class, "split", String.class)
                .orShould()
                .callMethod(Double.class, "parseDouble", String.class)
                .orShould()
                .callMethod(Double.class, "valueOf", String.class)
                .orShould()
                .callMethod(Integer.class, "parseInt", String.class)
                .orShould()
                .callMethod(Long.class, "parseLong", String.class)
                .check(CORE);
    }
}
