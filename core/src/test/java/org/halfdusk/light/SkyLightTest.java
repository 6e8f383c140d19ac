package org.halfdusk.light;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.List;
import org.halfdusk.angle.Apparent;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Galaxy;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.exposure.Metering;
import org.halfdusk.light.sources.Daylight;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.light.sources.MilkyWay;
import org.halfdusk.light.sources.Moonlight;
import org.halfdusk.light.sources.Twilight;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The light engine against the published values of its parts, and as a whole. */
class SkyLightTest {
    private static final Observer ISLE = Observer.of(35.95, -3.05, 40);
    private static final Vector UP = new Vector(0, 0, 1);

    private static SkyLight light(double zenith) {
        Sky sky = Sky.over(ISLE, ReferenceTable.EPHEMERIS, DeltaT.model());
        return new SkyLight(sky, DarkSite.withoutTowns(SkyBrightness.of(zenith)));
    }

    private static Vector towards(double altitude, double azimuth) {
        return Vector.ofSpherical(Math.toRadians(azimuth), Math.toRadians(altitude), 1);
    }

    /** Kasten and Young 1989, as quoted to two figures. */
    @ParameterizedTest
    @CsvSource({"90,1.0,0.001", "30,1.99,0.005", "10,5.6,0.05", "5,10.3,0.05", "0,38,0.5"})
    void airmass(double altitude, double expected, double tolerance) {
        assertEquals(expected, Extinction.airmass(Apparent.ofDegrees(altitude)), tolerance);
    }

    /** Full Moon at 30°, 60° away, seen at the zenith: 1090 nL, 18.74 mag/arcsec². */
    @Test
    void moonlightOfTheWorkedValue() {
        double nanolamberts = Moonlight.nanolamberts(0, 60, Apparent.ofDegrees(30), 0, 0.172);
        assertEquals(1090, nanolamberts, 5);
        assertEquals(18.74, Magnitudes.ofNanolamberts(nanolamberts), 0.005);
    }

    /**
     * Allen's law of phases: at 60° the Moon gives 10^(−0.4 (0.026 · 60 + 4·10⁻⁹ · 60⁴)) = 0.2266 of the full one's light, at 90°
     * 10^(−0.4 (2.34 + 0.2624)) = 0.0910. A coefficient of 0.028 would give 0.2029.
     */
    @ParameterizedTest
    @CsvSource({"60,0.2266", "90,0.0910"})
    void theMoonsLightByItsPhase(double phase, double share) {
        double full = Moonlight.nanolamberts(0, 60, Apparent.ofDegrees(45), 30, 0.2);
        assertEquals(share, Moonlight.nanolamberts(phase, 60, Apparent.ofDegrees(45), 30, 0.2) / full, 0.0005);
        double ground = Moonlight.groundLux(0, Apparent.ofDegrees(45), Extinction.CLEAR);
        assertEquals(share, Moonlight.groundLux(phase, Apparent.ofDegrees(45), Extinction.CLEAR) / ground, 0.0005);
    }

    /** The paper's scattering at 20° and 5°: 10^5.36 (1.06 + cos² ρ) + 10^(6.15 − ρ/40), within 10° 6.2·10⁷/ρ². */
    @Test
    void theHaloAboutTheMoon() {
        double at20 = Math.pow(10, 5.36) * (1.06 + Math.pow(Math.cos(Math.toRadians(20)), 2)) + Math.pow(10, 5.65);
        double at5 = Math.pow(10, 5.36) * (1.06 + Math.pow(Math.cos(Math.toRadians(5)), 2)) + 6.2e7 / 25;
        assertEquals(
                at5 / at20,
                Moonlight.nanolamberts(0, 5, Apparent.ofDegrees(45), 45, 0.2)
                        / Moonlight.nanolamberts(0, 20, Apparent.ofDegrees(45), 45, 0.2),
                1e-9);
    }

    /** Clear-sky light on level ground: 700 lux at 0°, 3.4 at −6°, 0.008 at −12°, between them by their logarithms. */
    @ParameterizedTest
    @CsvSource({"0,700", "-6,3.4", "-12,0.008", "-18,0.0007", "-25,0.0007", "5,4700", "60,100000", "80,100000"})
    void daylightOnTheGround(double altitude, double lux) {
        assertEquals(lux, Daylight.lux(altitude), lux * 1e-9);
        assertEquals(Math.sqrt(700 * 3.4), Daylight.lux(-3), 1e-6);
        // N² C / (E S): f/8 at ISO 100 in 2,500 lux is 250 · 64 / 250,000 s.
        assertEquals(0.064, Metering.seconds(2500, FNumber.of(8), Iso.of(100)), 1e-12);
    }

