package org.halfdusk.shoot.search;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Site;
import org.halfdusk.sky.HorizontalPosition;
import org.junit.jupiter.api.Test;

/** The core over the watchtower and the moon over the lighthouse, through a year. */
class AlignmentsTest {
    private static final ForegroundObject TOWER =
            new ForegroundObject("Watchtower", 18, 7, Azimuth.ofDegrees(171.2), 64, 1);
    private static final LocalDate FIRST = LocalDate.of(2027, 1, 1);

    private static Alignments.Wish core(double sideways) {
        return new Alignments.Wish(Body.GALACTIC_CENTRE, TOWER, sideways, 30, Alignments.Light.DARK);
    }

    @Test
    void everyMatchHoldsWhatWasWishedAtBothEndsAndInTheMiddle() {
        Site site = Isle.isle(TOWER);
        List<Alignments.Match> found = Alignments.search(site, core(2), FIRST, 365);
        assertTrue(found.size() > 60, found.size() + " nights");
        for (Alignments.Match m : found) {
            for (Instant t :
                    List.of(m.span().start(), m.span().middle(), m.span().end())) {
                HorizontalPosition p = site.sky().at(Body.GALACTIC_CENTRE, t).apparent();
                double sideways = Math.abs(p.azimuth().turnTo(TOWER.azimuth()))
                        * Math.cos(p.altitude().radians());
                assertTrue(sideways <= 2.001, "sideways " + sideways);
                assertTrue(p.altitude().degrees() > TOWER.topDegrees());
                assertTrue(site.sky().at(Body.SUN, t).altitude().degrees() < -17.99);
                assertTrue(site.sky().at(Body.MOON, t).altitude().degrees() < 0);
            }
        }
    }

    /** The sky repeats four minutes earlier each night. */
    @Test
    void theCoreComesFourMinutesEarlierEachNight() {
        List<Alignments.Match> found = Alignments.search(Isle.isle(TOWER), core(2), LocalDate.of(2027, 6, 3), 4);
        assertEquals(4, found.size());
        long seconds = found.get(1).closest().at().getEpochSecond()
                - found.get(0).closest().at().getEpochSecond();
        assertEquals(86_164, seconds, 61);
        assertEquals(9.2, found.get(1).overDegrees(), 0.15);
    }

    @Test
    void aWiderWishHoldsWhereverANarrowOneDoes() {
        Site site = Isle.isle(TOWER);
        List<Alignments.Match> narrow = Alignments.search(site, core(1), LocalDate.of(2027, 5, 1), 60);
        List<Alignments.Match> wide = Alignments.search(site, core(3), LocalDate.of(2027, 5, 1), 60);
        assertFalse(narrow.isEmpty());
        for (Alignments.Match n : narrow) {
            assertTrue(wide.stream()
                    .anyMatch(w -> !w.span().start().isAfter(n.span().start())
                            && !w.span().end().isBefore(n.span().end())));
        }
    }

    @Test
    void theFullMoonOfJulyStandsOverTheLighthouseAtDusk() {
        ForegroundObject light = new ForegroundObject("North Light", 34, 8, Azimuth.ofDegrees(119.4), 1840, 26);
        Site sandbar = Isle.site(35.9861, -3.0588, Isle.MADRID, light);
        Alignments.Wish wish = new Alignments.Wish(Body.MOON, light, 2, 4, Alignments.Light.DUSK);
        assertTrue(Alignments.search(sandbar, wish, FIRST, 365).stream()
                .anyMatch(m -> m.night().equals(LocalDate.of(2027, 7, 18))));
    }

    @Test
    void refusesWhatItsStepsCouldMiss() {
        assertThrows(IllegalArgumentException.class, () -> core(0.4));
        assertThrows(IllegalArgumentException.class, () -> core(Double.NaN));
    }
}
