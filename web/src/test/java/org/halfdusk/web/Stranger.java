package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;

/** Programs that none of us wrote, which read what we write; tests that need one are skipped aloud where it is missing. */
public final class Stranger {
    private Stranger() {}

    /** @param debian the package it comes with */
    public static void needed(String program, String debian) {
        assumeTrue(
                Files.isExecutable(Path.of("/usr/bin", program)),
                "SKIPPED: " + program + " is not installed (Debian: " + debian
                        + "), our files are not read by it here");
    }

    /** What it says; it must end well. */
    public static String run(String program, String... arguments) throws Exception {
        String[] command = new String[arguments.length + 1];
        command[0] = "/usr/bin/" + program;
        System.arraycopy(arguments, 0, command, 1, arguments.length);
        Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertTrue(p.waitFor(60, TimeUnit.SECONDS), () -> String.join(" ", command));
        assertEquals(0, p.exitValue(), () -> String.join(" ", command) + ": " + said);
        return said;
    }
}
