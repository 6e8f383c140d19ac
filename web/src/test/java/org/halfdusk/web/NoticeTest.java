package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** NOTICE against the list of licences that the build makes of what is really in the jar. */
class NoticeTest {
    private static final Pattern LINE =
            Pattern.compile("\\s+(\\(.*?\\)) \\S.*\\(([\\w.-]+):([\\w.-]+):[\\w.-]+ - .*\\)");

    /** Licences that may stand in a distribution under the Apache License 2.0. */
    private static final Pattern FITTING = Pattern.compile(".*(Apache|MIT|BSD|EPL|LGPL|MIT-0|Bouncy Castle).*");

    @Test
    void everyLibraryInTheJarIsNamedWithItsLicence() throws IOException {
        String notice = Files.readString(Path.of("..", "NOTICE"));
        List<String> lines = Files.readAllLines(Path.of("target", "licences", "THIRD-PARTY.txt"));
        List<String> missing = new ArrayList<>();
        int libraries = 0;
        for (String line : lines) {
            Matcher m = LINE.matcher(line);
            if (!m.matches() || m.group(2).equals("org.halfdusk")) {
                continue;
            }
            libraries++;
            assertTrue(FITTING.matcher(line).matches(), () -> "a licence to look at: " + line);
            boolean apache = m.group(1).contains("Apache");
            String named = apache ? m.group(2) : m.group(2) + ":" + m.group(3) + ",";
            if (!notice.contains(named)) {
                missing.add(named + " " + m.group(1));
            }
        }
        assertEquals(List.of(), missing);
        assertTrue(libraries > 40, "libraries found: " + libraries);
    }

    /** What ships beside the code: each file of data that NOTICE names is there, and none is there that it does not name. */
    @Test
    void dataIsNamedToo() throws IOException {
        String notice = Files.readString(Path.of("..", "NOTICE"));
        Path resources = Path.of("..", "core", "src", "main", "resources");
        try (var files = Files.walk(resources)) {
            List<String> unnamed = files.filter(Files::isRegularFile)
                    .map(f -> "core/src/main/resources/" + resources.relativize(f))
                    .filter(f -> !notice.contains(f))
                    .toList();
            assertEquals(List.of(), unnamed);
        }
        Matcher named =
                Pattern.compile("core/src/main/(?:resources|java)/[\\w./-]+").matcher(notice);
        int found = 0;
        while (named.find()) {
            found++;
            assertTrue(Files.exists(Path.of("..").resolve(named.group())), named.group());
        }
        assertTrue(found >= 9);
    }
}
