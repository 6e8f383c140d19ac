package org.halfdusk.shoot.moon;

import static org.halfdusk.shoot.Isle.minute;
import static org.halfdusk.shoot.Isle.rig;
import static org.halfdusk.shoot.Isle.site;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.angle.Apparent;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Metering;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.exposure.discs.EclipsedMoon;
import org.halfdusk.light.sources.Daylight;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.EventType;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The full moon of 18 July 2027 behind a lighthouse, and Moons that do not suit. */
class MoonPlanTest {
    /** The Moon outside the Earth\'s shadow. */
    private static final EclipsedMoon OUTSIDE = new EclipsedMoon(EclipsedMoon.Phase.FULL, EclipseGuide.fullMoon());

    private static final MoonPlanner PLANNER = new MoonPlanner();
    private static final ForegroundObject LIGHT =
            new ForegroundObject("North Light", 34, 8, Azimuth.ofDegrees(119.4), 1840, 26);
    private static final Site SANDBAR = site(35.9861, -3.0588, Isle.MADRID, LIGHT);
    private static final LocalDate FULL = LocalDate.of(2027, 7, 18);
    private static final Rig TELE = rig(Isle.TELE, 400);

    private static MoonPlan plan(Site site, LocalDate date, Rig rig, Wishes wishes, MoonWish wish) {
        return (MoonPlan) PLANNER.plan(site, PLANNER.night(site, date, wish), rig, Optional.empty(), wishes, wish);
    }

    private static MoonPlan usual() {
        return plan(SANDBAR, FULL, TELE, Wishes.DEFAULT, MoonWish.KIND.usual());
    }

    @Test
    void theFullMoonRisesAtEqualLight() {
        MoonNight night = usual().night();
        MoonNight.Meeting meeting = night.suitable().orElseThrow();
        assertEquals(EventType.MOONRISE, meeting.moon().type());
        assertEquals("21:35", minute(meeting.moon().at()));
        assertTrue(meeting.apart().abs().toMinutes() < 20);
        Interval window = night.main().orElseThrow();
        assertTrue(window.start().isAfter(meeting.moon().at()));
        assertTrue(window.duration().toMinutes() >= 5 && window.duration().toMinutes() <= 30);
        assertTrue(night.score().total() > 90);
    }

    @Test
    void fiveDaysBeforeNothingIsAlike() {
        MoonNight night = PLANNER.usualNight(SANDBAR, FULL.minusDays(6));
        assertTrue(night.main().isEmpty());
        assertEquals(MoonNight.Obstacle.OTHER_LIGHT, night.obstacle().orElseThrow());
        assertEquals(0, night.score().total());
    }

    @Test
    void itPassesBehindTheLighthouse() {
        MoonNight.Alignment a = usual().night().alignment().orElseThrow();
        assertEquals(0, a.moon().position().azimuth().turnTo(LIGHT.azimuth()), 0.1);
        assertTrue(Math.abs(a.overTopDegrees()) < 0.3, "over the top: " + a.overTopDegrees());
    }

    @Test
    void withinAWindowNeitherIsFarBrighter() {
        MoonNight night = usual().night();
        Interval w = night.main().orElseThrow();
        for (Instant t = w.start(); t.isBefore(w.end()); t = t.plusSeconds(60)) {
            double brighter = night.landAndMoon(t).moonBrighterBy();
            assertTrue(brighter >= -2.01 && brighter <= 4.01, t + ": " + brighter);
        }
    }

    /** 400 mm on 3.77 µm pixels: 7.5 px/s. */
    @Test
    void motionOfTheFieldsExample() {
        Camera fine = new Camera(
                "APS-C 26 MP",
                new Sensor(23.5, 15.6, 6233, 4138),
                Camera.Sensitivity.of(100, 12_800),
                Camera.Shutter.of(1 / 8000.0, 30, true),
                new Camera.Files(26, 11, 40, 100),
                Camera.Power.of(300, 150));
        Rig rig = Rig.of(fine, Isle.TELE, Optional.empty(), 400);
        double px = 14.5 / rig.pixelScaleArcsec();
        assertEquals(7.5, px, 0.05);
    }

