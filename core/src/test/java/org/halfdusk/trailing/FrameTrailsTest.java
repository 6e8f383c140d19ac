package org.halfdusk.trailing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.photometry.FNumber;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Trails of a frame as it is aimed: the middle third, the corners, and a mount's axis that is off the pole. */
class FrameTrailsTest {
    private static final Sensor SENSOR = new Sensor(35.9, 23.9, 7008, 4672);
    private static final Camera CAMERA = new Camera(
            "full frame 33 MP",
            SENSOR,
            Camera.Sensitivity.of(100, 25_600),
            Camera.Shutter.of(1.0 / 8000, 30, true),
            new Camera.Files(35, 12, 60, 160),
            Camera.Power.of(530, 190));
    private static final double EARTH = 7.292115e-5;
    private static final Vector POLE = Vector.ofSpherical(0, Math.toRadians(40), 1);

    private static Rig rig(double focal) {
        return Rig.of(CAMERA, new Lens("lens", focal, focal, 2, 2, 16, 4), Optional.empty(), focal);
    }

    private static Framing aim(double azimuth, double altitude, double roll) {
        return new Framing(Azimuth.ofDegrees(azimuth), Altitude.ofDegrees(altitude), roll);
    }

    /**
     * Aimed at the pole a star in the corner of the middle third stands √(35.9² + 23.9²)/6 = 7.188 mm from it and goes round it
     * at that radius: in a second 7.188 mm × 7.292e-5 = 0.5241 µm, 0.1023 px of 5.123 µm; 2.6 px take 25.4 s. The rules of the
     * centre's declination gave an hour, with 1,102 px in the corner.
     */
    @Test
    void aimedAtThePoleTheMiddleThirdDecides() {
        FrameTrails pole = FrameTrails.of(aim(0, 40, 0), rig(18), POLE);
        assertEquals(0.1023, pole.middlePx(1), 0.0003);
        assertEquals(25.4, pole.seconds(2.6), 0.2);
        assertEquals(3 * pole.middlePx(10), pole.worstPx(10), 0.01, "corners are three times as far out");
        assertEquals(90 - Math.toDegrees(Math.atan(7.188 / 18)), pole.fastestDeclinationDegrees(), 0.01);
        School.Setup setup = School.Setup.of(rig(18), pole, FNumber.of(2), 2.6);
        assertTrue(School.NPF_1.seconds(setup) < 40, "aperture and pixel asks the same star");
    }

    /** On the equator, in the middle, 18 mm: 18 × 7.292e-5 mm/s over 5.123 µm = 0.2562 px/s; a third out hardly more. */
    @Test
    void onTheEquatorTheMiddleThirdIsTheMiddle() {
        FrameTrails equator = FrameTrails.of(aim(180, 50, 0), rig(18), POLE);
        assertTrue(equator.middlePx(1) >= 18 * EARTH / 0.005123 && equator.middlePx(1) < 0.2562 * 1.12);
        assertEquals(1, equator.speed(), 1e-6);
    }

    /**
     * An axis 10′ off the pole drifts by 15.041″/s × sin 10′ = 0.04375″/s, at every declination: with 400 mm on 5.123 µm
     * (2.6417″/px) 240 s give 3.975 px. Multiplied by cos δ it would be 0.69 px at 80°.
     */
    @ParameterizedTest
    @CsvSource({"180,50", "180,20", "0,60", "0,40"})
    void theDriftOfAMountIsTheSameAtAllDeclinations(double azimuth, double altitude) {
        FrameTrails drifting =
                FrameTrails.of(aim(azimuth, altitude, 0), rig(400), POLE, Mount.SIDEREAL, 10, PeriodicError.NONE);
        assertEquals(3.975, drifting.middlePx(240), 0.03);
        assertEquals(
                0,
                FrameTrails.of(aim(azimuth, altitude, 0), rig(400), POLE, Mount.SIDEREAL, 0, PeriodicError.NONE)
                        .middlePx(240));
    }

    /** The drift stands across the daily motion: on a mount of half the rate both add as the sides of a right angle. */
    @Test
    void theDriftStandsAcrossTheDailyMotion() {
        double half = FrameTrails.of(aim(180, 50, 0), rig(400), POLE, Mount.HALF, 0, PeriodicError.NONE)
                .middlePx(1);
        double both = FrameTrails.of(aim(180, 50, 0), rig(400), POLE, Mount.HALF, 600, PeriodicError.NONE)
                .middlePx(1);
        double drift = 400 * EARTH * Math.sin(Math.toRadians(10)) / 0.005123;
        assertEquals(Math.hypot(half, drift), both, 0.01 * both);
    }

