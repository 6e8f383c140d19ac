package org.halfdusk.shoot.town;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.setting.ApertureReason;
import org.halfdusk.shoot.setting.wished.Metered;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.junit.jupiter.api.Test;

/** A town in its blue hour, on sensor and on film. */
class TownPlanTest {
    private static final LocalDate JUNE = LocalDate.of(2027, 6, 11);
    private static final Lens STREET = new Lens("35 mm f/2", 35, 35, 2, 2, 16, 5.6);
    private static final Site SITE = Isle.site(35.95, -3.05, Isle.MADRID);
    private static final Site POLAR = Isle.site(78.2, 15.6, Isle.MADRID);
    private static final Rig DIGITAL = Isle.rig(STREET, 35);

    private static Rig film(double exponent) {
        return Rig.of(Isle.film(400, exponent), STREET, Optional.empty(), 35);
    }

    private static TownPlan plan(Rig rig, Wishes wishes) {
        return (TownPlan) Isle.plan(new TownPlanner(), JUNE, rig, wishes);
    }

    private static double light(Setting s) {
        return Stops.between(
                s.shutter().realSeconds() * s.iso().value(), s.fNumber().squared());
    }

    /** By the fit of Patat et al. a sky 6° under is 13.3 mag/arcsec², 0.5 cd/m²: as bright as fronts in a lit town. */
    @Test
    void skyAndFrontsMeetSomeSixDegreesUnder() {
        TownNight night = plan(DIGITAL, Wishes.DEFAULT).night();
        assertEquals(2, night.balances().size(), "in the evening and in the morning");
        for (Instant b : night.balances()) {
            double sun = night.sky().at(Body.SUN, b).altitude().degrees();
            assertTrue(sun < -4.5 && sun > -8, "sun at " + sun);
            assertEquals(0, Stops.between(night.sky(b).luminance(), TownLight.TOWN.fronts()), 0.02);
        }
        assertEquals(night.balances().get(0), night.bestMoment());
        assertTrue(night.windows().get(0).contains(night.bestMoment()));
    }

    /** A brighter town meets the sky earlier on the evening. */
    @Test
    void aBrighterTownMeetsItEarlier() {
        Instant village = at(TownLight.VILLAGE);
        Instant centre = at(TownLight.CENTRE);
        assertTrue(centre.isBefore(at(TownLight.TOWN)) && at(TownLight.TOWN).isBefore(village));
    }

    private static Instant at(TownLight light) {
        TownWish usual = TownWish.KIND.usual();
        TownWish wish =
                new TownWish(usual.picture(), light, usual.metering(), usual.lamps(), usual.diffusion(), usual.used());
        return TownNight.of(SITE, JUNE, wish).bestMoment();
    }

    /** The street is set as a meter says: N²/t · 100/ISO = 2^EV. */
    @Test
    void aMidToneIsExposedAsMetered() {
        TownPlan p = plan(DIGITAL, Wishes.DEFAULT);
        double street = MeterReading.ev(p.exposure().luminance(TownPart.STREET));
        Setting s = p.setting();
        assertEquals(
                street,
                MeterReading.of(s.shutter().realSeconds(), s.fNumber(), s.iso()).ev(),
                0.2,
                "to a mark of the dial");
        assertEquals(11, s.fNumber().value(), 0.1);
        assertEquals(100, s.iso().number());
        assertInstanceOf(ApertureReason.Usual.class, p.exposure().aperture().reason());
        assertTrue(p.exposure().underClipping(TownPart.LAMPS) < -5, "lamps clip in any case");
    }

    /** On film a third over, and a long time as its exponent asks: 4 s to the power of 1.3 are 6.1. */
    @Test
    void filmIsGivenMore() {
        TownExposure e = plan(film(1.3), Wishes.DEFAULT).exposure();
        assertEquals(Math.pow(e.meteredSeconds(), 1.3), e.exactSeconds(), 1e-9);
        TownExposure straight = plan(film(1), Wishes.DEFAULT).exposure();
        assertEquals(straight.meteredSeconds(), straight.exactSeconds(), 1e-9);
        TownExposure.SchoolTime asRead = straight.schools().stream()
                .filter(s -> s.school() == TownExposure.School.MID_TONE)
                .findFirst()
                .orElseThrow();
        assertEquals(1.0 / 3, Stops.between(straight.meteredSeconds(), asRead.meteredSeconds()), 1e-9);
    }