    /** Two tenths of a magnitude an air mass: at 10° 5.6 of them, against 1.15 at 60° where rules were made: 1.18 stops. */
    @Test
    void stopsThatTheAirTakes() {
        assertEquals(0.2 * (5.59 - 1.154) / 0.7526, Extinction.CLEAR.stopsBelowHigh(Apparent.ofDegrees(10)), 0.01);
        assertEquals(0, Extinction.CLEAR.stopsBelowHigh(Apparent.ofDegrees(75)));
        assertThrows(IllegalArgumentException.class, () -> new Extinction(Double.NaN));
    }

    @Test
    void fullMoonOnTheGround() {
        // 0.31 lux above the air; 0.2 mag taken at the zenith.
        assertEquals(
                0.31 * Math.pow(10, -0.08), Moonlight.groundLux(0, Apparent.ofDegrees(90), Extinction.CLEAR), 0.005);
        assertEquals(0, Moonlight.groundLux(0, Apparent.ofDegrees(-1), Extinction.CLEAR));
    }

    /** Patat et al. 2006: 13.3 at 6°, 19.67 at 12°, with the night of their site behind it, 2.19e-9 of magnitude 0. */
    @ParameterizedTest
    @CsvSource({"-6,13.3", "-12,19.67"})
    void twilightAtTheZenith(double sun, double magnitude) {
        assertEquals(magnitude, -2.5 * Math.log10(Math.pow(10, -0.4 * Twilight.zenith(sun)) + 2.19e-9), 0.005);
    }

    /** The fit at 15° is 21.32; less the night's 21.65 in it: 2.965e-9 − 2.188e-9 = 7.77e-10, 22.77. */
    @Test
    void theNightIsNotCountedTwice() {
        assertEquals(22.77, Twilight.zenith(-15), 0.01);
        assertEquals(23.77, Twilight.zenith(-16), 0.01);
    }

    /** A moon 97 % lit: hardly anything as it rises, since its beam crosses 38 air masses; before, 1.4 mag at once. */
    @ParameterizedTest
    @CsvSource({"0,0.1", "1,0.5", "3,1.4"})
    void moonlightDoesNotSwitchOnAtMoonrise(double altitude, double most) {
        double own = Moonlight.nanolamberts(20, 60, Apparent.ofDegrees(altitude), 45, 0.2);
        double dark = 34.08 * Math.exp(20.7233 - 0.92104 * 21.6);
        double lift = 2.5 * Math.log10((dark + own) / dark);
        assertTrue(lift >= 0 && lift < most, altitude + "° lifts by " + lift);
    }

    /** Krisciunas and Schaefer's own example stays: α 0, ρ = Z = 60°, looking up, k 0.172 → 1090 nL. */
    @Test
    void aHighMoonsBeamIsThePapersOwn() {
        assertEquals(1090, Moonlight.nanolamberts(0, 60, Apparent.ofDegrees(30), 0, 0.172), 12);
    }

    @Test
    void twilightFadesWithoutJumps() {
        for (double sun = 60; sun > -25; sun -= 0.1) {
            double step = Twilight.zenith(sun - 0.1) - Twilight.zenith(sun);
            assertTrue(step >= 0 && step < 0.16, "at " + sun + " it jumps by " + step);
        }
    }

    /**
     * A clear day's zenith of 2,000 to 5,000 cd/m² under a high Sun is 4.3 to 3.3 mag/arcsec² (10.8e4 cd/m² are magnitude 0); the sky
     * at sunset lights the ground with about 700 lux, a mean of 220 cd/m², 6.7, the zenith a little under that.
     */
    @Test
    void daylightAndSunset() {
        assertEquals(3.8, Twilight.zenith(60), 0.5);
        assertEquals(7.0, Twilight.zenith(0), 0.4);
    }

