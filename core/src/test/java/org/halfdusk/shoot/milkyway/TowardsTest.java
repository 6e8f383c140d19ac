package org.halfdusk.shoot.milkyway;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

/** The band over a direction, and through other glass. */
class TowardsTest {
    private static final LocalDate JUNE = LocalDate.of(2027, 6, 4);

    private static MilkyWayNight night(Map<String, String> texts) {
        return MilkyWayNight.of(Isle.isle().light(), JUNE, Isle.MADRID, MilkyWayWish.KIND.of(texts), Skyline.FLAT);
    }

    @Test
    void onlyOverTheDirection() {
        MilkyWayNight n = night(Map.of("BAND_TOWARDS", "150", "BAND_WITHIN", "5"));
        Interval w = n.main().orElseThrow();
        for (Instant t = w.start(); t.isBefore(w.end()); t = t.plusSeconds(300)) {
            HorizontalPosition p = n.sky().at(Body.GALACTIC_CENTRE, t);
            assertTrue(Math.abs(p.azimuth().degrees() - 150)
                            * Math.cos(Math.toRadians(p.altitude().degrees()))
                    <= 5.1);
        }
        assertEquals(150, n.best().position().azimuth().degrees(), 0.2, "best straight over it");
        assertEquals(WindowLimit.Cause.DIRECTION, n.beginsWith().orElseThrow().cause());
        assertEquals(WindowLimit.Cause.DIRECTION, n.endsWith().orElseThrow().cause());
        assertTrue(n.windowHours() < night(Map.of()).windowHours());
    }

    @Test
    void aDirectionThatItNeverReachesIsSaid() {
        NoWindow.Elsewhere e = assertInstanceOf(
                NoWindow.Elsewhere.class,
                night(Map.of("BAND_TOWARDS", "20")).noWindow().orElseThrow());
        assertEquals(20, e.wishedDegrees(), 1e-9);
    }

    /** Half of the focal length at the same f-number has a quarter of the pupil, and twice the time gives one stop of that back. */
    @Test
    void aStarsLightGoesWithThePupilAndTheTime() {
        Rig fifty = Isle.rig(Isle.STANDARD, 50);
        MilkyWayPlan plan = (MilkyWayPlan) Isle.plan(new MilkyWayPlanner(), JUNE, fifty, Wishes.DEFAULT);
        LensTrade same = LensTrade.of(plan, fifty);
        assertEquals(0, same.starStops(), 1e-9);
        LensTrade half = LensTrade.of(plan, Isle.rig(Isle.STANDARD, 25));
        assertEquals(-1, half.starStops(), 0.4, "two stops of pupil less, about one of time more");
        assertTrue(half.rig().longFieldDegrees() > fifty.longFieldDegrees());
    }

    /** The pole stands still, at the latitude in the north. */
    @Test
    void thePoleStandsStill() {
        Instant t = Instant.parse("2027-06-04T22:00:00Z");
        HorizontalPosition a = Isle.isle().sky().at(Body.CELESTIAL_POLE, t);
        HorizontalPosition b = Isle.isle().sky().at(Body.CELESTIAL_POLE, t.plusSeconds(6 * 3600));
        assertEquals(35.95, a.altitude().degrees(), 1e-3);
        assertEquals(a.altitude().degrees(), b.altitude().degrees(), 1e-6);
        assertEquals(0, Math.IEEEremainder(a.azimuth().degrees(), 360), 1e-3);
        assertFalse(Body.CELESTIAL_POLE.ofBand());
    }
}