    /** Image diameter about f/110, 29.4′ to 34.1′. */
    @Test
    void sizeOnTheSensor() {
        MoonPlan plan = usual();
        assertTrue(plan.diameterDegrees() * 60 > 29.3 && plan.diameterDegrees() * 60 < 34.1);
        MoonPlan.Disc disc = plan.disc(TELE);
        assertEquals(400 / 110.0, disc.millimetres(), 0.25);
        assertEquals(disc.millimetres() / 35.9 * 7008, disc.pixels(), 1);
        assertEquals(disc.millimetres() / 23.9, disc.shareOfHeight(), 1e-9);
    }

    @Test
    void timeStaysUnderTheLimitAndIsoMakesUp() {
        MoonShot shot = usual().shot();
        assertEquals(MoonShot.Limit.LONG_LENS, shot.limit());
        assertFalse(shot.overLimit());
        assertTrue(shot.iso().value() > 400);
        assertTrue(Math.abs(shot.stopsOff()) < 0.35);
        List<Setting> bracket = usual().bracket();
        assertEquals(3, bracket.size());
        assertEquals(2, light(bracket.get(2)) - light(bracket.get(0)), 0.35);
        for (Setting frame : bracket) {
            assertTrue(
                    frame.shutter().realSeconds() <= shot.limitSeconds() * 1.01,
                    "no frame of it is longer than the limit: ISO makes it brighter");
        }
    }

    private static double light(Setting s) {
        return Stops.between(
                s.shutter().realSeconds() * s.iso().value(), s.fNumber().squared());
    }

    @Test
    void inTheHandTheFocalLengthLimits() {
        MoonWish hand = MoonWish.SUPPORT.read(MoonWish.KIND.usual(), "HAND");
        MoonShot shot = plan(SANDBAR, FULL, TELE, Wishes.DEFAULT, hand).shot();
        assertEquals(MoonShot.Limit.HAND, shot.limit());
        assertEquals(1 / 400.0, shot.limitSeconds(), 1e-4);
        assertTrue(shot.shutter().realSeconds() <= 1 / 400.0 * 1.01);
    }

    @Test
    void aHighMoonNeedsNoMoreThanTheRule() {
        Wishes f11 = new Wishes(
                2.6,
                IsoSchool.PROTECT_COLOURS,
                OptionalDouble.empty(),
                Optional.of(FNumber.of(11)),
                Optional.of(Iso.of(200)));
        MoonShot shot = MoonShot.of(
                TELE,
                new MoonShot.Circumstances(0, Apparent.ofDegrees(60), 14.5, SkyBrightness.of(20), OUTSIDE),
                f11,
                Support.TRIPOD);
        assertEquals("1/200 s", shot.shutter().label());
        assertEquals(0, shot.airStops(), 1e-9);
    }

    /** 200 mm in the hand with four stops: 1/(200 · 1) × 16 = 1/12 s; the chosen mark is never longer than its limit. */
    @Test
    void theStabiliserLengthensTheHand() {
        Camera steady = Isle.steady(4);
        Rig rig = Rig.of(steady, Isle.TELE, Optional.empty(), 200);
        MoonShot shot = MoonShot.of(
                rig,
                new MoonShot.Circumstances(0, Apparent.ofDegrees(60), 14.5, SkyBrightness.of(20), OUTSIDE),
                Wishes.DEFAULT,
                Support.HAND);
        assertEquals(16 / 200.0 / steady.sensor().cropFactor(), shot.limits().hand(), 1e-9);
        for (double phase = 0; phase <= 150; phase += 10) {
            for (double altitude : new double[] {0, 2, 10, 60}) {
                MoonShot any = MoonShot.of(
                        rig,
                        new MoonShot.Circumstances(
                                phase, Apparent.ofDegrees(altitude), 14.5, SkyBrightness.of(21), OUTSIDE),
                        Wishes.DEFAULT,
                        Support.HAND);
                assertTrue(any.shutter().realSeconds() <= any.limitSeconds() * 1.01);
            }
        }
    }

