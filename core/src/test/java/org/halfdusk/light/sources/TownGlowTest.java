package org.halfdusk.light.sources;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.halfdusk.angle.Vector;
import org.halfdusk.light.DarkSite;
import org.halfdusk.light.ZenithSites;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.towns.Settlements;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The light of towns against what is commonly reported of places, against Walker's law, and against itself. */
@Tag("slow")
class TownGlowTest {
    private static final double NATURAL = DarkSite.NATURAL.flux();

    private static Vector towards(double altitude, double azimuth) {
        return Vector.ofSpherical(Math.toRadians(azimuth), Math.toRadians(altitude), 1);
    }

    static List<ZenithSites.Site> sites() {
        return ZenithSites.all();
    }

    /** Fourteen kinds of places; figures as commonly reported, with how far a model may be off before one should ask why. */
    @ParameterizedTest
    @MethodSource("sites")
    void zenithsAsCommonlyReported(ZenithSites.Site site) {
        assertEquals(site.reported(), site.modelled(), site.tolerance(), site.name());
    }

    /** The same together: 0.4 mag in rms is asked for; 0.25 was had. */
    @Test
    void theMisfitIsWhatThePageSays() {
        assertEquals(14, ZenithSites.all().size());
        System.out.printf("zenith of 14 kinds of places: %.2f mag in rms%n", ZenithSites.misfit());
        assertTrue(ZenithSites.misfit() < 0.3, "rms " + ZenithSites.misfit());
    }

    /** Walker 1977: 0.01·P·r^−2.5 at 45° towards a town: 3,160 people at 10 km a tenth; his cities differ by half. */
    @Test
    void aSmallTownAsWalkersLawSays() {
        TownGlow dark = TownGlow.of(Observer.of(25, 5, 500));
        assertEquals(0.1, dark.flux(3160, 10, 45) / NATURAL, 0.05);
        assertEquals(DarkSite.reachKm(3160), 10, 2);
        double exponent = Math.log(dark.flux(100_000, 15, 45) / dark.flux(100_000, 45, 45)) / Math.log(3);
        assertTrue(exponent > 2 && exponent < 2.8, "falls off by r^−" + exponent);
    }

    /** Garstang's and all later models agree that a town at 10 km stands several times higher at 45° than overhead. */
    @Test
    void overheadIsAFewTimesLessThanTowardsIt() {
        double ratio = TownLight.luminance(10, 45, 0, 0) / TownLight.luminance(10, 90, 0, 0);
        assertTrue(ratio > 2.5 && ratio < 6, "ratio " + ratio);
        assertTrue(TownLight.luminance(10, 45, 0, 0) > TownLight.luminance(10, 45, 90, 0));
        assertTrue(TownLight.luminance(10, 45, 90, 0) > TownLight.luminance(10, 45, 180, 0));
    }

    /** Walking out of a large city in steps of a hundred metres: before, the sky leapt by two magnitudes at its edge. */
    @ParameterizedTest
    @CsvSource({"48.857,2.352,270", "40.417,-3.703,0", "-33.868,151.209,270"})
    void theSkyNeverLeaps(double latitude, double longitude, double bearing) {
        double before = Double.NaN;
        for (double km = 0; km < 40; km += 0.1) {
            double[] at = GreatCircle.destination(latitude, longitude, bearing, km);
            double zenith = DarkSite.estimate(Observer.of(at[0], at[1], 100)).magnitude();
            if (km > 0) {
                assertEquals(before, zenith, 0.06, "at " + km + " km");
            }
            before = zenith;
        }
    }

    /** In the middle of a city its lamps stand on all sides, and 30 km out it is a city's rim, not a village's sky. */
    @Test
    void middleAndRimOfACity() {
        double middle = DarkSite.estimate(Observer.of(40.417, -3.703, 660)).magnitude();
        double[] rim = GreatCircle.destination(40.417, -3.703, 0, 21);
        double out = DarkSite.estimate(Observer.of(rim[0], rim[1], 700)).magnitude();
        assertTrue(middle < 18, "middle " + middle);
        assertTrue(out > middle + 0.4 && out < 19.8, "21 km out " + out);
    }

