package org.halfdusk.shoot.milkyway;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.light.DarkSite;
import org.halfdusk.light.LightWindows;
import org.halfdusk.light.SkyLight;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.Skyline;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.choices.Preferences;
import org.halfdusk.shoot.setting.ApertureReason;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.IsoReason;
import org.halfdusk.shoot.setting.ShutterReason;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Darkness;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;
import org.junit.jupiter.api.Test;

/** A whole plan on the demo's isle, checked against what the drawing of the product and the job's text say. */
class MilkyWayPlanTest {
    private static final ZoneId MADRID = ZoneId.of("Europe/Madrid");
    private static final Observer TOWER = Observer.of(35.95, -3.05, 40);
    private static final Place PLACE =
            new Place("Old Watchtower", TOWER, MADRID, SkyBrightness.of(21.4), List.of(), "");
    private static final DarkSite SITE = DarkSite.withoutTowns(SkyBrightness.of(21.4));
    private static final Camera CAMERA = new Camera(
            "full frame 33 MP",
            new Sensor(35.9, 23.9, 7008, 4672),
            Camera.Sensitivity.of(100, 25600),
            Camera.Shutter.of(1 / 8000.0, 30, true),
            new Camera.Files(35, 12, 30, 120),
            Camera.Power.of(500, 180));
    private static final Lens LENS = new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8);
    private static final Rig RIG = Rig.of(CAMERA, LENS, Optional.empty(), 18);

    private static Sky sky(Observer observer) {
        return Sky.over(observer, ReferenceTable.EPHEMERIS, DeltaT.model());
    }

    private static MilkyWayPlan plan(Wishes wishes) {
        MilkyWayNight night = MilkyWayNight.of(sky(TOWER), SITE, LocalDate.of(2027, 6, 4), MADRID, 10);
        return MilkyWayPlan.of(PLACE, night, RIG, Optional.empty(), wishes);
    }

    private static String minute(Instant at) {
        return at.plusSeconds(30).atZone(MADRID).toLocalTime().toString().substring(0, 5);
    }

    private static Wishes pinned(OptionalDouble seconds, Optional<FNumber> aperture, Optional<Iso> iso) {
        return new Wishes(2.6, IsoSchool.PROTECT_COLOURS, seconds, aperture, iso);
    }

    @Test
    void theNightOfFourthJune() {
        MilkyWayNight night = plan(Wishes.DEFAULT).night();
        Interval window = night.main().orElseThrow();
        assertEquals("23:49", minute(window.start()));
        assertEquals("05:08", minute(window.end()));
        assertEquals(25.0, night.best().position().altitude().degrees(), 0.1);
        Instant culmination = Instant.parse("2027-06-05T01:06:30Z");
        assertEquals(0, Duration.between(culmination, night.bestMoment()).toSeconds(), 30);
        assertEquals(WindowLimit.Cause.CORE, night.beginsWith().orElseThrow().cause());
        assertEquals(WindowLimit.Cause.DARK, night.endsWith().orElseThrow().cause());
    }

    @Test
    void theBandLeansLeftBeforeTheCoreCulminates() {
        var at = LocalDate.of(2027, 6, 5).atTime(2, 30).atZone(MADRID).toInstant();
        // The plane's position angle at the centre, 31.4° east of north, and 8.0° of parallactic angle 36 minutes
        // before
        // culmination, both to the left.
        assertEquals(-39.4, sky(TOWER).bandLeanDegrees(at), 0.2);
    }

    @Test
    void theExposureOfTheDrawing() {
        ExposurePlan e = plan(Wishes.DEFAULT).exposure();
        // Upright, the middle third reaches to 13° nearer the equator: 10 s holds 2.6 px in the centre only.
        assertEquals("8 s", e.shutter().label());
        assertEquals(FNumber.of(2), e.aperture());
        // Half-way up the sky is 0.3 mag brighter than at the zenith, where the place was measured; the band's own
        // light, the
        // brightest of it, adds a third more.
        assertEquals(20.76, e.skyBrightness().magnitude(), 0.05);
        assertEquals(Iso.of(1600), e.iso());
        assertInstanceOf(ShutterReason.RoundedDown.class, e.shutterReason());
        assertInstanceOf(ApertureReason.Widest.class, e.apertureReason());
        assertInstanceOf(IsoReason.SkyPlaced.class, e.isoReason());
    }

    @Test
    void equivalentsGiveTheSameLight() {
        ExposurePlan e = plan(Wishes.DEFAULT).exposure();
        double light = e.shutter().realSeconds() * e.iso().value();
        assertEquals(2, e.equivalents().size());
        for (ExposurePlan.Equivalent q : e.equivalents()) {
            assertEquals(light, q.shutter().realSeconds() * q.iso().value(), 0.03 * light);
        }
    }

    @Test
    void aPinnedApertureOutOfReachIsSaidSo() {
        ExposurePlan e = plan(pinned(OptionalDouble.empty(), Optional.of(FNumber.of(1.4)), Optional.empty()))
                .exposure();
        assertEquals(FNumber.of(2), e.aperture());
        assertInstanceOf(ApertureReason.OutOfReach.class, e.apertureReason());
    }

    @Test
    void aPinnedTimeIsUsedAndIsoFollows() {
        ExposurePlan e = plan(pinned(OptionalDouble.of(20), Optional.empty(), Optional.empty()))
                .exposure();
        assertEquals("20 s", e.shutter().label());
        assertEquals(Iso.of(640), e.iso());
        assertTrue(e.middlePx() > 4.5);
    }

    @Test
    void aPinnedIsoTellsHowFarTheSkyIsOff() {
        ExposurePlan e = plan(pinned(OptionalDouble.empty(), Optional.empty(), Optional.of(Iso.of(5000))))
                .exposure();
        IsoReason.Pinned reason = assertInstanceOf(IsoReason.Pinned.class, e.isoReason());
        assertEquals(2, reason.stopsOver(), 0.35);
    }

    @Test
    void nightsWithoutAWindowSayWhy() {
        Sky north = sky(Observer.of(60, 25, 0));
        MilkyWayNight june = MilkyWayNight.of(north, SITE, LocalDate.of(2027, 6, 21), ZoneId.of("Europe/Helsinki"), 10);
        assertInstanceOf(NoWindow.NeverDark.class, june.noWindow().orElseThrow());
        assertEquals(0, june.score().total());

        MilkyWayNight winter = MilkyWayNight.of(sky(TOWER), SITE, LocalDate.of(2027, 12, 25), MADRID, 10);
        assertInstanceOf(NoWindow.CoreLow.class, winter.noWindow().orElseThrow());

        MilkyWayNight fullMoon = MilkyWayNight.of(sky(TOWER), SITE, LocalDate.of(2027, 6, 18), MADRID, 10);
        assertInstanceOf(NoWindow.MoonUp.class, fullMoon.noWindow().orElseThrow());
    }

    private static final ZoneId COPENHAGEN = ZoneId.of("Europe/Copenhagen");

    private static MilkyWayNight of(Observer observer, LocalDate date, ZoneId zone, Body part, double lowest) {
        return MilkyWayNight.of(
                new SkyLight(sky(observer), SITE), date, zone, MilkyWayWish.of(part, lowest), Skyline.FLAT);
    }

    /** At 55° N the Sun sinks to −11.6° at the solstice: Cygnus shows about local midnight, and scores for what the sky is. */
    @Test
    void whereItIsNeverDarkTheLeastLightCounts() {
        Observer coast = Observer.of(55.5, 12, 0);
        MilkyWayNight solstice = of(coast, LocalDate.of(2028, 6, 21), COPENHAGEN, Body.CYGNUS, 10);
        Interval window = solstice.main().orElseThrow();
        Instant midnight = Instant.parse("2028-06-21T23:14:00Z");
        assertTrue(window.contains(midnight), window.toString());
        assertEquals(0, Duration.between(window.middle(), midnight).toMinutes(), 10);
        assertEquals(
                WindowLimit.Cause.LEAST_LIGHT,
                solstice.beginsWith().orElseThrow().cause());
        MilkyWayNight august = of(coast, LocalDate.of(2028, 8, 21), COPENHAGEN, Body.CYGNUS, 10);
        assertTrue(solstice.score().total() > 0);
        assertTrue(august.score().total() > 1.5 * solstice.score().total(), august.score() + " " + solstice.score());

        MilkyWayPlan plan = MilkyWayPlan.of(PLACE, solstice, RIG, Optional.empty(), Wishes.DEFAULT);
        assertEquals(Block.Kind.STACK, plan.blocks().get(0).kind());
        assertTrue(plan.exposed().visible());
        // Exposed for what the sky is: brighter than the dark by more than a magnitude.
        assertTrue(
                plan.exposure().skyBrightness().magnitude() < 20.4,
                plan.exposure().skyBrightness().toString());
    }

    /** North of 49° the core never stands a while above 10°: a new shoot there begins with Cygnus, and summer has its nights. */
    @Test
    void whereTheCoreStaysLowAnotherPartIsSuggested() {
        MilkyWayPlanner planner = new MilkyWayPlanner();
        for (double latitude : new double[] {-60, -20, 20, 36, 47}) {
            assertEquals(
                    Body.GALACTIC_CENTRE,
                    planner.initialWish(at(latitude), Preferences.USUAL).part(),
                    "at " + latitude);
        }
        for (double latitude : new double[] {49.5, 55.5, 66}) {
            assertEquals(
                    Body.CYGNUS,
                    planner.initialWish(at(latitude), Preferences.USUAL).part(),
                    "at " + latitude);
        }
        Observer coast = Observer.of(55.5, 12, 0);
        int nights = 0;
        for (int day = 1; day <= 30; day++) {
            nights += of(coast, LocalDate.of(2028, 6, day), COPENHAGEN, Body.CYGNUS, 10)
                            .windows()
                            .isEmpty()
                    ? 0
                    : 1;
        }
        assertTrue(nights > 12, "nights of June with a window: " + nights);
    }

    private static Place at(double latitude) {
        return new Place("Coast", Observer.of(latitude, 12, 0), COPENHAGEN, SkyBrightness.of(21.4), List.of(), "");
    }

    @Test
    void theLeastLightIsAroundItsMiddle() {
        for (int day = 1; day <= 30; day += 7) {
            MilkyWayNight night = of(Observer.of(56, 12, 0), LocalDate.of(2028, 6, day), COPENHAGEN, Body.CYGNUS, 0);
            for (Interval dark : night.dark()) {
                double least = night.light()
                        .at(((Darkness.NeverDark) night.night().darkness()).at())
                        .zenith()
                        .withoutMoon()
                        .magnitude();
                for (Instant edge : List.of(dark.start(), dark.end())) {
                    assertEquals(
                            least - LightWindows.LEAST_LIGHT_MAGNITUDES,
                            night.light().at(edge).zenith().withoutMoon().magnitude(),
                            0.01);
                }
            }
        }
    }

    @Test
    void aPartOfTheBandHasItsOwnSeason() {
        LocalDate winter = LocalDate.of(2027, 12, 29);
        assertTrue(of(TOWER, winter, MADRID, Body.GALACTIC_CENTRE, 10).main().isEmpty());
        MilkyWayNight orion = of(TOWER, winter, MADRID, Body.ORION, 20);
        assertTrue(orion.windowHours() > 5, "hours: " + orion.windowHours());
        // 205° of galactic longitude stands near 6h40m, +7°: highest in the south at 90° − 35.95° + 7°.
        assertEquals(61, orion.best().position().altitude().degrees(), 2);
        assertEquals(180, orion.best().position().azimuth().degrees(), 10);
        assertTrue(of(TOWER, winter, MADRID, Body.CARINA, 5).noWindow().orElseThrow() instanceof NoWindow.CoreLow);
    }

    @Test
    void anArchIsNeitherFlatNorOverhead() {
        MilkyWayNight spring = of(TOWER, LocalDate.of(2027, 4, 7), MADRID, Body.BAND_TOP, 10);
        Interval window = spring.main().orElseThrow();
        for (Instant t = window.start(); t.isBefore(window.end()); t = t.plusSeconds(600)) {
            double top = spring.sky().at(Body.BAND_TOP, t).altitude().degrees();
            assertTrue(top >= 9.99 && top <= MilkyWayNight.HIGHEST_ARCH_DEGREES + 0.01, t + ": " + top);
        }
        MilkyWayPlan plan = MilkyWayPlan.of(PLACE, spring, RIG, Optional.empty(), Wishes.DEFAULT);
        assertEquals(0, plan.framing().rollDegrees(), 1e-9);
        assertEquals(
                MilkyWayNight.ARCH_DEGREES, spring.best().position().altitude().degrees(), 0.01);
        assertTrue(plan.framing().altitude().degrees() < MilkyWayNight.ARCH_DEGREES);
    }

    /** The band's top, held against 3,600 points of its line. */
    @Test
    void theTopIsTheHighestPointOfTheLine() {
        for (double latitude : new double[] {-62, -20, 5, 35.95, 70}) {
            Sky sky = sky(Observer.of(latitude, 12, 0));
            for (int hour = 0; hour < 24; hour += 3) {
                Instant at = Instant.parse("2027-03-05T00:00:00Z").plusSeconds(3600L * hour);
                double highest = sky.galacticEquator(at, 3600).stream()
                        .mapToDouble(v -> Math.toDegrees(v.latitudeRad()))
                        .max()
                        .orElseThrow();
                var top = sky.at(Body.BAND_TOP, at);
                assertEquals(highest, top.altitude().degrees(), 0.02);
                assertEquals(highest, sky.altitudeDegrees(Body.BAND_TOP, Moment.utDays(at)), 0.02);
                double longitude = sky.galacticLongitudeDegrees(Body.BAND_TOP, at);
                var there = sky.galacticEquator(at, 3600).get((int) Math.round((longitude + 360) % 360 * 10));
                assertEquals(0, Math.toDegrees(there.separationRad(top.direction())), 0.1);
            }
        }
    }

    @Test
    void fromTheSouthTheCoreStandsOverhead() {
        Sky south = sky(Observer.of(-29, 20, 1000));
        MilkyWayNight night =
                MilkyWayNight.of(south, SITE, LocalDate.of(2027, 6, 4), ZoneId.of("Africa/Johannesburg"), 10);
        assertTrue(night.best().position().altitude().degrees() > 88);
        assertTrue(night.score().total() > 95);
    }
}