    @Test
    void aReadingStandsInThePlaceOfTheModel() {
        Wishes read = Wishes.DEFAULT.with(new Metered(Optional.of(new MeterReading(5)), 0));
        TownExposure e = plan(DIGITAL, read).exposure();
        assertEquals(5, e.reference(), 1e-9);
        assertTrue(e.read());
        Wishes more = Wishes.DEFAULT.with(new Metered(Optional.empty(), 2));
        assertEquals(
                2,
                light(plan(DIGITAL, more).setting())
                        - light(plan(DIGITAL, Wishes.DEFAULT).setting()),
                0.2);
    }

    /** Tones are shares of one picture; a longer time blocks less and clips more. */
    @Test
    void tonesAddUp() {
        TownExposure usual = plan(DIGITAL, Wishes.DEFAULT).exposure();
        assertEquals(1, usual.tones().values().stream().mapToDouble(d -> d).sum(), 1e-9);
        TownExposure more = plan(DIGITAL, Wishes.DEFAULT.with(new Metered(Optional.empty(), 3)))
                .exposure();
        assertTrue(more.tones().getOrDefault(Tone.CLIPS, 0.0) > usual.tones().getOrDefault(Tone.CLIPS, 0.0));
        assertTrue(more.tones().getOrDefault(Tone.BLOCKED, 0.0) <= usual.tones().getOrDefault(Tone.BLOCKED, 0.0));
        assertEquals(Tone.CLIPS, usual.toneOf(TownPart.LAMPS));
        assertEquals(Tone.MIDDLE, usual.toneOf(TownPart.STREET));
    }

    /** On film three frames, each a stop over the one before, as far as the roll goes. */
    @Test
    void theRollEnds() {
        TownPlan p = plan(film(1.3), Wishes.DEFAULT);
        assertEquals(3, p.bracket().size());
        for (int i = 1; i < 3; i++) {
            double before =
                    Reciprocity.counts(p.rig(), p.bracket().get(i - 1).shutter().realSeconds());
            double after =
                    Reciprocity.counts(p.rig(), p.bracket().get(i).shutter().realSeconds());
            assertEquals(1, Stops.between(after, before), 0.25);
        }
        TownWish nearlyFull = TownWish.FRAMES_USED.with(p.wish(), 34);
        TownPlan last = TownPlan.of(p.place(), p.night(), p.rig(), Optional.empty(), Wishes.DEFAULT, nearlyFull);
        assertEquals(2, last.framesLeft());
        assertEquals(2, Block.frames(last.blocks()));
    }

    /** Brackets on a sensor go through the window of the evening, set for the light of each moment. */
    @Test
    void bracketsFollowTheFall() {
        TownPlan p = plan(DIGITAL, Wishes.DEFAULT);
        Block b = p.blocks().get(0);
        assertEquals(0, b.frames().size() % 3);
        assertTrue(b.frames().size() >= 9);
        assertTrue(p.night().main().orElseThrow().contains(b.start()));
        double first = b.frames().get(1).shutter().realSeconds();
        double last = b.frames().get(b.frames().size() - 2).shutter().realSeconds();
        assertTrue(last > first, "longer as the sky's light leaves the street");
    }

    /** Rays: as many as blades where those are even, twice as many where odd. */
    @Test
    void raysOfAnIris() {
        assertEquals(8, new TownWish.Lamps(true, 8).raysDrawn());
        assertEquals(18, new TownWish.Lamps(true, 9).raysDrawn());
        assertEquals(18, new TownWish.Lamps(true, 9).directions().size());
    }

    /** Where the sun does not go under there is nothing to balance, and it is said. */
    @Test
    void polarDayHasNoBlueHour() {
        TownNight night = TownNight.of(POLAR, JUNE, TownWish.KIND.usual());
        assertTrue(night.windows().isEmpty());
        assertEquals(0, night.score().total());
        assertFalse(night.whole().start().isAfter(night.bestMoment()));
        TownPlan plan =
                TownPlan.of(POLAR.place(), night, DIGITAL, Optional.empty(), Wishes.DEFAULT, TownWish.KIND.usual());
        assertEquals(java.util.List.of(), plan.blocks());
        assertTrue(plan.exposed().sky().orElseThrow().compareTo(SkyBrightness.of(12)) < 0, "as bright as day");
    }
}