    /**
     * At −6° the computed sky stands some four magnitudes over the zenith low down over the Sun's place, and opposite it is about
     * as dark as the zenith; the old term gave 2.5 at most.
     */
    @Test
    void duskIsBrightestOverTheSun() {
        Vector sun = towards(-6, 270);
        double zenith = Twilight.flux(UP, sun, -6);
        double over = 2.5 * Math.log10(Twilight.flux(towards(5, 270), sun, -6) / zenith);
        double opposite = 2.5 * Math.log10(Twilight.flux(towards(20, 90), sun, -6) / zenith);
        assertEquals(3.7, over, 0.5);
        assertEquals(0.2, opposite, 0.5);
        // North and south of the Sun the sky is the same, and there is no seam behind it.
        assertEquals(Twilight.flux(towards(10, 230), sun, -6), Twilight.flux(towards(10, 310), sun, -6), zenith * 1e-9);
        assertEquals(1, Twilight.flux(towards(10, 89.9), sun, -6) / Twilight.flux(towards(10, 90.1), sun, -6), 0.01);
    }

    /** Directions between and on the table's points, from the printed rows: −6°, 8° up and 60° aside 10.47 − 12.81; and half-way. */
    @Test
    void directionsOfTheTable() {
        Vector sun = towards(-6, 200);
        double zenith = Twilight.flux(UP, sun, -6);
        assertEquals(-2.34, -2.5 * Math.log10(Twilight.flux(towards(8, 260), sun, -6) / zenith), 0.011);
        assertEquals(-1.90, -2.5 * Math.log10(Twilight.flux(towards(16, 260), sun, -6) / zenith), 0.011);
        assertEquals(-2.12, -2.5 * Math.log10(Twilight.flux(towards(12, 260), sun, -6) / zenith), 0.011);
        // Between the rows of −6° and −9°: half of each row's difference to its zenith.
        double lower = Twilight.flux(UP, towards(-7.5, 200), -7.5);
        assertEquals(
                (-2.34 + 13.98 - 16.65) / 2,
                -2.5 * Math.log10(Twilight.flux(towards(8, 260), towards(-7.5, 200), -7.5) / lower),
                0.011);
    }

    /** Ours and the measured zenith agree within half a magnitude where both are to be had: 5° to 12° down. */
    @ParameterizedTest
    @CsvSource({"-6,12.81", "-9,16.69", "-12,19.43"})
    void theComputedZenithIsNearTheMeasured(double sun, double computed) {
        assertEquals(Twilight.zenith(sun), computed, 0.55);
    }

    @ParameterizedTest
    @CsvSource({"22,1", "21.7,2", "21.4,3", "20.5,4", "19.5,5", "18.6,6", "18.2,7", "17,8"})
    void bortleClasses(double brightness, int expected) {
        assertEquals(expected, Bortle.classOf(SkyBrightness.of(brightness)));
    }

    @Test
    void bortleGoesThereAndBackAndTheEyeSeesSixAndAHalf() {
        for (int c = 1; c <= 7; c++) {
            assertEquals(c, Bortle.classOf(Bortle.brightnessOf(c)));
        }
        assertThrows(IllegalArgumentException.class, () -> Bortle.brightnessOf(10));
        assertEquals(6.6, Bortle.faintestStar(SkyBrightness.of(22)), 0.05);
    }

    @Test
    void theMeasuredZenithComesOutWhateverTheTowns() {
        Instant dark = Instant.parse("2027-06-05T00:30:00Z");
        for (double zenith : new double[] {19.6, 20.5, 21.4, 21.9}) {
            assertEquals(zenith, light(zenith).at(dark).towards(UP).dark().magnitude(), 0.01);
        }
        SkyLight withTowns = new SkyLight(
                Sky.over(ISLE, ReferenceTable.EPHEMERIS, DeltaT.model()), DarkSite.of(ISLE, SkyBrightness.of(20.5)));
        assertEquals(20.5, withTowns.at(dark).zenith().dark().magnitude(), 0.02);
    }

    @Test
    void darkNightDuskAndMoonTogether() {
        Instant dark = Instant.parse("2027-06-05T00:30:00Z");
        assertEquals(21.4, light(21.4).at(dark).zenith().magnitude(), 0.02);
        Instant dusk = Instant.parse("2027-06-04T20:00:00Z"); // sun 6.5° down
        assertEquals(14, light(21.4).at(dusk).zenith().magnitude(), 0.8);
        Instant fullMoon = Instant.parse("2027-06-19T00:00:00Z");
        SkyLight.Brightness moonlit = light(21.4).at(fullMoon).zenith();
        assertTrue(moonlit.magnitude() > 17.5 && moonlit.magnitude() < 19, "moonlit " + moonlit.magnitude());
        assertTrue(moonlit.moonLift() > 2);
        assertEquals(0, light(21.4).at(dark).zenith().moonLift(), 1e-9);
    }

