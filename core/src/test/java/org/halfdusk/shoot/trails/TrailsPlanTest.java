package org.halfdusk.shoot.trails;

import static org.halfdusk.shoot.Isle.isle;
import static org.halfdusk.shoot.Isle.minute;
import static org.halfdusk.shoot.Isle.rig;
import static org.halfdusk.shoot.Isle.site;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarCatalogue;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.sequence.camera.TrailGap;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.programme.check.ProgrammeCheck;
import org.halfdusk.shoot.setting.ApertureReason;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Star trails on the made-up isle in January 2027, and where the sky is otherwise. */
class TrailsPlanTest {
    private static final TrailsPlanner PLANNER = new TrailsPlanner();
    private static final LocalDate JANUARY = LocalDate.of(2027, 1, 8);
    private static final Rig FIFTEEN = rig(Isle.WIDE, 15);

    private static TrailsPlan plan(Site site, LocalDate date, Rig rig, Wishes wishes, TrailsWish wish) {
        TrailsNight night = PLANNER.night(site, date, wish);
        return (TrailsPlan) PLANNER.plan(site, night, rig, Optional.empty(), wishes, wish);
    }

    private static TrailsPlan usual() {
        return plan(isle(), JANUARY, FIFTEEN, Wishes.DEFAULT, TrailsWish.KIND.usual());
    }

    /** The drawing's night: dark from 19:38 or so to dawn, no moon after sunset's thin one. */
    @Test
    void theNightOfEighthJanuary() {
        TrailsNight night = usual().night();
        assertEquals("19:46", minute(night.main().orElseThrow().start()));
        assertEquals("06:52", minute(night.main().orElseThrow().end()));
        assertEquals(167, night.turningDegrees(), 1);
        assertEquals(100, night.score().total());
        assertTrue(night.obstacle().isEmpty());
    }

    /** ⌊(7200 − 90)/91⌋ + 1 = 79 frames; 78 · 91 + 90 s at 15.041° an hour = 30.0°. */
    @Test
    void framesAndArcByTheFieldsRule() {
        FrameRun run = usual().run().orElseThrow();
        assertEquals(79, run.frames());
        assertEquals(30.0, run.arcDegrees(), 0.05);
        assertEquals(91, run.intervalSeconds());
        assertEquals(80, Block.frames(usual().blocks()));
    }

    /** 1 s at 15 mm on 5.12 µm: 15 · 72.9 µm/s / 5.12 = 0.21 px at the equator on axis, more in the corner. */
    @Test
    void aShortGapHidesBehindAStar() {
        assertEquals(0.3, usual().widestGap().orElseThrow().px(), 0.1);
        assertEquals(TrailGap.Look.HIDDEN, usual().widestGap().orElseThrow().look());
        TrailsPlan slow =
                plan(isle(), JANUARY, FIFTEEN, Wishes.DEFAULT, TrailsWish.GAP.read(TrailsWish.KIND.usual(), "20"));
        assertEquals(TrailGap.Look.SHOWS, slow.widestGap().orElseThrow().look());
    }

    @Test
    void theProgrammeStaysInTheWindowAndEndsWithTheCapOn() {
        TrailsPlan plan = usual();
        List<Block> blocks = plan.blocks();
        assertEquals(
                List.of(Block.Kind.TRAILS, Block.Kind.DARK_FRAME),
                blocks.stream().map(Block::kind).toList());
        assertTrue(plan.night().main().orElseThrow().contains(blocks.get(0).start()));
        assertFalse(
                blocks.get(0).end().isAfter(plan.night().span().orElseThrow().end()));
        assertEquals(plan.exposure().shutter(), blocks.get(1).frames().get(0).shutter());
        assertTrue(blocks.get(1).start().isAfter(blocks.get(0).end()));
    }

