package org.halfdusk.shoot.setting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.sky.Sky;
import org.halfdusk.trailing.Mount;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** When a disc leaves the frame: half its short side less the disc's radius, at the speed that the mount leaves. */
class RecentringTest {
    /** The eclipsed sun of 2 August 2027, 18° of declination: 15″ · cos 18° = 14.3″ a second. */
    private static final Instant SUMMER = Instant.parse("2027-08-02T08:45:00Z");

    private static final Sky ISLE = Isle.isle().sky();

    /**
     * The short side of 23.9 mm is 2·atan(11.95/f): 3.42° at 400 mm, of which the half less 0.28° is 1.43°, 360 s at 14.3″; 13.62° at
     * 100 mm leave 6.53°, 1,644 s.
     */
    @ParameterizedTest
    @CsvSource({"400, 360, 1.43", "100, 1644, 6.53"})
    void onATripod(double focal, long seconds, double degrees) {
        Recentring r = Recentring.of(Isle.rig(Isle.TELE, focal), ExposureLimits.NONE, ISLE, Body.SUN, SUMMER)
                .orElseThrow();
        assertEquals(seconds, r.after().toSeconds(), 0.02 * seconds);
        assertEquals(degrees, r.degrees(), 0.01);
    }

    /** A mount at the sun's rate keeps it for hours, unless its axis is badly off; at the stars' rate it drifts by a degree a day. */
    @Test
    void onAMountThatFollows() {
        ExposureLimits solar = new ExposureLimits(Mount.SOLAR, 0, PeriodicError.NONE, false, 0);
        assertEquals(Optional.empty(), Recentring.of(Isle.rig(Isle.TELE, 400), solar, ISLE, Body.SUN, SUMMER));
        ExposureLimits lunar = new ExposureLimits(Mount.SIDEREAL, 0, PeriodicError.NONE, false, 0);
        Recentring moon = Recentring.of(Isle.rig(Isle.TELE, 400), lunar, ISLE, Body.MOON, SUMMER)
                .orElseThrow();
        assertTrue(
                moon.after().toHours() >= 2 && moon.after().toHours() < 5,
                "the moon's own half a degree an hour: " + moon);
    }
}