    /** On a moonless night the sky is nearly at its darkest once the Sun is some 16° down; by a full Moon never. */
    @Test
    void windowsByLight() {
        Instant noon = Instant.parse("2027-06-04T12:00:00Z");
        SkyLight isle = light(21.4);
        var dark = LightWindows.zenithDarkerThan(
                isle, SkyBrightness.of(21.2), Interval.of(noon, noon.plusSeconds(86_400)));
        assertEquals(1, dark.size());
        Sky sky = Sky.over(ISLE, ReferenceTable.EPHEMERIS, DeltaT.model());
        double sunThen = sky.at(Body.SUN, dark.get(0).start()).altitude().degrees();
        assertTrue(sunThen < -15 && sunThen > -18.5, "sun at " + sunThen);
        Instant fullMoonNoon = Instant.parse("2027-06-18T12:00:00Z");
        Interval moonlit = Interval.of(fullMoonNoon, fullMoonNoon.plusSeconds(86_400));
        assertEquals(List.of(), LightWindows.zenithDarkerThan(isle, SkyBrightness.of(21.2), moonlit));
        var core = LightWindows.darkerThan(
                isle, Body.GALACTIC_CENTRE, SkyBrightness.of(20), Interval.of(noon, noon.plusSeconds(86_400)));
        assertTrue(Interval.hours(core) > 5);
    }

    /**
     * The natural sky towards the horizon: van Rhijn for a layer at 90 km gives 1/√(1 − (6371 sin 80°/6461)²) = 4.19 at 10°; three
     * fifths of it airglow 2.914 of the zenith's light; the longer way, (1 − 0.96 sin² 80°)^−½ = 3.812, takes
     * 10^(−0.4 · 0.2 · 2.812 · 0.75) = 0.678: 1.976, 0.74 mag brighter. At the horizon 5.98 → 3.99 × 0.575: 2.29.
     */
    @ParameterizedTest
    @CsvSource({"90,1", "10,1.976", "0,2.29"})
    void theNaturalSkyBrightensTowardsTheHorizon(double altitude, double ratio) {
        DarkSite site = DarkSite.withoutTowns(SkyBrightness.of(21.9));
        assertEquals(ratio, site.naturalFlux(altitude) / site.naturalFlux(90), 0.02);
    }

    /**
     * The eclipse of 2 August 2027 over the isle, total from 10:48:10 to 10:53 by the local clock: in its middle the zenith has
     * lost ten magnitudes, planets come out, the sky low down stays bright all round; half an hour later half the disc shines.
     */
    @Test
    void theSkyOfTotality() {
        SkyLight light = light(21.4);
        SkyLight.At before = light.at(Instant.parse("2027-08-02T06:30:00Z"));
        assertEquals(1, before.sunShare());
        SkyLight.At totality = light.at(Instant.parse("2027-08-02T08:50:30Z"));
        assertEquals(1e-4, totality.sunShare(), 1e-9);
        double zenith = totality.zenith().magnitude();
        assertTrue(zenith > 13 && zenith < 15.5, "zenith of totality " + zenith);
        double low = totality.towards(towards(2, 200)).magnitude();
        assertTrue(low < zenith - 3, "low down " + low);
        assertEquals(-11, totality.lightAltitude(), 1e-9);
        assertTrue(Bortle.faintestStar(SkyBrightness.of(zenith)) > -4, "bright planets are seen");
        SkyLight.At half = light.at(Instant.parse("2027-08-02T08:13:00Z"));
        assertTrue(half.sunShare() > 0.3 && half.sunShare() < 0.7, "half-way in " + half.sunShare());
        assertTrue(half.lightAltitude() > 20, "half a Sun is day");
    }

    /** Moment by moment into totality light only falls, and never by a leap that a photographer would not see coming. */
    @Test
    void lightFallsIntoTotality() {
        SkyLight light = light(21.4);
        Instant start = Instant.parse("2027-08-02T08:30:00Z");
        double last = 2;
        for (int s = 0; s <= 1200; s += 20) {
            double share = light.at(start.plusSeconds(s)).sunShare();
            assertTrue(share <= last + 1e-9, "at " + s);
            last = share;
        }
        assertEquals(1e-4, last, 1e-9);
    }

