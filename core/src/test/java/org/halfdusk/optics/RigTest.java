package org.halfdusk.optics;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.sky.HorizontalPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What follows from kit's figures, each number computed by hand. */
class RigTest {
    private static final Camera CAMERA = new Camera(
            "full frame 24 MP",
            new Sensor(36, 24, 6000, 4000),
            Camera.Sensitivity.of(100, 6400),
            Camera.Shutter.of(1 / 8000.0, 30, true),
            new Camera.Files(30, 10, 20, 150),
            Camera.Power.of(500, 200));
    private static final Lens ZOOM = new Lens("20–40 mm", 20, 40, 2, 2.8, 16, 4, true, "", false);

    private static Rig rig(double focal) {
        return Rig.of(CAMERA, ZOOM, Optional.empty(), focal);
    }

    /** 206.264806 × 6 µm / 20 mm. */
    @Test
    void arcsecondsOfAPixel() {
        assertEquals(61.8794, rig(20).pixelScaleArcsec(), 1e-4);
        assertEquals(30.9397, rig(40).pixelScaleArcsec(), 1e-4);
        assertEquals(40, rig(900).focalMm(), "the nearest that the lens has");
    }

    @Test
    void aConverterCountsInEveryAperture() {
        Rig twice = Rig.of(CAMERA, ZOOM, Optional.of(new Converter("2×", 2)), 20);
        assertEquals(40, twice.focalMm());
        assertEquals(4, twice.widestAperture().value());
        assertEquals(32, twice.smallestAperture().value());
        assertEquals(8, twice.sharpestAperture().value());
        assertEquals(4, rig(20).sharpestAperture().value());
    }

    /** The slower of camera and card; cards together. */
    @Test
    void filesAndCards() {
        Rig bare = rig(20);
        assertEquals(30, bare.fileMegabytes(false));
        assertEquals(40, bare.fileMegabytes(true));
        assertEquals(150, bare.writeMegabytesPerSecond());
        assertEquals(Double.POSITIVE_INFINITY, bare.cardMegabytes());
        Card slow = new Card("slow", 128, 90, 2);
        Rig carded = bare.with(Optional.of(slow));
        assertEquals(90, carded.writeMegabytesPerSecond());
        assertEquals(256_000, carded.cardMegabytes());
        assertEquals(256, slow.totalGigabytes());
        assertEquals(Accessory.Kind.CARD, slow.kind());
        assertEquals(150, bare.with(Optional.of(new Card("fast", 64, 300, 1))).writeMegabytesPerSecond());
        assertEquals(Optional.of(slow), carded.with(Measured.NOTHING).card());
    }

    @Test
    void filmComesInRolls() {
        assertEquals(0, Camera.rolls(0));
        assertEquals(1, Camera.rolls(36));
        assertEquals(2, Camera.rolls(37));
        assertFalse(CAMERA.film());
        Camera film = new Camera(
                "film",
                CAMERA.sensor(),
                new Camera.Sensitivity(400, 400, OptionalDouble.of(1.3), ReadNoise.STEADY),
                CAMERA.shutter(),
                CAMERA.files(),
                CAMERA.power());
        assertTrue(film.film());
        IntervalTimer tenths = new IntervalTimer(IntervalTimer.Step.TENTHS, IntervalTimer.From.GAP, 999);
        assertEquals(tenths, CAMERA.with(tenths).shutter().timer());
        assertEquals(CAMERA.files(), CAMERA.with(tenths).files());
    }

    /** Aperture 25 mm: focused on the stars a thing at 10 m is 25·0.05/10; focused at 5 m a star is 25·0.05/4.95. */
    @Test
    void blurOfWhatIsNotInFocus() {
        DepthOfField d = new DepthOfField(50, FNumber.of(2), 0.03);
        assertEquals(0.125, d.blurMm(Double.POSITIVE_INFINITY, 10), 1e-9);
        assertEquals(0.252525, d.blurMm(5, Double.POSITIVE_INFINITY), 1e-6);
        assertEquals(0.126263, d.blurMm(5, 10), 1e-6);
        assertEquals(0, d.blurMm(Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY));
        assertEquals(Double.POSITIVE_INFINITY, d.farMetres(d.hyperfocalMetres()));
    }