    /** A thin Moon close to the Sun at noon: its surface, four magnitudes under the full one, is lost in a day's sky. */
    @Test
    void aMoonInABrightSkyIsHeldByItAndMayNotBeSeen() {
        MoonShot day = MoonShot.of(
                TELE,
                new MoonShot.Circumstances(150, Apparent.ofDegrees(5), 14.5, SkyBrightness.of(4), OUTSIDE),
                Wishes.DEFAULT,
                Support.TRIPOD);
        assertFalse(day.visible());
        assertTrue(day.skyStops() > 3, "held by " + day.skyStops());
        MoonShot night = MoonShot.of(
                TELE,
                new MoonShot.Circumstances(0, Apparent.ofDegrees(30), 14.5, SkyBrightness.of(19), OUTSIDE),
                Wishes.DEFAULT,
                Support.TRIPOD);
        assertTrue(night.visible());
        assertEquals(0, night.skyStops(), 1e-9);
    }

    /**
     * Land under a full Moon 63° up: 0.31 lux above the air, 0.2 of an air mass of 1.12 taken, times sin 63°: 0.225 lux; an
     * incident meter gives 250 · 11²/(0.225 · 100) s, two stops under it 336 s against the Moon's 1/100 s: 15 stops, not 23.
     */
    @Test
    void theMoonsOwnLightFallsOnTheLand() {
        Sky sky = plan(SANDBAR, FULL, TELE, Wishes.DEFAULT, MoonWish.KIND.usual())
                .night()
                .sky();
        Instant highest = Instant.parse("2027-07-18T23:00:00Z");
        double altitude = sky.at(Body.MOON, highest).altitude().degrees();
        double lux =
                0.31 * Math.pow(10, -0.08 / Math.sin(Math.toRadians(altitude))) * Math.sin(Math.toRadians(altitude));
        double stops = LandAndMoon.at(sky, highest, 0, MoonNight.AIR).moonBrighterBy();
        double byHand = Math.log(250 * 121 / (lux * 100) / 4 * 100) / Math.log(2);
        assertTrue(altitude > 20, "the Moon stands " + altitude);
        assertEquals(byHand, stops, 0.5);
    }

    @Test
    void bracketsFollowTheWindow() {
        MoonPlan plan = usual();
        Interval w = plan.night().main().orElseThrow();
        Block block = plan.blocks().get(0);
        assertEquals(Block.Kind.BRACKETS, block.kind());
        assertEquals(Block.onTheSecond(w.start()), block.start());
        assertTrue(block.frames().get(block.frames().size() - 3).open().isBefore(w.end()));
        assertEquals(0, block.frames().size() % 3);
    }

    /** The Moon rises later each day, so once a lunation a night has no rise (or no set). */
    @Test
    void aNightWithoutMoonriseSaysSo() {
        boolean found = false;
        for (int i = 0; i < 31 && !found; i++) {
            MoonNight night = PLANNER.usualNight(SANDBAR, FULL.plusDays(i));
            found = night.events(EventType.MOONRISE).isEmpty();
            assertFalse(found && night.events().isEmpty());
        }
        assertTrue(found);
    }

    @Test
    void inThePolarNightItMayNeitherRiseNorSet() {
        Site north = site(80, 15, ZoneId.of("UTC"));
        boolean circling = false;
        boolean down = false;
        for (int i = 0; i < 28; i++) {
            MoonPlan plan =
                    plan(north, LocalDate.of(2027, 12, 5).plusDays(i), TELE, Wishes.DEFAULT, MoonWish.KIND.usual());
            Optional<MoonNight.Obstacle> o = plan.night().obstacle();
            circling |= o.equals(Optional.of(MoonNight.Obstacle.NEITHER_RISES_NOR_SETS));
            down |= o.equals(Optional.of(MoonNight.Obstacle.DOWN))
                    && plan.blocks().isEmpty();
        }
        assertTrue(circling && down);
    }

    private static MoonNight night(Site site, LocalDate date, MoonPicture picture) {
        return PLANNER.night(site, date, MoonWish.PICTURE.with(MoonWish.KIND.usual(), picture));
    }