    @Test
    void everyDirectionIsANumber() {
        Instant moment = Instant.parse("2027-06-15T21:00:00Z");
        for (double altitude = -5; altitude <= 90; altitude += 5) {
            for (double azimuth = 0; azimuth < 360; azimuth += 30) {
                double m =
                        light(21).at(moment).towards(towards(altitude, azimuth)).magnitude();
                assertTrue(m > 3 && m < 22.5, "at " + altitude + ", " + azimuth + ": " + m);
            }
        }
    }

    /** Parts of a brightness: towns' share is theirs of all, the dark is nature and towns, the moon's lift what it adds. */
    @Test
    void partsOfABrightness() {
        SkyLight.Brightness b = new SkyLight.Brightness(2, 3, 1, 6, 4);
        assertEquals(3 / 16.0, b.townShare(), 1e-12);
        assertEquals(SkyBrightness.ofFlux(16).magnitude(), b.magnitude(), 1e-12);
        assertEquals(SkyBrightness.ofFlux(5), b.dark());
        assertEquals(2.5 * Math.log10(16 / 10.0), b.moonLift(), 1e-12);
        assertEquals(new SkyLight.Brightness(2, 3, 1, 0, 4), b.withoutMoon());
    }

    /**
     * Towards the band a frame gets its light over the pole's, dimmed by the air: the Scutum cloud at 27°, −3° stands in the south of the isle
     * on 15 July at 22:30 UT. Towards the pole of the galaxy nothing is added.
     */
    @Test
    void aFrameGetsTheBandsLight() {
        SkyLight light = light(21.9);
        Instant at = Instant.parse("2027-07-15T22:30:00Z");
        Sky sky = Sky.over(ISLE, ReferenceTable.EPHEMERIS, DeltaT.model());
        Vector scutum = sky.stars(
                        List.of(Star.fixed(Galaxy.fromEquatorJ2000()
                                .inverse()
                                .apply(Vector.ofSpherical(Math.toRadians(27), Math.toRadians(-3), 1)))),
                        at)
                .get(0);
        SkyLight.Brightness framed = light.at(at).framed(scutum);
        double over = MilkyWay.instance().brightness(27, -3).flux()
                - MilkyWay.instance().brightness(0, 90).flux();
        double altitude = Math.toDegrees(scutum.latitudeRad());
        double air = light.site().extinction().magnitudes(Apparent.ofDegrees(altitude));
        assertTrue(altitude > 30, "altitude " + altitude);
        assertEquals(over * Math.pow(10, -0.4 * air), framed.band(), 0.02 * framed.band());
        assertEquals(light.at(at).towards(scutum).towns(), framed.towns());
        Vector pole = sky.stars(
                        List.of(Star.fixed(Galaxy.fromEquatorJ2000().inverse().apply(new Vector(0, 0, 1)))), at)
                .get(0);
        assertEquals(0, light.at(at).framed(pole).band(), 1e-12);
    }

    /** In the middle of the eclipse of 20 December 2029 the moon has a ten-thousandth of its light left, for sky and ground alike. */
    @Test
    void anEclipsedMoonLightsNothing() {
        SkyLight light = light(21.4);
        SkyLight.At eclipsed = light.at(Instant.parse("2029-12-20T22:42:00Z"));
        SkyLight.At before = light.at(Instant.parse("2029-12-20T18:30:00Z"));
        assertEquals(1e-4, eclipsed.moonShare(), 1e-6);
        assertEquals(1, before.moonShare());
        assertTrue(before.moonOnGroundLux() > 0.02 && before.moonOnGroundLux() < 0.4, "" + before.moonOnGroundLux());
        assertTrue(eclipsed.moonOnGroundLux() < 1e-4);
        // Behind it there is the sky without its own light.
        Vector moon = light.direction(Body.MOON, light.moment(Moment.utDays(Instant.parse("2029-12-20T18:30:00Z"))));
        assertEquals(
                before.towards(moon).withoutMoon().total().magnitude(),
                before.behindMoon().magnitude(),
                1e-9);
        assertTrue(before.behindMoon().magnitude() > before.towards(moon).magnitude() + 2);
    }
}
