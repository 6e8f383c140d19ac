package org.halfdusk.web;

import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;

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
        return Validators.run(Duration.ofSeconds(60), Path.of(""), command);
    }
}