    @Test
    void aHighMoonIsAWindowOfItsOwn() {
        MoonNight night = night(SANDBAR, LocalDate.of(2026, 12, 23), MoonPicture.BY_ITSELF);
        assertTrue(night.obstacle().isEmpty());
        assertTrue(night.windowHours() > 10, "hours: " + night.windowHours());
        assertTrue(night.score().total() > 90, "score " + night.score());
        double highest = night.best().position().altitude().degrees();
        assertTrue(highest > 70, "highest " + highest);
        for (Interval w : night.windows()) {
            for (Instant t = w.start(); t.isBefore(w.end()); t = t.plusSeconds(900)) {
                assertTrue(SANDBAR.sky().at(Body.MOON, t).altitude().degrees() <= highest + 1e-3);
            }
        }
        MoonPlan plan = MoonPlan.of(
                SANDBAR.place(), night, TELE, Optional.empty(), Wishes.DEFAULT, Support.TRIPOD, Duration.ofMinutes(2));
        assertEquals(11, plan.brackets(), 1);
        assertTrue(plan.exposed().visible());
        assertEquals(highest, plan.framing().altitude().degrees(), 0.1);
    }

    @Test
    void aCrescentStandsInTwilightAndIsThin() {
        int thin = 0;
        for (int i = 0; i < 30; i++) {
            LocalDate date = LocalDate.of(2027, 3, 1).plusDays(i);
            MoonNight night = night(SANDBAR, date, MoonPicture.CRESCENT);
            double lit = night.night().moonPhase().illuminatedFraction();
            if (lit > 0.15) {
                assertEquals(MoonNight.Obstacle.OTHER_PHASE, night.obstacle().orElseThrow(), date.toString());
            }
            for (Interval w : night.windows()) {
                thin++;
                double sun = SANDBAR.sky().at(Body.SUN, w.middle()).altitude().degrees();
                assertTrue(sun < -4 && sun > -12, date + ": sun " + sun);
                assertTrue(SANDBAR.sky().at(Body.MOON, w.middle()).altitude().degrees() > -0.9);
            }
        }
        assertTrue(thin >= 4, "evenings and mornings with a crescent: " + thin);
    }

    @Test
    void aHalfMoonIsBestWhereItIsHalfLit() {
        MoonNight best = java.util.stream.IntStream.range(0, 30)
                .mapToObj(i -> night(SANDBAR, LocalDate.of(2027, 3, 1).plusDays(i), MoonPicture.HALF))
                .max(java.util.Comparator.comparing(n -> n.score().total()))
                .orElseThrow();
        assertEquals(0.5, best.night().moonPhase().illuminatedFraction(), 0.12);
    }

    @Test
    void behindAnObjectItStandsInFrontOfNoOtherSky() {
        MoonNight night = night(SANDBAR, FULL, MoonPicture.BEHIND);
        Interval w = night.main().orElseThrow();
        assertTrue(w.duration().toMinutes() <= 15, "minutes: " + w.duration().toMinutes());
        assertEquals(LIGHT, night.alignment().orElseThrow().object());
        Site bare = site(35.9861, -3.0588, Isle.MADRID);
        assertEquals(
                MoonNight.Obstacle.NOT_BEHIND,
                night(bare, FULL, MoonPicture.BEHIND).obstacle().orElseThrow());
    }

    /** Published: nearest full moon of 2025 on 5 November, 356,980 km; farthest on 13 April, 406,006 km. */
    @Test
    void theLargestFullMoonOfAYear() {
        FullMoons year = FullMoons.of(SANDBAR.sky(), 2025);
        assertEquals(12, year.all().size());
        assertEquals("2025-11-05", year.nearest().at().toString().substring(0, 10));
        assertEquals(356_980, year.nearest().distanceKm(), 60);
        assertEquals("2025-04-13", year.farthest().at().toString().substring(0, 10));
        assertEquals(406_006, year.farthest().distanceKm(), 60);
        assertEquals(33.5, year.nearest().diameterArcmin(), 0.1);
        assertEquals(13, FullMoons.of(SANDBAR.sky(), 2026).all().size());
    }