    /**
     * A worm that sways 60″ in 600 s moves a star by 60″ × sin(π 60/600) = 18.541″ in its worst minute, 7.019 px of 2.6417″ on the
     * equator, by cos δ of that elsewhere, and never by more than 60″; 2.6 px are reached after 600/π × asin(2.6 × 2.6417/60) = 21.9 s.
     */
    @Test
    void aWormSwaysInRightAscension() {
        PeriodicError worm = new PeriodicError(60, 600);
        FrameTrails equator = FrameTrails.of(aim(180, 50, 0), rig(400), POLE, Mount.SIDEREAL, 0, worm);
        assertEquals(7.019, equator.middlePx(60), 0.03);
        assertEquals(60 / 2.6417, equator.middlePx(900), 0.05);
        assertEquals(21.9, equator.seconds(2.6), 0.2);
        FrameTrails high = FrameTrails.of(aim(0, 70, 0), rig(400), POLE, Mount.SIDEREAL, 0, worm);
        assertEquals(
                7.019 * Math.cos(Math.toRadians(59.43)), high.middlePx(60), 0.02, "the lower edge of the middle third");
        assertEquals(
                FrameTrails.of(aim(180, 50, 0), rig(400), POLE).middlePx(1),
                FrameTrails.of(aim(180, 50, 0), rig(400), POLE, Mount.TRIPOD, 0, worm)
                        .middlePx(1),
                "a tripod has no worm");
    }

    @Property
    void theBudgetHoldsWhereverOneAims(
            @ForAll @DoubleRange(min = 0, max = 359) double azimuth,
            @ForAll @DoubleRange(min = -5, max = 85) double altitude,
            @ForAll @DoubleRange(min = -90, max = 90) double roll,
            @ForAll @DoubleRange(min = 12, max = 200) double focal) {
        FrameTrails trails = FrameTrails.of(aim(azimuth, altitude, roll), rig(focal), POLE);
        double seconds = trails.seconds(2.6);
        assertEquals(2.6, trails.middlePx(seconds), 0.01);
        assertTrue(trails.worstPx(seconds) >= 2.59, "no corner is better than the fastest of the middle");
    }

    /** On a turning mount the ground goes as the stars go from a tripod; at half the rate both go half. */
    @Test
    void theGroundGoesWithTheMount() {
        Framing south = aim(180, 50, 0);
        FrameTrails stars = FrameTrails.of(south, rig(18), POLE);
        assertEquals(
                stars.middlePx(60),
                FrameTrails.ofGround(south, rig(18), POLE, Mount.SIDEREAL).middlePx(60),
                1e-9);
        FrameTrails half = FrameTrails.ofGround(south, rig(18), POLE, Mount.HALF);
        assertEquals(stars.middlePx(60) / 2, half.middlePx(60), 0.01);
        assertEquals(0, FrameTrails.ofGround(south, rig(18), POLE, Mount.TRIPOD).worstPx(60));
    }

    /** A mount without an error lets the stars stand for as long as a rule is meant for. */
    @Test
    void aPerfectMount() {
        FrameTrails still = FrameTrails.of(aim(180, 50, 0), rig(200), POLE, Mount.SIDEREAL, 0, PeriodicError.NONE);
        assertEquals(School.LONGEST_SECONDS, still.seconds(2.6));
        assertEquals(0, still.fastestDeclinationDegrees());
        assertEquals(0, still.worstPx(3600));
        FrameTrails half = FrameTrails.of(aim(180, 50, 0), rig(18), POLE, Mount.HALF, 0, PeriodicError.NONE);
        assertEquals(
                FrameTrails.of(aim(180, 50, 0), rig(18), POLE).fastestDeclinationDegrees(),
                half.fastestDeclinationDegrees(),
                1e-6);
        assertEquals(2 * FrameTrails.of(aim(180, 50, 0), rig(18), POLE).seconds(2.6), half.seconds(2.6), 0.01);
    }

    /** A budget of a thousand pixels is met to a millionth though the trail is curved by then. */
    @Test
    void longTrailsMeetTheirBudgetToo() {
        FrameTrails trails = FrameTrails.of(aim(90, 40, 0), rig(35), POLE);
        assertEquals(50, trails.middlePx(trails.seconds(50)), 0.01);
        assertEquals(
                School.LONGEST_SECONDS,
                FrameTrails.of(aim(0, 40, 0), rig(14), POLE).seconds(500));
    }

    /** Rolled by a quarter turn, columns and rows of the map change places. */
    @Test
    void theMapTurnsWithTheFrame() {
        TrailMap level = FrameTrails.of(aim(180, 0, 0), rig(18), POLE).map(10, 3, 3);
        TrailMap upright = FrameTrails.of(aim(180, 0, 90), rig(18), POLE).map(10, 3, 3);
        assertEquals(level.px()[1][1], upright.px()[1][1], 1e-6);
        // Upright, what is the sensor's right side looks up; level, its left looks east.
        assertEquals(level.px()[1][0], level.px()[1][2], 1e-6, "east and west of the meridian alike");
        assertEquals(upright.px()[0][1], upright.px()[2][1], 1e-6);
        assertTrue(Math.abs(upright.px()[1][0] - upright.px()[1][2]) > 0.1, "high and low differ");
    }

    @Test
    void aMapFindsItsWorst() {
        TrailMap map = TrailMap.of(new double[][] {{1, 2, 3}, {4, 9, 5}, {9, 2, 1}});
        assertEquals(1, map.worstRow());
        assertEquals(1, map.worstColumn());
        assertEquals(9, map.worst());
        assertEquals(4, map.mean(), 1e-12);
        assertEquals(5 / 9.0, map.within(3), 1e-12);
        assertEquals(2, TrailMap.of(new double[][] {{0, 1, 2}}).worstColumn());
    }
}
