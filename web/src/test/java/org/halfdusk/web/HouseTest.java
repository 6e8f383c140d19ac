package org.halfdusk.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
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
                .resideOutsideOfPackages("org.halfdusk.web", "org.halfdusk.web.door..", "org.halfdusk.web.standin")
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
                    .callMethodWhere(com.tngtech.archunit.base.DescribedPredicate.describe(
                            "it is Math." + function,
                            call -> call.getTargetOwner().isEquivalentTo(Math.class)
                                    && call.getName().equals(function)))
                    .check(WEB);
        }
    }

    @Test
    void onlyTheWiringAsksTheSystemsClock() {
        noClasses()
                .that()
                .resideOutsideOfPackages("org.halfdusk.web")
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

    @Test
    void noFeatureLeansOnWhatLeansOnIt() {
        com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices()
                .matching("org.halfdusk.web.(*)..")
                .should()
                .beFreeOfCycles()
                .check(WEB);
    }

    /**
     * A feature takes what all share (layout, door, subject, the desk of a shoot, open formats, pictures). What one takes of another is named
     * here, so that a new one is thought about: a stand is looked for on the map, a night shows its weather, a card the checklist,
     * a search the names of kit, practice the words of verdicts and the map for its show, a solar eclipse the map for its path,
     * map and places the ground of the user's own files, which the stand-in lays samples of.
     */
    @Test
    void noFeatureTakesAnothersInsides() {
        java.util.Set<String> shared =
                java.util.Set.of("", "layout", "door", "subject", "shoot", "exchange", "picture", "standin");
        java.util.Set<String> named = java.util.Set.of(
                "frame map",
                "night weather",
                "sequence pack",
                "search kit",
                "places map",
                "standin map",
                "practice fireworks",
                "practice map",
                "solareclipse map",
                "map ground",
                "places ground",
                "standin ground");
        java.util.Set<String> found = new java.util.TreeSet<>();
        WEB.forEach(c -> c.getDirectDependenciesFromSelf().forEach(d -> {
            String from = feature(c.getPackageName());
            String to = feature(d.getTargetClass().getPackageName());
            boolean ours = d.getTargetClass().getPackageName().startsWith("org.halfdusk.web.");
            if (ours
                    && !from.equals(to)
                    && !from.isEmpty()
                    && !shared.contains(to)
                    && !named.contains(from + " " + to)) {
                found.add(from + " " + to);
            }
        }));
        found.removeIf(edge -> edge.startsWith("api "));
        org.junit.jupiter.api.Assertions.assertEquals(java.util.Set.of(), found);
    }

    /** Nor do the parts of a feature on one another. */
    @Test
    void noPartLeansOnWhatLeansOnIt() {
        com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices()
                .matching("org.halfdusk.web.(**)")
                .should()
                .beFreeOfCycles()
                .check(WEB);
        // What is generated from the tables turns in circles by itself.
        com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices()
                .matching("org.halfdusk.(store).(**)")
                .should()
                .beFreeOfCycles()
                .ignoreDependency(
                        com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage(
                                "org.halfdusk.store.jooq.."),
                        com.tngtech.archunit.base.DescribedPredicate.alwaysTrue())
                .check(WEB);
    }

    /** A room whose files nobody reads in one sitting is split by notion. */
    @Test
    void noRoomIsTooLarge() {
        var crowded = WEB.stream()
                .filter(com.tngtech.archunit.core.domain.JavaClass::isTopLevelClass)
                .filter(c -> !c.getPackageName().startsWith("org.halfdusk.store.jooq"))
                // Wiring that was worked out while building.
                .filter(c -> !c.getSimpleName().contains("__"))
                .filter(c -> !c.getSimpleName().equals("package-info"))
                .collect(java.util.stream.Collectors.groupingBy(
                        com.tngtech.archunit.core.domain.JavaClass::getPackageName,
                        java.util.stream.Collectors.counting()));
        assertTrue(crowded.size() > 40, "rooms looked at: " + crowded.size());
        crowded.values().removeIf(n -> n <= MOST_FILES);
        assertEquals(java.util.Map.of(), crowded);
    }

    private static final int MOST_FILES = 12;

    private static String feature(String packageName) {
        String rest = packageName.replaceFirst("^org\\.halfdusk\\.web\\.?", "");
        return rest.contains(".") ? rest.substring(0, rest.indexOf('.')) : rest;
    }

    @Test
    void theTheoryIsTheEphemerissOwn() {
        noClasses()
                .that()
                .resideOutsideOfPackage("org.halfdusk.ephemeris..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.halfdusk.ephemeris.theory..")
                .check(WEB);
    }

    /** North is never 360.0°: azimuths go by their own words, which wrap what was rounded. */
    @Test
    void azimuthsAreToldByTheirOwnWords() throws IOException {
        Pattern plain = Pattern.compile("Words\\.(?:degrees|wholeDegrees)\\([\\w.()]*[aA]zimuth");
        assertTrue(plain.matcher("Words.degrees(p.azimuth().degrees())").find());
        List<Path> found = new ArrayList<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java/org/halfdusk/web"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                if (plain.matcher(Files.readString(file)).find()) {
                    found.add(file);
                }
            }
        }
        assertEquals(List.of(), found);
    }

    /** Numbers of the page and of units; what else stands in a sentence is a figure of the job, which the core owns. */
    private static final Set<String> OF_THE_PAGE = Set.of(
            "0",
            "1",
            "2",
            "3",
            "4",
            "5",
            "10",
            "12",
            "24",
            "60",
            "90",
            "100",
            "180",
            "360",
            "1000",
            "3600",
            "0.5",
            "0.0",
            "2.0",
            "1000.0",
            "1.0",
            "10.0",
            "60.0",
            "100.0",
            "60_000.0",
            "1e6",
            "1e9",
            "1e-9");

    private static final Pattern NUMBER = Pattern.compile("(?<![\\w.])\\d[\\d_]*(?:\\.\\d+)?(?:e-?\\d+)?(?![\\w.])");

    /** How much of something a page shows, and how large. */
    private static final Pattern LAID_OUT = Pattern.compile(
            "static final (?:int|double) (?:WIDTH|HEIGHT|TILE|ROWS\\w*|COLUMNS|MOST_\\w+|LONGEST_LISTED\\w*|DAYS_APART|RANKED|"
                    + "MARKED|OFFERED) =");

    private static final Pattern COMMENTS_AND_TEXTS = Pattern.compile(
            "/\\*.*?\\*/|//[^\\n]*|\"\"\".*?\"\"\"|\"(?:\\\\.|[^\"\\\\])*\"|'(?:\\\\.|[^'\\\\])*'", Pattern.DOTALL);

    @Test
    void wordsAndPagesHoldNoFiguresOfTheJob() throws IOException {
        List<String> found = new ArrayList<>();
        int looked = 0;
        try (Stream<Path> files = Files.walk(Path.of("src/main/java/org/halfdusk/web"))) {
            for (Path file : files.filter(f -> f.toString()
                            .matches(".*(Words|Page|View|Part|Detail|Edits|Expose|NightStep|Sequence)\\.java"))
                    // How numbers and units are written is its own.
                    .filter(f -> !f.endsWith(Path.of("layout", "words", "Words.java")))
                    .toList()) {
                looked++;
                String bare = COMMENTS_AND_TEXTS.matcher(Files.readString(file)).replaceAll(" ");
                bare.lines().filter(l -> !LAID_OUT.matcher(l).find()).forEach(line -> {
                    if (NUMBER.matcher(line).results().anyMatch(n -> !OF_THE_PAGE.contains(n.group()))) {
                        found.add(file.getFileName() + ": " + line.strip());
                    }
                });
            }
        }
        assertTrue(looked > 30, "files looked at: " + looked);
        assertEquals(List.of(), found, "figures of the job in words and pages");
    }
}