    /** At the polar circle the autumn's moon rises a little earlier each day: two rises fall into one night. */
    @Test
    void allRisesOfANightAreKept() {
        Site north = site(67.5, 15, ZoneId.of("UTC"));
        int twice = 0;
        for (int i = 0; i < 366; i++) {
            MoonNight night = PLANNER.usualNight(north, LocalDate.of(2027, 1, 1).plusDays(i));
            int rises = night.events(EventType.MOONRISE).size();
            twice += rises == 2 ? 1 : 0;
            assertTrue(rises <= 2);
            assertEquals(
                    night.events().size(),
                    rises
                            + night.events(EventType.MOONSET).size()
                            + night.events(EventType.MOON_TRANSIT).size());
        }
        assertTrue(twice > 0, "nights with two rises: " + twice);
    }

    /** Job figures: sun 0° 700 lux, −6° 3.4, −12° 0.008. */
    @ParameterizedTest
    @CsvSource({"0,700", "-6,3.4", "-12,0.008", "-30,0.0007"})
    void lightOfTheLand(double sun, double lux) {
        assertEquals(lux, Daylight.lux(sun), 0.001 * lux);
    }

    /** 250 N²/(E·S): 700 lux at f/11 and ISO 100 asks for 0.43 s. */
    @Test
    void meteredLand() {
        assertEquals(0.432, Metering.seconds(700, FNumber.of(11), Iso.of(100)), 0.001);
        assertEquals(
                Metering.seconds(700, FNumber.of(11), Iso.of(100)) / 4,
                LandAndMoon.at(SANDBAR.sky(), sunAtHorizon(), 0, Extinction.CLEAR)
                        .landSeconds(),
                0.01);
    }

    private static Instant sunAtHorizon() {
        Instant t = Instant.parse("2027-07-18T19:00:00Z");
        while (SANDBAR.sky().at(Body.SUN, t).altitude().degrees() > 0) {
            t = t.plusSeconds(5);
        }
        return t;
    }

    @Test
    void theBandOfAltitudesIsTheWishs() {
        MoonWish wish = MoonWish.HIGHEST.read(MoonWish.LOWEST.read(MoonWish.KIND.usual(), "2"), "5");
        MoonNight night = PLANNER.night(SANDBAR, FULL, wish);
        assertFalse(night.windows().isEmpty());
        for (Interval w : night.windows()) {
            for (Instant t : new Instant[] {w.start(), w.middle(), w.end()}) {
                double altitude = SANDBAR.sky().at(Body.MOON, t).altitude().degrees();
                assertTrue(altitude > 1.99 && altitude < 5.01, altitude + "° at " + t);
            }
        }
        assertEquals(new MoonNight.Band(4, 9), MoonNight.Band.between(9, 4));
        assertEquals(new MoonNight.Band(4, 5), MoonNight.Band.between(4, 4));
    }

    /** Whatever holds the camera, no frame of any bracket is longer than what holds it allows. */
    @ParameterizedTest
    @CsvSource({"0,100,HAND", "2.5,100,HAND", "5,400,HAND", "8,400,HAND", "0,400,TRIPOD", "5,100,TRIPOD", "1,250,HAND"})
    void noMarkIsLongerThanItsLimit(double stops, double focalMm, String support) {
        Rig rig = Rig.of(Isle.steady(stops), Isle.TELE, Optional.empty(), focalMm);
        for (String picture : new String[] {"LAND", "ALONE", "HALF"}) {
            MoonWish wish = MoonWish.PICTURE.read(MoonWish.SUPPORT.read(MoonWish.KIND.usual(), support), picture);
            MoonPlan p = plan(SANDBAR, FULL, rig, Wishes.DEFAULT, wish);
            double limit = p.shot().limitSeconds() * (1 + ShutterTime.FORGIVEN);
            assertTrue(p.setting().shutter().realSeconds() <= limit, picture + " " + p.setting());
            for (Setting s : p.bracket()) {
                assertTrue(s.shutter().realSeconds() <= limit, picture + " " + s);
            }
            if (support.equals("HAND")) {
                assertEquals(
                        Math.pow(2, stops) / (focalMm * rig.camera().sensor().cropFactor()),
                        p.shot().limits().hand(),
                        1e-9);
            }
        }
    }
}
