package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.TimeUnit;

/** Programs from the npm registry that look at what we publish: {@code web/validators} lists them. Each has some minutes. */
public final class Validators {
    /** Where they are installed, and what is looked at may lie. */
    public static final Path FOLDER = Path.of("target", "validators");

    private static final Duration MOST = Duration.ofMinutes(3);

    private Validators() {}

    /** What a program ended with and said. */
    public record Said(int code, String text) {}

    /** Skips a test aloud where the registry cannot be reached. */
    public static void needed() throws IOException, InterruptedException {
        Said said = say(Path.of(""), Path.of("validators", "install").toString());
        assumeTrue(
                said.code() == 0,
                "SKIPPED: the validators could not be installed from the npm registry, nothing is validated here: "
                        + said.text());
    }

    /** One of them, by its name. */
    public static String program(String name) {
        return FOLDER.resolve("node_modules/.bin")
                .resolve(name)
                .toAbsolutePath()
                .toString();
    }

    /** What a program says that must end well. */
    public static String run(Path folder, String... command) throws IOException, InterruptedException {
        return run(MOST, folder, command);
    }

    static String run(Duration most, Path folder, String... command) throws IOException, InterruptedException {
        Said said = say(most, folder, command);
        assertEquals(0, said.code(), () -> String.join(" ", command) + ": " + said.text());
        return said.text();
    }

    /** What a program says, however it ends. */
    public static Said say(Path folder, String... command) throws IOException, InterruptedException {
        return say(MOST, folder, command);
    }

    /** One that takes longer than it may is ended, which no program calls well. */
    private static Said say(Duration most, Path folder, String... command) throws IOException, InterruptedException {
        Path out = Files.createTempFile("said", ".txt");
        Process p = new ProcessBuilder(command)
                .directory(folder.toAbsolutePath().toFile())
                .redirectErrorStream(true)
                .redirectOutput(out.toFile())
                .start();
        if (!p.waitFor(most.toSeconds(), TimeUnit.SECONDS)) {
            p.destroyForcibly().waitFor();
        }
        String text = Files.readString(out, StandardCharsets.UTF_8);
        Files.delete(out);
        return new Said(p.exitValue(), text);
    }
}
