package org.halfdusk.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.DarkSite;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Skyline;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.shoot.lunareclipse.LunarEclipseNight;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.milkyway.NoWindow;
import org.halfdusk.shoot.milkyway.WindowLimit;
import org.halfdusk.shoot.moon.MoonNight;
import org.halfdusk.shoot.solareclipse.SolarEclipseDay;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

/** A skyline hides what stands low, in every subject. */
class SkylineNightsTest {
    private static Site behind(double altitude) {
        Site flat = Isle.isle();
        Skyline wall = new Skyline(List.of(new Skyline.Point(0, altitude)));
        return new Site(flat.place().with(wall), flat.sky(), DarkSite.withoutTowns(SkyBrightness.of(21.4)));
    }

    private static MilkyWayNight core(Site site) {
        return new MilkyWayPlanner().usualNight(site, LocalDate.of(2027, 6, 4));
    }

    @Test
    void theCoreComesOutOverTheSkylineLater() {
        MilkyWayNight flat = core(Isle.isle());
        MilkyWayNight hidden = core(behind(20));
        assertTrue(hidden.windowHours() < flat.windowHours() - 1);
        Interval w = hidden.main().orElseThrow();
        HorizontalPosition at = hidden.sky().at(Body.GALACTIC_CENTRE, w.start()).apparent();
        assertEquals(20, at.altitude().degrees(), 0.02);
        assertEquals(
                WindowLimit.Cause.SKYLINE, hidden.beginsWith().orElseThrow().cause());
        assertEquals(WindowLimit.Cause.CORE, flat.beginsWith().orElseThrow().cause());
    }

    /** The window and the playhead ask the same land with the same lifted core. */
    @Test
    void theCoreShowsFromTheSecondItsWindowBegins() {
        MilkyWayNight hidden = core(behind(20));
        Instant begins = hidden.main().orElseThrow().start();
        assertTrue(hidden.shows(begins.plusSeconds(1)));
        assertFalse(hidden.shows(begins.minusSeconds(1)));
    }

    @Test
    void aMountainHidesTheCoreAllNight() {
        MilkyWayNight night = core(behind(40));
        assertTrue(night.main().isEmpty());
        assertInstanceOf(NoWindow.CoreHidden.class, night.noWindow().orElseThrow());
    }

    @Test
    void aLowWallMovesTheMoonsMinutes() {
        LocalDate full = LocalDate.of(2027, 7, 18);
        MoonNight flat = MoonNight.of(Isle.isle(), full);
        assertFalse(flat.windows().isEmpty());
        MoonNight walled = MoonNight.of(behind(10), full);
        for (Interval w : walled.windows()) {
            double altitude = walled.sky().at(Body.MOON, w.middle()).altitude().degrees();
            assertTrue(altitude > 9.8, "moon at " + altitude);
        }
    }

    @Test
    void contactsBehindTheSkylineAreNotSeen() {
        LunarEclipseNight high = LunarEclipseNight.of(behind(10), LocalDate.of(2029, 12, 20), ReferenceTable.EPHEMERIS);
        assertTrue(high.contacts().stream().allMatch(LunarEclipseNight.Contact::visible));
        LunarEclipseNight hidden =
                LunarEclipseNight.of(behind(80), LocalDate.of(2029, 12, 20), ReferenceTable.EPHEMERIS);
        assertTrue(hidden.contacts().stream().anyMatch(c -> !c.visible()));
        SolarEclipseDay morning = SolarEclipseDay.of(behind(30), LocalDate.of(2027, 8, 2), 3);
        assertFalse(morning.contacts().get(0).visible());
        assertTrue(morning.contacts().get(morning.contacts().size() - 1).visible());
        assertTrue(SolarEclipseDay.of(Isle.isle(), LocalDate.of(2027, 8, 2), 3)
                .contacts()
                .get(0)
                .visible());
    }
}
