package org.halfdusk.ephemeris.stars;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.halfdusk.angle.Angle;
import org.halfdusk.ephemeris.coordinates.FixedDirection;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.sky.HorizontalPosition;
import org.junit.jupiter.api.Test;

class StarCatalogueTest {
    private static final StarCatalogue STARS = StarCatalogue.instance();

    /** Bright stars of the reference, 2015–2045: 0.5″ in altitude and on the sky in azimuth. */
    @Test
    void brightStarsStandWhereTheTableSays() {
        double worst = 0;
        String which = "";
        for (var r : ReferenceTable.read("stars.csv")) {
            Star star = STARS.named(r.text("star")).orElseThrow();
            HorizontalPosition p = r.sky().at(star, r.instant("utc").orElseThrow());
            double alt = r.number("alt_deg");
            double az = Angle.ofDegrees(p.azimuth().degrees() - r.number("az_deg"))
                    .signed()
                    .degrees();
            double off = 3600
                    * Math.max(Math.abs(p.altitude().degrees() - alt), Math.abs(az) * Math.cos(Math.toRadians(alt)));
            if (off > worst) {
                worst = off;
                which = star.name();
            }
        }
        System.out.printf("stars: worst %.3f arcsec, %s%n", worst, which);
        assertTrue(worst <= 0.5, which + " is off by " + worst + " arcsec");
    }

    @Test
    void theCatalogueIsWholeAndInOrder() {
        assertEquals(8874, STARS.stars().size());
        for (int i = 1; i < STARS.stars().size(); i++) {
            assertTrue(
                    STARS.stars().get(i - 1).magnitude() <= STARS.stars().get(i).magnitude());
        }
        assertEquals("Sirius", STARS.stars().get(0).name());
        assertEquals(22, STARS.bright().size());
    }

    /** Those with a precise place stand within the rounding of the catalogue's four decimals. */
    @Test
    void precisePlacesAgreeWithTheCatalogues() {
        Star vega = STARS.named("Vega").orElseThrow();
        assertEquals(279.2347, Math.toDegrees(vega.j2000().longitudeRad()), 0.0001);
        assertEquals(38.7837, Math.toDegrees(vega.j2000().latitudeRad()), 0.0001);
    }

    /** Deflection at the Sun's limb is 1.75″, at 90° 0.004″ (Explanatory Supplement 2013, 7.2.4). */
    @Test
    void lightBendsAwayFromTheSun() {
        var sun = new org.halfdusk.angle.Vector(1, 0, 0);
        var still = new org.halfdusk.angle.Vector(0, 0, 0);
        for (double[] c : new double[][] {{0.2666, 1.75, 0.01}, {90, 0.00407, 0.00001}}) {
            double a = Math.toRadians(c[0]);
            var star = new org.halfdusk.angle.Vector(Math.cos(a), Math.sin(a), 0);
            var seen = FixedDirection.apparent(star, sun, 1, still, org.halfdusk.angle.Rotation.NONE);
            assertEquals(c[1], seen.separationRad(star) * Angle.ARCSECONDS_PER_RADIAN, c[2]);
            assertTrue(seen.separationRad(sun) > star.separationRad(sun));
        }
    }
}
