package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.File;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Another subject, compiled into a copy of the sources: it brings its two folders and is written into the lists of subjects, and
 * nothing else. Then all pages of a shoot of it answer.
 */
@Tag("slow")
class AnotherSubjectTest {
    private static final Path GIVEN = Path.of("src/test/resources/another");

    @TempDir
    Path folder = Path.of("");

    @Test
    void anotherSubjectTouchesItsFoldersAndTheListsOnly() throws Exception {
        Path core = copied(Path.of("../core/src/main/java"), "core");
        Path web = copied(Path.of("src/main/java"), "web");
        copy(GIVEN.resolve("core"), core);
        copy(GIVEN.resolve("web"), web);
        Path shoot = core.resolve("org/halfdusk/shoot");
        written(shoot.resolve("Subject.java"), "    TOWN\n", "    TOWN,\n    NOCTILUCENT\n");
        written(core.resolve("module-info.java"), "\n}", "\n    exports org.halfdusk.shoot.noctilucent;\n}");
        String own = "org.halfdusk.shoot.noctilucent.Noctilucent";
        written(shoot.resolve("Wish.java"), "TownWish {", "TownWish, " + own + "Wish {");
        written(shoot.resolve("Plan.java"), "TownPlan {", "TownPlan, " + own + "Plan {");
        written(shoot.resolve("AfterDark.java"), "TownNight {", "TownNight, " + own + "Night {");
        Path planners = shoot.resolve("SubjectPlanner.java");
        written(planners, "TownPlanner {", "TownPlanner, " + own + "Planner {");
        written(planners, "case FIREWORKS -> FireworksWish.KIND;", "$0 case NOCTILUCENT -> " + own + "Wish.KIND;");
        written(
                planners,
                "case FIREWORKS -> FireworksPlanner.TRAITS;",
                "$0 case NOCTILUCENT -> " + own + "Planner.TRAITS;");
        written(planners, "new TownPlanner())", "new TownPlanner(), new " + own + "Planner())");

        List<String> libraries = Arrays.stream(
                        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"))
                                .split(File.pathSeparator))
                .toList();
        Path coreClasses = folder.resolve("core-classes");
        Path webClasses = folder.resolve("web-classes");
        String all = String.join(File.pathSeparator, libraries);
        compile(core, coreClasses, "--module-path", onlyJars(libraries));
        compile(web, webClasses, "-parameters", "-cp", coreClasses + File.pathSeparator + all);
        assertEquals(
                "walked",
                walked(List.of(
                        webClasses.toString(),
                        coreClasses.toString(),
                        GIVEN.resolve("resources").toString(),
                        all)));
    }

    private Path copied(Path from, String name) throws IOException {
        Path to = folder.resolve(name);
        copy(from, to);
        return to;
    }

    private static void copy(Path from, Path to) throws IOException {
        try (Stream<Path> files = Files.walk(from)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Path target = to.resolve(from.relativize(file).toString());
                Files.createDirectories(target.getParent() == null ? to : target.getParent());
                Files.copy(file, target);
            }
        }
    }

    /** @param instead with $0 for what was there */
    private static void written(Path list, String there, String instead) throws IOException {
        String text = Files.readString(list);
        assertTrue(text.contains(there), list.getFileName() + " has no “" + there + "”");
        Files.writeString(list, text.replace(there, instead.replace("$0", there)));
    }

    private static String onlyJars(List<String> libraries) {
        return libraries.stream().filter(l -> l.contains("jspecify")).collect(Collectors.joining(File.pathSeparator));
    }

    private void compile(Path sources, Path classes, String... options) throws IOException {
        List<String> arguments = new ArrayList<>(List.of("-proc:none", "-nowarn", "-d", classes.toString()));
        arguments.addAll(List.of(options));
        StringWriter said = new StringWriter();
        var compiler = ToolProvider.getSystemJavaCompiler();
        try (Stream<Path> files = Files.walk(sources);
                var manager = compiler.getStandardFileManager(null, null, null)) {
            List<Path> java = files.filter(f -> f.toString().endsWith(".java")).toList();
            boolean through = compiler.getTask(
                            said, manager, null, arguments, null, manager.getJavaFileObjectsFromPaths(java))
                    .call();
            assertTrue(through, said.toString());
        }
    }

    /** The last line that the walk through the pages says. */
    private String walked(List<String> classPath) throws Exception {
        Path said = folder.resolve("said.txt");
        Process walk = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        String.join(File.pathSeparator, classPath),
                        "org.halfdusk.web.AnotherSubject",
                        folder.resolve("data").toString())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();
        boolean ended = walk.waitFor(5, TimeUnit.MINUTES);
        walk.destroyForcibly();
        List<String> lines = Files.readAllLines(said);
        assertTrue(ended, "the walk did not end: " + lines);
        return lines.stream().filter(l -> l.equals("walked")).findFirst().orElse(String.join("\n", lines));
    }
}
