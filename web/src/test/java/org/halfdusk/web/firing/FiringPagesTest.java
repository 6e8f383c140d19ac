package org.halfdusk.web.firing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import org.halfdusk.web.App;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A programme fired from its page. */
@Tag("slow")
class FiringPagesTest {
    private static final String CAMERA = "/shoots/7/run/camera";

    @TempDir
    Path data;

    private static String text(App app) throws Exception {
        return app.page(CAMERA).select("main").text();
    }

    private static void until(App app, String words) throws Exception {
        app.until(CAMERA, "main", words, 200);
    }

    @Test
    void theSimulatedCameraStandsIn() throws Exception {
        try (App app = App.demo(data)) {
            assertTrue(text(app).contains("Simulated: no tool was named"), text(app));
            assertTrue(text(app).contains("Not begun"));
            assertEquals(302, app.post(CAMERA, Map.of("trial", "yes")).statusCode());
            assertEquals(409, app.post(CAMERA, Map.of("trial", "yes")).statusCode(), "one at a time");
            until(app, "1 of 5 fired");
            assertEquals(302, app.post(CAMERA + "/stop", Map.of()).statusCode());
            until(app, "fired, stopped");
            assertEquals(404, app.get("/shoots/99/run/camera").statusCode());
            assertEquals(404, app.get("/shoots/7/rig9/run/camera").statusCode());
        }
    }

    /** A tool that was named at start takes the frames; the page names it and never the command. */
    @Test
    void aToolTakesTheFrames() throws Exception {
        Path tool = data.resolve("tool.sh");
        Path told = data.resolve("told");
        Files.writeString(
                tool,
                "#!/bin/sh\necho \"$1\" >> '" + told + "'\n[ \"$1\" = 2 ] && { echo 'card is full'; exit 4; }\n"
                        + "echo opened $(date +%s%3N)\n");
        Files.setPosixFilePermissions(tool, PosixFilePermissions.fromString("rwx------"));
        try (App app = App.with(
                data.resolve("kept"), List.of("demo"), "--halfdusk.camera.command=" + tool + " {number} --secret")) {
            assertTrue(text(app).contains("The tool tool.sh, named at start"), text(app));
            assertFalse(app.get(CAMERA).body().contains("--secret"));
            app.post(CAMERA, Map.of("trial", "yes"));
            until(app, "fired, over");
            assertTrue(text(app).contains("4 of 5 fired"), text(app));
            assertTrue(text(app).contains("Frame 2 not taken: the tool ended with 4: card is full"), text(app));
            assertEquals(List.of("1", "2", "3", "4", "5"), Files.readAllLines(told));
        }
    }
}