    /** A double focal length is 30 degrees off, an unknown temperature 15. */
    @Test
    void theNearestMarkOfFocus() {
        FocusMark mark = new FocusMark(3, 24, OptionalDouble.of(8), "tape edge on the 4", Instant.EPOCH);
        assertEquals(2, mark.apart(24, 10), 1e-9);
        assertEquals(32, mark.apart(48, 10), 1e-9);
        assertEquals(30, mark.apart(12, 8), 1e-9);
        FocusMark cold = new FocusMark(3, 24, OptionalDouble.empty(), "tape", Instant.EPOCH);
        assertEquals(15, cold.apart(24, -5), 1e-9);
        assertEquals(new FocusMark(7, 24, OptionalDouble.empty(), "tape", Instant.EPOCH), cold.of(7));
    }

    /** P sin(π t/T): at a sixth of 540 s half of it; all of it from half a turn on; π P/T at its fastest. */
    @Test
    void aWormSways() {
        PeriodicError e = new PeriodicError(50, 540);
        assertEquals(0, e.mostArcsec(0));
        assertEquals(25, e.mostArcsec(90), 1e-9);
        assertEquals(50, e.mostArcsec(270), 1e-9);
        assertEquals(50, e.mostArcsec(400));
        assertEquals(0.290888, e.fastestArcsecPerSecond(), 1e-6);
    }

    @Test
    void timersRoundUpToTheirSteps() {
        IntervalTimer whole = new IntervalTimer(IntervalTimer.Step.SECONDS, IntervalTimer.From.START_TO_START, 399);
        IntervalTimer gap = new IntervalTimer(IntervalTimer.Step.TENTHS, IntervalTimer.From.GAP, 399);
        assertEquals(9, whole.intervalSeconds(8, 0.5));
        assertEquals(8.6, gap.intervalSeconds(8, 0.55), 1e-9);
        assertEquals(8.1, gap.intervalSeconds(8, 0), 1e-9);
        assertEquals(10, whole.typed(8, 10));
        assertTrue(Double.isNaN(whole.typed(8, 10.4)));
        assertTrue(Double.isNaN(gap.typed(8, 8)), "no gap cannot be typed");
        assertEquals(2.4, gap.typed(8, 10.4), 1e-9);
        assertEquals(0.1, IntervalTimer.Step.TENTHS.seconds());
        assertEquals(1, IntervalTimer.Step.SECONDS.seconds());
    }

    @ParameterizedTest
    @CsvSource({
        "0, false, 0",
        "45, false, 45",
        "46, true, -44",
        "90, true, 0",
        "95, true, 5",
        "134, true, 44",
        "135, false, 135",
        "180, false, 180",
        "-10, false, -10",
        "-80, true, 10",
        "-90, true, 0",
        "-135, false, -135"
    })
    void uprightAndLevel(double roll, boolean upright, double shown) {
        Framing f = new Framing(Azimuth.ofDegrees(10), Altitude.ofDegrees(20), roll);
        assertEquals(upright, f.upright());
        assertEquals(shown, f.shownRollDegrees(), 1e-9);
    }

    /** Due south it is the altitude less the equator's; due north over the pole it comes down again. */
    @ParameterizedTest
    @CsvSource({
        "36, 180, 54, 0",
        "36, 180, 20, -34",
        "36, 0, 36, 90",
        "36, 0, 10, 64",
        "36, 90, 0, 0",
        "-33, 0, 57, 0",
        "90, 77, 12, 12"
    })
    void declinationOfTheMiddle(double latitude, double azimuth, double altitude, double declination) {
        Framing f = new Framing(Azimuth.ofDegrees(azimuth), Altitude.ofDegrees(altitude), 0);
        assertEquals(declination, f.declinationDegrees(latitude), 1e-6);
    }

    /** Half of 24 mm at 20 mm is 0.6: a third of it is 11.3099° under the body, and never under the horizon. */
    @ParameterizedTest
    @CsvSource({"40, 28.6901", "11.3099, 0", "5, 0"})
    void aBodyInTheUpperThird(double altitude, double aimed) {
        HorizontalPosition body = new HorizontalPosition(Altitude.ofDegrees(altitude), Azimuth.ofDegrees(123), 1);
        Framing f = Framing.levelWithBodyInUpperThird(body, rig(20));
        assertEquals(aimed, f.altitude().degrees(), 1e-4);
        assertEquals(123, f.azimuth().degrees(), 1e-9);
        assertEquals(0, f.rollDegrees());
    }
}