    @Test
    void exposureFollowsTheSkysGlow() {
        TrailsExposure e = usual().exposure();
        assertEquals("90 s", e.shutter().label());
        assertEquals(FNumber.of(4), e.fNumber());
        assertEquals(0.14, e.sky().histogramPosition(), 0.02);
        assertTrue(e.stopsUnderGlow() > 2);
        // At the limit itself the sky stands a third across: the same model turned round.
        assertEquals(
                TrailsExposure.GLOW_LIMIT,
                new org.halfdusk.exposure.SkyExposure(e.skyBrightness(), FNumber.of(4), e.glowLimitSeconds(), e.iso())
                        .histogramPosition(),
                1e-9);
    }

    @Test
    void aCitySkyShortensTheFrame() {
        Site city = site(40.4, -3.7, Isle.MADRID, 17.0);
        TrailsExposure e = plan(city, JANUARY, FIFTEEN, Wishes.DEFAULT, TrailsWish.KIND.usual())
                .exposure();
        assertEquals(TrailsExposure.TimeReason.SKY_GLOW, e.timeReason());
        assertTrue(e.shutter().realSeconds() < 90, e.shutter().label());
        assertTrue(e.stopsUnderGlow() > -0.1);
    }

    @Test
    void withoutBulbTheCamerasLongest() {
        Rig rig = Rig.of(Isle.camera(false), Isle.WIDE, Optional.empty(), 15);
        TrailsExposure e = plan(isle(), JANUARY, rig, Wishes.DEFAULT, TrailsWish.KIND.usual())
                .exposure();
        assertEquals("30 s", e.shutter().label());
        assertEquals(TrailsExposure.TimeReason.LONGEST_OF_CAMERA, e.timeReason());
    }

    @Test
    void aLensThatCannotOpenThatFarSaysSo() {
        Wishes wide = new Wishes(
                2.6, IsoSchool.PROTECT_COLOURS, OptionalDouble.empty(), Optional.of(FNumber.of(2)), Optional.empty());
        TrailsExposure e =
                plan(isle(), JANUARY, FIFTEEN, wide, TrailsWish.KIND.usual()).exposure();
        assertEquals(FNumber.of(4), e.fNumber());
        assertInstanceOf(ApertureReason.OutOfReach.class, e.aperture().reason());
    }

    /** The pole's altitude is the latitude; from the south it is the southern one. */
    @ParameterizedTest
    @CsvSource({"35.95,0,35.95", "-33.9,180,33.9", "0,0,0", "78,0,78"})
    void thePoleAboveTheHorizon(double latitude, double azimuth, double altitude) {
        TrailsNight night = PLANNER.usualNight(site(latitude, 18, ZoneId.of("UTC")), JANUARY);
        assertEquals(azimuth, night.pole().azimuth().degrees());
        assertEquals(altitude, night.pole().altitude().degrees(), 1e-9);
    }

    @Test
    void theWideFrameHoldsPoleAndGround() {
        TrailsPlan plan = usual();
        assertTrue(plan.poleInFrame().isPresent());
        double lower = plan.framing().altitude().degrees() - plan.rig().shortFieldDegrees() / 2;
        assertTrue(lower < 0, "the lower edge stands at " + lower);
    }

    @Test
    void noWindowNoFrames() {
        Site north = site(60, 25, ZoneId.of("Europe/Helsinki"));
        TrailsPlan june = plan(north, LocalDate.of(2027, 6, 21), FIFTEEN, Wishes.DEFAULT, TrailsWish.KIND.usual());
        assertEquals(TrailsNight.Obstacle.NEVER_DARK, june.night().obstacle().orElseThrow());
        assertTrue(june.blocks().isEmpty());
        assertTrue(june.run().isEmpty());

        TrailsPlan fullMoon = plan(isle(), LocalDate.of(2027, 1, 22), FIFTEEN, Wishes.DEFAULT, TrailsWish.KIND.usual());
        assertEquals(TrailsNight.Obstacle.MOON, fullMoon.night().obstacle().orElseThrow());
        TrailsWish more = TrailsWish.MOONLIGHT.read(TrailsWish.KIND.usual(), "6");
        assertTrue(plan(isle(), LocalDate.of(2027, 1, 22), FIFTEEN, Wishes.DEFAULT, more)
                .run()
                .isPresent());
    }