    /** Whatever is typed stands overhead, and the domes are scaled to it. */
    @Test
    void aMeasuredZenithIsHonouredExactly() {
        Random random = new Random(5);
        for (int i = 0; i < 60; i++) {
            Observer o = Observer.of(random.nextDouble() * 120 - 55, random.nextDouble() * 360 - 180, 0);
            double typed = 15 + random.nextDouble() * 7.2;
            DarkSite site = DarkSite.of(o, SkyBrightness.of(typed));
            double overhead = site.naturalFlux(90) + site.townFlux(new Vector(0, 0, 1));
            assertEquals(typed, Magnitudes.of(overhead), 1e-9, "at " + o);
            for (double azimuth = 0; azimuth < 360; azimuth += 45) {
                assertTrue(site.townFlux(towards(10, azimuth)) >= 0);
            }
        }
    }

    @Test
    void aDomeIsBrightestTowardsItsTownAndLowDown() {
        DarkSite site = DarkSite.of(Observer.of(35.95, -3.05, 40), SkyBrightness.of(21.2));
        DarkSite.Dome first = site.domes().get(0);
        double towards = site.townFlux(towards(10, first.azimuthDegrees()));
        assertTrue(towards > site.townFlux(towards(10, first.azimuthDegrees() + 180)));
        assertTrue(towards > site.townFlux(towards(40, first.azimuthDegrees())));
    }

    /** Where all towns lie on one side, so does the glow; the seam at north is none. */
    @Test
    void noSeamInAnyDirection() {
        TownGlow glow = TownGlow.of(Observer.of(43, -3, 50));
        for (double azimuth = 0; azimuth < 360; azimuth += 1) {
            double here = glow.flux(towards(5, azimuth));
            double next = glow.flux(towards(5, azimuth + 1));
            assertEquals(1, here / next, 0.25, "at " + azimuth);
        }
    }

    /** Every place of the list is found from where it stands, the date line and the far north with it. */
    @Test
    void settlementsAreFoundWhereTheyStand() {
        Settlements all = Settlements.instance();
        assertEquals(107_464, all.size());
        Random random = new Random(7);
        for (int i = 0; i < 300; i++) {
            int wanted = random.nextInt(all.size());
            int[] seen = {0};
            double lon = all.longitude(wanted) + (random.nextBoolean() ? 0.05 : -0.05);
            all.near(all.latitude(wanted), lon, 8, (k, la, lo, people) -> seen[0] += k == wanted ? 1 : 0);
            assertEquals(1, seen[0], all.name(wanted));
        }
    }

    /** GeoNames: Tarifa, Spain, 36.01°, −5.60°, about 18,000. */
    @Test
    void aSettlementHasItsColumns() {
        Settlements all = Settlements.instance();
        int[] found = {-1};
        all.near(
                36.014, -5.606, 3, (i, la, lo, people) -> found[0] = all.name(i).equals("Tarifa") ? i : found[0]);
        assertTrue(found[0] >= 0);
        assertEquals(18_000, all.people(found[0]), 3_000);
    }

    /**
     * The same light by an independent quadrature, written apart: steps of two hundredths of the distance to the lamp along the line of
     * sight, some thousands of them. cd/m² of a lumen.
     */
    @ParameterizedTest
    @CsvSource({
        "10,45,0,0,7.4474e-12",
        "10,90,0,0,1.9718e-12",
        "50,20,60,0,1.9492e-13",
        "2,10,0,0,1.2789e-9",
        "30,5,0,1.5,2.0783e-11",
        "100,60,120,0.5,8.8287e-15",
        "0.5,60,180,0,1.0230e-10",
        "200,3,0,0.3,2.0067e-13"
    })
    void scatteringAsComputedApart(double km, double altitude, double side, double height, double expected) {
        assertEquals(expected, TownLight.luminance(km, altitude, side, height), 0.04 * expected);
    }

    /**
     * All 57 places within 300 km of a point beside Lanzarote, each by that quadrature and added up one by one: 23.90 mag/arcsec² of
     * town light overhead, 22.60 at 45° in the west, 23.18 at 10° in the north-east, 22.98 at 30° in the south.
     */
    @ParameterizedTest
    @CsvSource({"90,0,23.90", "45,270,22.60", "10,45,23.18", "30,200,22.98"})
    void allPlacesAddedUpOneByOne(double altitude, double azimuth, double magnitude) {
        TownGlow glow = TownGlow.of(Observer.of(29.0, -13.3, 0));
        assertEquals(magnitude, Magnitudes.of(glow.flux(towards(altitude, azimuth))), 0.1);
    }

