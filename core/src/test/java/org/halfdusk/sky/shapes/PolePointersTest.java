package org.halfdusk.sky.shapes;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.place.Observer;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.junit.jupiter.api.Test;

/** The pole found by its pointers, in both hemispheres. */
class PolePointersTest {
    private static final Instant NIGHT = Instant.parse("2027-06-05T00:30:00Z");

    private static PolePointers from(double latitude) {
        Sky sky = Sky.over(new Observer(latitude, 10, 0), new SeriesEphemeris(), DeltaT.model());
        return PolePointers.at(sky, NIGHT);
    }

    /** The usual rule: five times from Merak to Dubhe. */
    @Test
    void thePloughPointsToPolaris() {
        PolePointers p = from(36);
        assertTrue(p.north());
        PolePointers.Spot merak = p.way().get(0);
        PolePointers.Spot dubhe = p.way().get(1);
        PolePointers.Spot polaris = p.way().get(2);
        double pointers = direction(merak).separationRad(direction(dubhe));
        double onwards = direction(dubhe).separationRad(direction(polaris));
        assertEquals(5.37, Math.toDegrees(pointers), 0.05);
        assertEquals(5, onwards / pointers, 0.5);
        assertTrue(Math.toDegrees(Math.hypot(polaris.x(), polaris.y())) < 0.75);
    }

    /** Four and a half times the long arm of the Cross, within the four degrees that the rule is good to. */
    @Test
    void theCrossPointsToTheSouthPole() {
        PolePointers p = from(-33);
        assertFalse(p.north());
        PolePointers.Spot gacrux = p.way().get(0);
        PolePointers.Spot acrux = p.way().get(1);
        Vector pole = new Vector(0, 0, 1);
        double arm = direction(gacrux).separationRad(direction(acrux));
        assertEquals(6.0, Math.toDegrees(arm), 0.1);
        assertEquals(4.5, direction(acrux).separationRad(pole) / arm, 0.3);
        Vector across = direction(gacrux).cross(direction(acrux)).unit();
        assertEquals(0, Math.toDegrees(Math.asin(across.dot(pole))), 4);
    }

    /** From the plane that touches the sky at the pole back to the sky. */
    private static Vector direction(PolePointers.Spot s) {
        return new Vector(s.x(), s.y(), 1).unit();
    }

    @Test
    void theHorizonIsAsFarUnderThePoleAsItStandsHigh() {
        assertEquals(Math.tan(Math.toRadians(36)), from(36).horizonBelow(), 1e-9);
    }

    /** The arch's feet are a quarter turn either side of its top. */
    @Test
    void theBandsArch() {
        Sky sky = Sky.over(new Observer(36, -3, 0), new SeriesEphemeris(), DeltaT.model());
        BandArch arch = BandArch.of(sky, NIGHT).orElseThrow();
        assertEquals(180, (arch.right() - arch.left() + 360) % 360, 1e-9);
        assertTrue(arch.top().altitude().degrees() > 20 && arch.top().altitude().degrees() <= 90);
    }

    /** Mare Crisium stands near the right limb with north up, Imbrium in the upper left. */
    @Test
    void thePlainsOfTheMoonAreWhereOneKnowsThem() {
        assertTrue(MoonMaria.seen(0, 0).stream().anyMatch(m -> m.x() > 0.7 && m.y() > 0.2 && m.across() < 0.16));
        assertTrue(MoonMaria.seen(0, 0).stream().anyMatch(m -> m.x() < -0.15 && m.y() > 0.4 && m.across() > 0.3));
        double crisium = MoonMaria.seen(7, 0).stream()
                .mapToDouble(MoonMaria.Patch::x)
                .max()
                .orElseThrow();
        assertTrue(crisium
                < MoonMaria.seen(-7, 0).stream()
                        .mapToDouble(MoonMaria.Patch::x)
                        .max()
                        .orElseThrow());
    }
}