    @Test
    void oneLongFrameIsBrighterByTheRatioOfTimes() {
        TrailsPlan plan = usual();
        double long1 = plan.oneLongFrame().orElseThrow().exposureLuxSeconds();
        double one = plan.exposure().sky().exposureLuxSeconds();
        assertEquals(plan.run().orElseThrow().durationSeconds() / 90, long1 / one, 1e-6);
    }

    /** A star followed for an hour by turning about the pole is where the sky itself has it: within 1′ (airless, precessed). */
    @Test
    void turningAboutThePoleIsWhatTheSkyDoes() {
        Sky sky = isle().sky();
        Instant start = Instant.parse("2027-01-08T19:00:00Z");
        for (String name : List.of("Capella", "Vega", "Sirius", "Polaris")) {
            Star star = StarCatalogue.instance().named(name).orElseThrow();
            Vector first = sky.at(star, start).direction();
            Vector later = sky.at(star, start.plus(Duration.ofHours(1))).direction();
            double angle = 3600 * 7.292115e-5;
            Vector turned = StarArcs.turned(first, Math.toRadians(35.95), angle);
            assertEquals(0, Math.toDegrees(turned.separationRad(later)) * 60, 1, name);
        }
    }

    /**
     * Film of ISO 100 and exponent 1.3 under a sky that a meter gives 90 s for would need 90^1.3 = 347 s; the plan exposes what its own
     * light needs, and the sky comes out on target with the slowness counted.
     */
    @Test
    void filmIsExposedForItsSlowness() {
        Rig film = Rig.of(Isle.film(400, 1.3), Isle.WIDE, Optional.empty(), 14);
        TrailsPlan plan = (TrailsPlan) PLANNER.plan(
                Isle.isle(),
                PLANNER.usualNight(Isle.isle(), LocalDate.of(2027, 6, 4)),
                film,
                Optional.empty(),
                Wishes.DEFAULT,
                TrailsWish.KIND.usual());
        TrailsExposure e = plan.exposure();
        assertEquals(TrailsExposure.TimeReason.FILM, e.timeReason());
        double real = e.shutter().realSeconds();
        assertEquals(Math.pow(real, 1 / 1.3), e.sky().seconds(), 1e-9);
        assertEquals(0, e.sky().stopsOver(0.14), 0.35);
        assertTrue(real > 90, "longer than a sensor's frame: " + real);
        assertTrue(plan.blocks().stream().noneMatch(b -> b.kind() == Block.Kind.DARK_FRAME));
        assertEquals(347, Reciprocity.exposed(90, 1.3), 0.5);
    }

    /**
     * With a mag of moonlight allowed the window of 15 January 2027 begins under a half moon that sets at 01:52: the two hours begin
     * without it. Where less than two hours are moonless they end with the window.
     */
    @Test
    void theFramesBeginWithoutTheMoon() {
        TrailsNight half = PLANNER.usualNight(isle(), LocalDate.of(2027, 1, 15));
        Interval span = half.span().orElseThrow();
        assertTrue(half.main().orElseThrow().start().isBefore(span.start()));
        assertEquals("01:52", Isle.minute(span.start()));
        assertEquals(2, span.hours(), 1e-6);
        TrailsPlan plan = plan(isle(), LocalDate.of(2027, 1, 15), FIFTEEN, Wishes.DEFAULT, TrailsWish.KIND.usual());
        assertEquals(List.of(), ProgrammeCheck.of(plan, plan.blocks()));
        TrailsNight late = PLANNER.usualNight(isle(), LocalDate.of(2027, 1, 18));
        assertEquals(late.main().orElseThrow().end(), late.span().orElseThrow().end());
        TrailsNight dark = PLANNER.usualNight(isle(), JANUARY);
        assertEquals(
                dark.main().orElseThrow().start(), dark.span().orElseThrow().start());
    }
}