    /**
     * The table holds a lumen's light at its nodes, by distance, altitude and steps of 5° to the side: at 7 km and 23° for lamps 10°, at 112 km
     * and 45° for lamps 60° aside and behind. Between computed sides it falls evenly in magnitudes.
     */
    @Test
    void theTableIsTheLightAtItsNodes() {
        double[][][] table = TownGlow.computed(0.4);
        double factor = 1 / Magnitudes.ZERO_POINT_CD_PER_M2;
        assertEquals(1, table[7][6][2] / (factor * TownLight.luminance(7, 23, 10, 0.4)), 1e-9);
        assertEquals(1, table[15][8][12] / (factor * TownLight.luminance(112, 45, 60, 0.4)), 1e-9);
        assertEquals(1, table[15][8][36] / (factor * TownLight.luminance(112, 45, 180, 0.4)), 1e-9);
        assertEquals(1, table[0][0][0] / (factor * TownLight.luminance(0, 0, 0, 0.4)), 1e-9);
        assertEquals(1, table[18][11][0] / (factor * TownLight.luminance(300, 90, 0, 0.4)), 1e-9);
        // Steps 3 and 5 are computed, 4 stands between; 12 and 18 are, 14 a third of the way.
        assertEquals(Math.sqrt(table[7][6][3] * table[7][6][5]), table[7][6][4], 1e-9 * table[7][6][4]);
        double third = table[7][6][12] * Math.pow(table[7][6][18] / table[7][6][12], 1 / 3.0);
        assertEquals(third, table[7][6][14], 1e-9 * third);
        for (double[][] byAltitude : table) {
            for (double[] sides : byAltitude) {
                for (int s = 1; s < sides.length; s++) {
                    assertTrue(sides[s] > 0 && sides[s] <= sides[s - 1] * 1.2, "it does not leap to the side");
                }
            }
        }
    }

    /** At the altitude that is told of a dome its light is half of the natural sky's; lower it is more, higher less. */
    @Test
    void domesReachAsHighAsIsTold() {
        int between = 0;
        for (double[] at :
                new double[][] {{40.417, -3.703}, {40.7, -3.703}, {36.2, -5.4}, {48.857, 2.352}, {35.95, -3.05}}) {
            Observer o = Observer.of(at[0], at[1], 100);
            TownGlow glow = TownGlow.of(o);
            for (DarkSite.Dome d : DarkSite.of(o, SkyBrightness.of(20)).domes()) {
                assertEquals(glow.flux(d.people(), d.distanceKm(), 45) / NATURAL, d.ratioAt45(), 1e-9);
                if (d.heightDegrees() == 0) {
                    assertTrue(glow.flux(d.people(), d.distanceKm(), 6) < NATURAL / 2, d.name());
                } else if (d.heightDegrees() == 90) {
                    assertTrue(glow.flux(d.people(), d.distanceKm(), 90) >= NATURAL / 2, d.name());
                } else {
                    between++;
                    assertEquals(
                            0.5, glow.flux(d.people(), d.distanceKm(), d.heightDegrees()) / NATURAL, 0.03, d.name());
                    assertTrue(glow.flux(d.people(), d.distanceKm(), d.heightDegrees() + 1) < NATURAL / 2);
                }
            }
        }
        assertTrue(between > 5, "domes that end in between: " + between);
    }

    /** As far as it is told to reach, a town adds a tenth to the natural sky at 45°. */
    @ParameterizedTest
    @CsvSource({"1000", "3160", "20000", "100000", "1000000", "9000000"})
    void reachIsWhereATenthIsAdded(int people) {
        double km = DarkSite.reachKm(people);
        double there = TownLight.lumens(people) * TownLight.luminance(km, 45, 0, 0) / Magnitudes.ZERO_POINT_CD_PER_M2;
        assertEquals(0.1, there / NATURAL, 0.012, people + " people at " + km + " km");
    }

    @Test
    void aHamletReachesNowhere() {
        assertEquals(0, TownGlow.reachKm(10, NATURAL));
        assertTrue(TownGlow.reachKm(1_000_000, 1e-30) <= 300.001);
    }

    /** Where nobody has measured, the estimate stands overhead; it has the same domes as a measured place. */
    @Test
    void anEstimatedPlace() {
        Observer o = Observer.of(36.2, -5.4, 100);
        DarkSite site = DarkSite.estimated(o);
        assertEquals(site.estimate(), DarkSite.estimate(o));
        double overhead = site.naturalFlux(90) + site.townFlux(new Vector(0, 0, 1));
        assertEquals(site.estimate().magnitude(), Magnitudes.of(overhead), 1e-6);
        assertEquals(
                DarkSite.NATURAL, DarkSite.withoutTowns(SkyBrightness.of(21)).estimate());
    }
}
