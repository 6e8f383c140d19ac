package org.halfdusk.exposure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.exposure.lamps.PointLight;
import org.halfdusk.exposure.noise.Noise;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Imaging;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.trailing.FrameTrails;
import org.halfdusk.trailing.Mount;
import org.halfdusk.trailing.Tolerance;
import org.halfdusk.trailing.TrailMap;
import org.halfdusk.trailing.Trailing;
import org.junit.jupiter.api.Test;

/** Mounts, tolerances, noise, film, the triangle and ladders against worked values and their own identities. */
class LightAndLimitsTest {
    private static final Sensor SENSOR = new Sensor(35.9, 23.9, 7008, 4672);
    private static final Camera CAMERA = new Camera(
            "full frame 33 MP",
            SENSOR,
            Camera.Sensitivity.of(100, 25_600),
            Camera.Shutter.of(1 / 8000.0, 30, true),
            new Camera.Files(34, 11, 90, 160),
            Camera.Power.of(530, 190));
    private static final Rig RIG = Rig.of(CAMERA, new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8), Optional.empty(), 18);

    /** f/11, 1/100 s, ISO 100 is EV 13.56. */
    @Test
    void exposureValueOfTheRule() {
        assertEquals(13.56, Stops.exposureValue(FNumber.of(11), 0.01, Iso.of(100)), 0.005);
    }

    /** 18 mm on full frame loses 2.6 stops in the corner by cos⁴. */
    @Test
    void vignetting() {
        assertEquals(2.6, Vignetting.stops(Math.toRadians(RIG.cornerDegrees()), Imaging.RECTILINEAR), 0.05);
        assertEquals(0, Vignetting.stops(0, Imaging.RECTILINEAR), 0);
        // At the rim of a fisheye's 180°: cos 45°, half a stop; cos⁴ gave fourteen.
        assertEquals(0.5, Vignetting.stops(Math.PI / 2, Imaging.EQUISOLID), 1e-9);
    }

    @Test
    void mountsAndTheirRates() {
        assertEquals(1, Mount.TRIPOD.skyShare());
        assertEquals(0, Mount.SIDEREAL.skyShare());
        assertEquals(0.549, Mount.LUNAR.skyShare() * Mount.SIDEREAL_ARCSEC, 0.001);
        assertEquals(Mount.HALF.skyShare(), Mount.HALF.groundShare(), 1e-12);
    }

    @Test
    void aMountLetsTheStarsStand() {
        Trailing still = Trailing.of(RIG, 0);
        assertEquals(0, still.withShare(0).middlePx(240), 1e-9);
        assertEquals(still.middlePx(60) / 2, still.withShare(0.5).middlePx(60), 0.01);
    }

    /** A screen of 2048 px shows 7008 px at 29 %: 2.6 px become 8.9; a print of 60 cm at 80 cm resolves 0.23 mm. */
    @Test
    void tolerances() {
        assertEquals(2.6, new Tolerance.At100().budgetPx(SENSOR), 1e-9);
        assertEquals(2.6 * 7008 / 2048, new Tolerance.OnScreen(2048).budgetPx(SENSOR), 1e-9);
        double smallest = 80 * Math.tan(Math.toRadians(1 / 60.0)) * 7008 / 60;
        assertEquals(2.6 * smallest, new Tolerance.OnPrint(60, 80).budgetPx(SENSOR), 1e-9);
        assertEquals(2.6, new Tolerance.OnPrint(900, 20).budgetPx(SENSOR), 1e-9, "never stricter than at 100 %");
        assertThrows(IllegalArgumentException.class, () -> new Tolerance.OnPrint(Double.NaN, 80));
    }

    /** On the equator facing south, level: the middle moves by f ω t, the corners more, and the map is its own mirror. */
    @Test
    void theMapOfTrails() {
        Framing south = new Framing(Azimuth.ofDegrees(180), Altitude.ofDegrees(60), 0);
        Vector pole = new HorizontalPosition(Altitude.ofDegrees(30), Azimuth.ofDegrees(0), 1).direction();
        FrameTrails trails = FrameTrails.of(south, RIG, pole);
        TrailMap map = trails.map(10, 9, 7);
        assertEquals(map.worst(), trails.worstPx(10), 1e-12);
        assertEquals(new Trailing(18, SENSOR.pixelPitchMicrometres(), 0).middlePx(10), map.px()[3][4], 0.01);
        for (int row = 0; row < 7; row++) {
            assertEquals(map.px()[row][0], map.px()[row][8], 1e-6);
        }
        assertTrue(map.worst() > map.px()[3][4] && map.mean() > map.px()[3][4]);
        double allRolls = Trailing.of(RIG, 0).cornerPx(SENSOR.diagonalMm(), 10);
        assertTrue(map.worst() <= allRolls * 1.001, "no frame is worse than the worst over all rolls");
        assertEquals(1, map.within(1000));
    }

    @Test
    void theLongerTheTrailTheFewerStarsClip() {
        double still = PointLight.clippingMagnitude(18, FNumber.of(2), 5.12, 10, Iso.of(1600), 0);
        assertTrue(PointLight.clippingMagnitude(18, FNumber.of(2), 5.12, 10, Iso.of(1600), 6) < still);
        assertEquals(1, PointLight.histogramPosition(still, still), 1e-12);
        // Five magnitudes fainter is a hundredth of the light: 12 % across at gamma 2.2.
        assertEquals(Math.pow(0.01, 1 / 2.2), PointLight.histogramPosition(still + 5, still), 1e-12);
        // A stop more of ISO clips stars 0.75 mag fainter.
        assertEquals(
                still + 2.5 * Math.log10(2),
                PointLight.clippingMagnitude(18, FNumber.of(2), 5.12, 10, Iso.of(3200), 0),
                1e-9);
    }

    @Property
    void noiseFallsAsTheRootOfTheFrames(
            @ForAll @IntRange(min = 1, max = 400) int frames, @ForAll @DoubleRange(min = 0.01, max = 1) double light) {
        Noise n = new Noise(5.12, 10, Iso.of(1600));
        assertEquals(n.ratio(light, 10) * Math.sqrt(frames), n.ratio(light, 10, frames), 1e-9);
        assertTrue(n.ratio(light, 10) < Math.sqrt(n.electrons(light)), "shot noise is the floor");
    }

    /** 0.1 e⁻/s at 20 °C, doubling every 6 °C. */
    @Test
    void darkCurrent() {
        assertEquals(0.1, new Noise(5, 20, Iso.of(1600)).darkPerSecond(), 1e-12);
        assertEquals(0.2, new Noise(5, 26, Iso.of(1600)).darkPerSecond(), 1e-12);
    }

    @Property
    void reciprocityTurnsBackAndNeverShortens(
            @ForAll @DoubleRange(min = 0.01, max = 3600) double t, @ForAll @DoubleRange(min = 1, max = 1.6) double p) {
        double exposed = Reciprocity.exposed(t, p);
        assertTrue(exposed >= t * (1 - 1e-12));
        assertEquals(t, Reciprocity.metered(exposed, p), t * 1e-9);
    }

    /** Whatever is solved, the light is met to a third of a stop, or the kit's limit is said. */
    @Property
    void theTriangleMeetsTheLightOrSaysTheLimit(
            @ForAll @IntRange(min = 0, max = 40) int mark, @ForAll @DoubleRange(min = 2, max = 16) double n) {
        ShutterTime time = ShutterTime.dial().get(mark);
        Triangle t = Triangle.of(RIG, 10, FNumber.of(2), Iso.of(1600));
        for (Triangle.Answer a : List.of(
                t.iso(time, FNumber.of(n)), t.time(FNumber.of(n), Iso.of(400)), t.aperture(time, Iso.of(6400)))) {
            double light =
                    a.time().realSeconds() * a.iso().value() / a.fNumber().squared();
            assertEquals(a.stopsOff(), Stops.between(light, t.light()), 1e-9);
            assertEquals(a.limit(), Math.abs(a.stopsOff()) > 0.34);
        }
        assertFalse(t.iso(ShutterTime.nearest(10, ShutterTime.dial()), FNumber.of(2))
                .limit());
    }

    @Property
    void ladderIsEvenAndAscends(
            @ForAll @IntRange(min = 2, max = 9) int count, @ForAll @IntRange(min = 1, max = 6) int thirds) {
        ShutterTime middle = ShutterTime.nearest(1 / 60.0, ShutterTime.dial());
        List<ShutterTime> times = new Ladder(count, thirds).times(middle, ShutterTime.dial());
        for (int i = 1; i < times.size(); i++) {
            double step =
                    Stops.between(times.get(i).realSeconds(), times.get(i - 1).realSeconds());
            assertTrue(step > 0 && step < thirds / 3.0 + 0.4, "step of " + step);
        }
        assertTrue(times.size() <= count);
    }

    /** Full moonlight of 0.25 lux on grass is a patch of 17.4 mag/arcsec². */
    @Test
    void groundByMoonlight() {
        Ground g = new Ground(0.25, 0.15);
        assertEquals(0.25 * 0.15 / Math.PI, g.luminance(), 1e-12);
        assertEquals(-2.5 * Math.log10(0.0119366 / 10.8e4), g.brightness().magnitude(), 1e-4);
        double t = g.seconds(Ground.TARGET, FNumber.of(2), Iso.of(800));
        assertEquals(Ground.TARGET, g.comesOut(FNumber.of(2), t, Iso.of(800)).histogramPosition(), 1e-9);
    }

    /** Read noise at ISO 100: √(1.5² + 3²) = 3.354 e⁻; at ISO 3200 √(1.5² + 0.09375²) = 1.503: high ISO is the cleaner one. */
    @Test
    void aLowIsoReadsNoisier() {
        double dim = 0.0002;
        double electrons = new Noise(5, -40, Iso.of(100)).electrons(dim);
        assertEquals(electrons / Math.sqrt(electrons + 11.25), new Noise(5, -60, Iso.of(100)).ratio(dim, 0.001), 1e-3);
        assertEquals(
                electrons / Math.sqrt(electrons + 2.2588), new Noise(5, -60, Iso.of(3200)).ratio(dim, 0.001), 1e-3);
        assertEquals(2000 * 25 * dim, electrons, 1e-9);
    }

    /** Magnitude 0 is 2.54·10⁻⁶ lux; through 75 % on a pupil of 9 mm (63.6 mm²) it is 1.212·10⁻¹⁰ lm: computed by hand. */
    @Test
    void theFaintestStarThatClips() {
        double onPixel = 2.54e-6 * 0.75 * Math.PI / 4 * 0.009 * 0.009 * 0.2203 * 10 / Math.pow(5.12e-6, 2);
        double expected = 2.5 * Math.log10(onPixel / (78.0 / 1600));
        assertEquals(expected, PointLight.clippingMagnitude(18, FNumber.of(2), 5.12, 10, Iso.of(1600), 0), 0.001);
    }

    /**
     * The camera's own picture: 10/ISO lux·s are 118 of 255; four times as much, linear 0.7248, is sRGB 0.868; a fiftieth, 0.003624,
     * is 0.0465.
     */
    @Test
    void theCamerasOwnPicture() {
        double grey = 0.65 * 10.8e4 * Math.pow(10, -0.4 * 20);
        double seconds = 10.0 / 100 * 4 / grey;
        assertEquals(
                118 / 255.0,
                new SkyExposure(SkyBrightness.of(20), FNumber.of(2), seconds, Iso.of(100)).picturePosition(),
                0.001);
        assertEquals(
                0.868,
                new SkyExposure(SkyBrightness.of(20), FNumber.of(2), 4 * seconds, Iso.of(100)).picturePosition(),
                0.001);
        assertEquals(
                0.0465,
                new SkyExposure(SkyBrightness.of(20), FNumber.of(2), seconds / 50, Iso.of(100)).picturePosition(),
                0.001);
        assertEquals(
                1,
                new SkyExposure(SkyBrightness.of(20), FNumber.of(2), 8 * seconds, Iso.of(100)).picturePosition(),
                1e-9);
    }

    /** A dial that ends at 1 s: with bulb a timer gives the seconds between; before it leapt from 1 s to 35 s. */
    @Test
    void bulbFillsTheGapUnderTheTimer() {
        List<Double> times = ShutterTime.available(1 / 1000.0, 1, true).stream()
                .map(ShutterTime::nominalSeconds)
                .filter(t -> t >= 1 && t <= 35)
                .toList();
        assertEquals(List.of(35.0, 30.0, 25.0, 20.0, 15.0, 13.0, 10.0, 8.0, 6.0, 5.0, 4.0, 3.0, 2.0, 1.0), times);
        assertEquals(
                ShutterTime.available(1 / 1000.0, 30, true),
                ShutterTime.available(1 / 1000.0, 30, true).stream().distinct().toList());
    }
}
