package org.halfdusk.web.firing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.camera.CameraPort;
import org.halfdusk.web.StartRefused;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A camera behind a tool, with small shell scripts as tools. */
@Tag("slow")
class CommandCameraTest {
    @TempDir
    Path folder;

    private Path tool(String script) throws IOException {
        Path tool = folder.resolve("fake tool");
        Files.writeString(tool, "#!/bin/sh\n" + script + "\n");
        Files.setPosixFilePermissions(tool, PosixFilePermissions.fromString("rwx------"));
        return tool;
    }

    private static CameraPort.Order order(double seconds) {
        ShutterTime time = ShutterTime.nearest(seconds, ShutterTime.available(1 / 8000.0, 30, true));
        return new CameraPort.Order(
                7, new Frame(Instant.parse("2027-08-02T08:48:12Z"), time, FNumber.of(8), Iso.of(100)), true);
    }

    private CommandCamera camera(String script, String words, Duration patience) throws IOException {
        return new CommandCamera(
                CameraCommand.read("\"" + tool(script) + "\" " + words),
                2,
                patience,
                Duration.ZERO,
                Clock.systemUTC(),
                Clock.systemUTC());
    }

    /** What differs from frame to frame stands where the braces are; no shell makes anything of the rest. */
    @Test
    void theToolIsToldTheFrame() throws Exception {
        CommandCamera c = camera(
                "printf '%s|' \"$@\" > \"" + folder.resolve("told") + "\"",
                "--time={seconds} {mark} {aperture} {iso} n{number}r{rig} {files} '; rm -rf $HOME' $(id)",
                Duration.ofSeconds(20));
        CameraPort.Taken t = c.take(order(1 / 200.0));
        assertEquals(Optional.empty(), t.trouble());
        assertTrue(t.opened().isPresent());
        double real = order(1 / 200.0).frame().shutter().realSeconds();
        assertEquals(
                "--time=" + String.format(Locale.ROOT, "%.6f", real)
                        + "|1/200|8|100|n7r2|raw+jpeg|; rm -rf $HOME|$(id)|",
                Files.readString(folder.resolve("told")));
    }

    @Test
    void aToolThatSaysWhenItOpenedIsLearntFrom() throws Exception {
        CommandCamera c = camera("sleep 0.2; echo opened $(date +%s%3N)", "", Duration.ofSeconds(20));
        Instant before = Instant.now();
        CameraPort.Taken t = c.take(order(1 / 200.0));
        Duration apart = Duration.between(before, t.opened().orElseThrow());
        assertTrue(apart.toMillis() >= 200, "it opened when it said: " + apart);
        assertTrue(c.lead().toMillis() >= 190 && c.lead().compareTo(Duration.ofSeconds(5)) < 0, "lead " + c.lead());
    }

    @Test
    void aToolThatFailsIsQuoted() throws Exception {
        CameraPort.Taken t = camera("echo 'no such ISO' >&2; exit 3", "", Duration.ofSeconds(20))
                .take(order(1));
        assertEquals(Optional.empty(), t.opened());
        assertEquals(Optional.of("the tool ended with 3: no such ISO"), t.trouble());
    }

    /** One that hangs is ended with all that it started, and one that talks without end fills nothing. */
    @Test
    void aToolThatHangsIsEnded() throws Exception {
        CommandCamera c =
                camera("sleep 300 & echo $! > \"" + folder.resolve("child") + "\"; wait", "", Duration.ofSeconds(1));
        CameraPort.Taken t = c.take(order(1 / 200.0));
        assertTrue(t.trouble().orElseThrow().contains("was ended"), t.toString());
        long child = Long.parseLong(Files.readString(folder.resolve("child")).strip());
        assertFalse(alive(child), "what the tool started is ended too");
        CameraPort.Taken loud = camera("yes | head -c 3000000; exit 1", "", Duration.ofSeconds(20))
                .take(order(1));
        assertEquals(Optional.of("the tool ended with 1: y"), loud.trouble());
    }

    private static boolean alive(long pid) throws InterruptedException {
        for (int i = 0; i < 50; i++) {
            if (ProcessHandle.of(pid).filter(ProcessHandle::isAlive).isEmpty()) {
                return false;
            }
            Thread.sleep(100);
        }
        return true;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "no-such-tool-anywhere --fire|“no-such-tool-anywhere”",
                "/tmp|“/tmp”",
                "true {shutter}|“{shutter}”",
                "''|“”"
            })
    void whatCannotBeRunIsRefusedAtStart(String given, String named) {
        StartRefused e =
                assertThrows(StartRefused.class, () -> CameraCommand.read(given.equals("''") ? "\"\"" : given));
        assertTrue(String.valueOf(e.getMessage()).contains(named), e.toString());
        assertEquals(StartRefused.OPTION, e.getExitCode());
    }

    @Test
    void aDryRunStartsNothing() throws Exception {
        CameraCommand c = CameraCommand.read("\"" + tool("touch \"" + folder.resolve("ran") + "\"") + "\" {iso}");
        CameraPort.Taken t = new DryCamera(c, 1, Clock.systemUTC()).take(order(1));
        assertTrue(t.trouble().orElseThrow().endsWith("fake tool 100"), t.toString());
        assertFalse(Files.exists(folder.resolve("ran")));
    }
}
