package org.halfdusk.web.exchange.backup;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.OptionalDouble;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.optics.TypicalKit;
import org.halfdusk.shoot.kept.Kept;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Backups that older versions wrote are read, and what is written is what they would read. */
class WrittenCameraTest {
    private static final JsonMapper JSON = new JsonMapper();

    /** As the first version wrote it: no timer, no noise of reading. */
    private static final String FIRST = """
            {"id":4,"it":{"name":"c","sensor":{"widthMm":36,"heightMm":24,"widthPx":6000,"heightPx":4000},
             "lowestIso":100,"highestIso":6400,"shortestSeconds":0.001,"longestTimedSeconds":30,"bulb":true,
             "rawMegabytes":30,"jpegMegabytes":10,"bufferFrames":20,"writeMegabytesPerSecond":100,
             "batteryFrames":400,"batteryMinutes":200,"mirror":true,"stabiliserStops":3,"filmExponent":null,
             "coldLoss":0.02,"heatLoss":0.01}}""";

    private static Backup read(String cameras) {
        return BackupFile.read("{\"format\":\"half-dusk backup\",\"version\":1,\"takenAt\":\"2027-05-24T18:00:00Z\","
                + "\"cameras\":[" + cameras + "]}");
    }

    private static JsonNode written(Backup backup) {
        return JSON.readTree(new String(BackupFile.write(backup), StandardCharsets.UTF_8));
    }

    @Test
    void theFirstVersionsCameraIsRead() {
        Camera c = read(FIRST).cameras().get(0).it();
        assertEquals(Camera.Sensitivity.of(100, 6400), c.sensitivity());
        assertEquals(new Camera.Shutter(0.001, 30, true, true, 3, IntervalTimer.USUAL), c.shutter());
        assertEquals(new Camera.Files(30, 10, 20, 100), c.files());
        assertEquals(new Camera.Power(400, 200, 0.02, 0.01), c.power());
    }

    @Test
    void itsFiguresStandInOneRowAndComeBack() {
        Camera film = new Camera(
                "Film",
                TypicalKit.CAMERAS.get(0).sensor(),
                new Camera.Sensitivity(400, 400, OptionalDouble.of(1.31), ReadNoise.STEADY),
                Camera.Shutter.of(0.001, 1, true),
                new Camera.Files(0, 0, 36, 100),
                Camera.Power.of(5000, 9000));
        for (Camera c : List.of(film, TypicalKit.CAMERAS.get(0), TypicalKit.CAMERAS.get(5))) {
            String one = "{\"id\":1,\"it\":" + row(c) + "}";
            assertEquals(c, read(one).cameras().get(0).it());
        }
    }

    /** A camera's own row in a backup that holds it. */
    private static String row(Camera camera) {
        Backup one = read(FIRST);
        Backup other = new Backup(
                one.format(),
                one.version(),
                one.takenAt(),
                one.places(),
                List.of(new Kept<>(1, camera)),
                one.lenses(),
                one.converters(),
                one.accessories(),
                one.rigs(),
                one.shoots(),
                one.furtherRigs(),
                one.packing(),
                one.nights(),
                one.practised(),
                one.clocks(),
                one.takenFrames(),
                one.afterwards(),
                one.answers(),
                one.learnt(),
                one.focusMarks(),
                one.tracks(),
                one.settings());
        JsonNode it = written(other).path("cameras").path(0).path("it");
        assertEquals(camera.sensitivity().lowestIso(), it.path("lowestIso").intValue());
        assertEquals(camera.power().batteryMinutes(), it.path("batteryMinutes").intValue());
        return it.toString();
    }

    @Test
    void aFigureOutOfRangeIsToldWithItsPlace() {
        String bad = FIRST.replace("\"bufferFrames\":20", "\"bufferFrames\":0");
        IllegalArgumentException e = assertThrows(IllegalArgumentException.class, () -> read(bad));
        String why = String.valueOf(e.getMessage());
        assertTrue(why.contains("buffer 0 frames is outside 1 to 100000 frames"), why);
        assertTrue(why.contains("(at cameras.[0].it"), why);
    }
}
