package org.halfdusk.shoot.setting.wished;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.setting.ApertureReason;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.ShutterReason;
import org.halfdusk.trailing.Mount;
import org.junit.jupiter.api.Test;

/** What holds an exposure back and what two fixed values leave of the third. */
class ExposureLimitsTest {
    private static final Rig RIG = Isle.rig(new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8), 18);

    /** Level to the south from 35.95° N: the celestial equator stands 54.05° up, −29° at 25.05°. */
    private static final Framing SOUTH = new Framing(Azimuth.ofDegrees(180), Altitude.ofDegrees(25.05), 0);

    private static final Vector POLE = Vector.ofSpherical(0, Math.toRadians(35.95), 1);

    private static ExposurePlan plan(Wishes w) {
        return plan(RIG, w);
    }

    private static ExposurePlan plan(Rig rig, Wishes w) {
        return ExposurePlan.of(rig, SOUTH, POLE, SkyBrightness.of(21.4), w);
    }

    private static Wishes pinned(OptionalDouble s, Optional<FNumber> n, Optional<Iso> iso) {
        return new Wishes(2.6, IsoSchool.PROTECT_COLOURS, s, n, iso);
    }

    @Test
    void aPersonHoldsTheTimeToThreeSeconds() {
        ExposurePlan p = plan(Wishes.DEFAULT.with(new ExposureLimits(Mount.TRIPOD, 0, PeriodicError.NONE, true, 0)));
        assertTrue(p.shutter().realSeconds() <= 3.03);
        assertInstanceOf(ShutterReason.PersonStands.class, p.shutterReason());
    }

    @Test
    void aMountTakesTheStarsLimitAway() {
        ExposurePlan p = plan(Wishes.DEFAULT.with(new ExposureLimits(Mount.SIDEREAL, 0, PeriodicError.NONE, false, 0)));
        assertEquals(240, p.shutter().realSeconds());
        assertInstanceOf(ShutterReason.Tracked.class, p.shutterReason());
        assertEquals(0, p.middlePx(), 1e-6);
        ExposurePlan half = plan(Wishes.DEFAULT.with(new ExposureLimits(Mount.HALF, 0, PeriodicError.NONE, false, 0)));
        ExposurePlan still = plan(Wishes.DEFAULT);
        assertTrue(half.shutter().realSeconds() > 1.5 * still.shutter().realSeconds());
    }

    /** Density 0.9 takes three stops: the ISO goes up by as many. */
    @Test
    void aFilterIsPaidInIso() {
        ExposurePlan p = plan(Wishes.DEFAULT.with(new ExposureLimits(Mount.TRIPOD, 0, PeriodicError.NONE, false, 0.9)));
        assertEquals(3, p.iso().stopsOver(plan(Wishes.DEFAULT).iso()), 0.34);
    }

    /** Film of exponent 1.3 needs more than it meters: the same time and aperture leave it darker than a sensor. */
    @Test
    void filmLosesSpeedInTheDark() {
        Camera sensor = Isle.camera(true);
        Camera film = new Camera(
                sensor.name(),
                sensor.sensor(),
                new Camera.Sensitivity(400, 400, OptionalDouble.of(1.3), ReadNoise.STEADY),
                new Camera.Shutter(
                        sensor.shutter().shortestSeconds(),
                        sensor.shutter().longestTimedSeconds(),
                        true,
                        false,
                        0,
                        IntervalTimer.USUAL),
                new Camera.Files(0, 0, 36, 160),
                new Camera.Power(530, 190, 0.01, 0.01));
        Rig rig = Rig.of(film, RIG.lens(), Optional.empty(), 18);
        ExposurePlan p = plan(rig, Wishes.DEFAULT);
        double real = p.shutter().realSeconds();
        assertEquals(Math.pow(real, 1 / 1.3), p.sky().seconds(), 1e-9);
    }

    /** A sky of 12 mag/arcsec² in dusk: 9 s at ISO 100 would come out four stops over; the time gives way, and it stands on target. */
    @Test
    void aBrightSkyShortensTheTime() {
        ExposurePlan dusk = ExposurePlan.of(RIG, SOUTH, POLE, SkyBrightness.of(12), Wishes.DEFAULT);
        assertInstanceOf(ShutterReason.BrightSky.class, dusk.shutterReason());
        assertEquals(Iso.HUNDRED, dusk.iso());
        assertEquals(0, dusk.stopsOverTarget(), 0.2);
        ExposurePlan fixed = ExposurePlan.of(
                RIG,
                SOUTH,
                POLE,
                SkyBrightness.of(12),
                pinned(OptionalDouble.empty(), Optional.empty(), Optional.of(Iso.of(400))));
        assertInstanceOf(ShutterReason.RoundedDown.class, fixed.shutterReason(), "with a fixed ISO the stars decide");
    }

    /** The kit allows f/64 and a converter of 4×, so no rule of the exposure refuses the f/256 that these make. */
    @Test
    void theNarrowestKitIsPlanned() {
        Lens narrow = new Lens("50 mm f/64", 50, 50, 64, 64, 128, 64);
        Rig rig = new Rig(Isle.camera(true), narrow, Optional.of(new Converter("4×", 4)), 50);
        ExposurePlan p = plan(rig, Wishes.DEFAULT);
        assertEquals(256, p.aperture().value());
        assertTrue(p.middlePx() <= 2.6 * 1.02, p.middlePx() + " px");
    }

    @Test
    void twoAreHeldTheThirdFollows() {
        ExposurePlan free = plan(Wishes.DEFAULT);
        ExposurePlan aperture = plan(pinned(
                OptionalDouble.of(10), Optional.empty(), Optional.of(free.iso().times(4))));
        assertInstanceOf(ApertureReason.FromLight.class, aperture.apertureReason());
        assertEquals(4, aperture.aperture().value(), 0.6);
        ExposurePlan time = plan(pinned(
                OptionalDouble.empty(),
                Optional.of(FNumber.of(2)),
                Optional.of(free.iso().times(4))));
        assertInstanceOf(ShutterReason.FromLight.class, time.shutterReason());
        assertEquals(0, time.stopsOverTarget(), 0.34);
    }

    @Test
    void choicesHaveOneForm() {
        assertEquals("PRINT 60 80", RigChoices.TOLERANCE.codec().normal(" PRINT 60,0 80"));
        assertEquals("5 3", RigChoices.BRACKET.codec().normal("5 3"));
        assertEquals("", RigChoices.MOUNT.codec().normal("TRIPOD"));
        assertThrows(
                IllegalArgumentException.class,
                () -> RigChoices.TOLERANCE.codec().normal("PRINT 60"));
        assertThrows(
                IllegalArgumentException.class, () -> RigChoices.BRACKET.codec().normal("99 3"));
        assertThrows(
                IllegalArgumentException.class, () -> RigChoices.MOUNT.codec().normal("BALLOON"));
    }

    /** One change at a time, each in the direction that helps. */
    @Test
    void eachSymptomHasItsRemedy() {
        ExposurePlan e = plan(Wishes.DEFAULT);
        Setting s = new Setting(e.shutter(), e.aperture(), e.iso(), 3900);
        assertEquals(1, Symptom.LEFT_EDGE.remedy(RIG, s, e.trails()).stops(), 0.1);
        assertEquals(-1, Symptom.CLIPPED.remedy(RIG, s, e.trails()).stops(), 0.1);
        assertTrue(Symptom.DASHES.remedy(RIG, s, e.trails()).trailPx() < e.middlePx());
        assertEquals(
                "2.8",
                Symptom.WINGS.remedy(RIG, s, e.trails()).change().orElseThrow().text());
        assertTrue(Symptom.SOFT.remedy(RIG, s, e.trails()).change().isEmpty());
    }

    /** Sparks are dimmed by aperture, never by time; discs by time, never by aperture. Each changes one thing, by a stop. */
    @Test
    void remediesOfSparksAndDiscs() {
        ExposurePlan e = plan(Wishes.DEFAULT);
        Setting s = new Setting(ShutterTime.nearest(2, ShutterTime.dial()), FNumber.of(8), Iso.of(200), 5200);
        Symptom.Remedy white = Symptom.BURSTS_WHITE.remedy(RIG, s, e.trails());
        assertEquals("f/11", white.change().orElseThrow().label());
        assertEquals(-1, white.stops(), 1e-9);
        assertEquals(
                "f/5.6",
                Symptom.BURSTS_FAINT
                        .remedy(RIG, s, e.trails())
                        .change()
                        .orElseThrow()
                        .label());
        assertEquals(
                "1 s",
                Symptom.BURSTS_PILED
                        .remedy(RIG, s, e.trails())
                        .change()
                        .orElseThrow()
                        .label());
        assertEquals(
                "4 s",
                Symptom.SPARKS_SHORT
                        .remedy(RIG, s, e.trails())
                        .change()
                        .orElseThrow()
                        .label());
        Symptom.Remedy disc = Symptom.DISC_WHITE.remedy(RIG, s, e.trails());
        assertEquals("1 s", disc.change().orElseThrow().label());
        assertEquals(-1, disc.stops(), 0.02);
        assertEquals(
                "ISO 400",
                Symptom.DISC_DARK
                        .remedy(RIG, s, e.trails())
                        .change()
                        .orElseThrow()
                        .label());
        assertEquals(
                "1 s",
                Symptom.DISC_DOUBLED
                        .remedy(RIG, s, e.trails())
                        .change()
                        .orElseThrow()
                        .label());
    }

    /** Where the lens is closed, ISO goes; where the dial ends, nothing is left. */
    @Test
    void remediesEndWithTheKit() {
        ExposurePlan e = plan(Wishes.DEFAULT);
        FNumber smallest = RIG.apertures().get(RIG.apertures().size() - 1);
        Setting closed = new Setting(ShutterTime.nearest(2, ShutterTime.dial()), smallest, Iso.of(400), 5200);
        assertEquals(
                "ISO 200",
                Symptom.BURSTS_WHITE
                        .remedy(RIG, closed, e.trails())
                        .change()
                        .orElseThrow()
                        .label());
        ShutterTime shortest = ShutterTime.nearest(1.0 / 8000, ShutterTime.dial());
        Setting fast = new Setting(shortest, FNumber.of(8), Iso.of(100), 5200);
        assertTrue(Symptom.DISC_WHITE.remedy(RIG, fast, e.trails()).change().isEmpty());
    }
}
