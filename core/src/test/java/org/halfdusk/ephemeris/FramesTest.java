package org.halfdusk.ephemeris;

import static org.junit.jupiter.api.Assertions.assertEquals;

import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Declination;
import org.halfdusk.ephemeris.coordinates.EarthMotion;
import org.halfdusk.ephemeris.coordinates.EclipticJ2000;
import org.halfdusk.ephemeris.coordinates.EclipticOfDate;
import org.halfdusk.ephemeris.coordinates.EquatorialJ2000;
import org.halfdusk.ephemeris.coordinates.EquatorialOfDate;

/** From frame to frame and back; worked examples of Meeus, Astronomical Algorithms 2nd ed. */
class FramesTest {
    private static final Ephemeris SERIES = new SeriesEphemeris();

    private static EquatorialJ2000 direction(double ra, double dec) {
        return new EquatorialJ2000(Angle.ofDegrees(ra), Declination.ofDegrees(dec), 1);
    }

    /** Example 13.a: Pollux, 116.328942°, +28.026183° is 113.215630°, +6.684170° on the ecliptic J2000; its obliquity is 0.04″ larger. */
    @Example
    void polluxOnTheEcliptic() {
        EclipticJ2000 e = direction(116.328942, 28.026183).toEcliptic();
        assertEquals(113.215630, e.longitude().degrees(), 0.00002);
        assertEquals(6.684170, e.latitude().degrees(), 0.00002);
    }

    /** Example 25.b: the Sun of 1992 October 13, 0h TD, apparent longitude 199°54′21.818″. */
    @Example
    void sunsApparentLongitude() {
        double tt = 2448908.5 - 2451545.0;
        EclipticOfDate sun = SERIES.eclipticPlace(Body.SUN, tt);
        assertEquals(199 + 54 / 60.0 + 21.818 / 3600, sun.longitude().degrees(), 0.3 / 3600);
        assertEquals(198.378178, SERIES.place(Body.SUN, tt).rightAscension().degrees(), 0.3 / 3600);
        assertEquals(-7.783871, SERIES.place(Body.SUN, tt).declination().degrees(), 0.3 / 3600);
    }

    /** Example 47.a: the Moon of 1992 April 12, 0h TD, apparent 134.688470°, +13.768368°; its theory is good to 10″. */
    @Example
    void moonsApparentPlace() {
        EquatorialOfDate moon = SERIES.place(Body.MOON, 2448724.5 - 2451545.0);
        assertEquals(134.688470, moon.rightAscension().degrees(), 10 / 3600.0);
        assertEquals(13.768368, moon.declination().degrees(), 4 / 3600.0);
        assertEquals(368_409.7, moon.distance(), 5);
    }

    /** Example 22.a: 1987 April 10, 0h TD: Δψ −3.788″, Δε +9.443″, true obliquity 23°26′36.850″. */
    @Example
    void nutation() {
        EarthMotion earth = SERIES.earth(2446895.5 - 2451545.0);
        assertEquals(-3.788, earth.nutationLongitudeRad() * Angle.ARCSECONDS_PER_RADIAN, 0.01);
        assertEquals(9.443, earth.nutationObliquityRad() * Angle.ARCSECONDS_PER_RADIAN, 0.01);
        double obliquity = Math.toDegrees(earth.trueObliquityRad()) * 3600;
        assertEquals(23 * 3600 + 26 * 60 + 36.850, obliquity, 0.06);
    }

    @Property
    void thereAndBack(
            @ForAll @DoubleRange(min = 0, max = 359.9) double lon,
            @ForAll @DoubleRange(min = -89, max = 89) double lat) {
        EclipticJ2000 j2000 = new EclipticJ2000(Angle.ofDegrees(lon), Angle.ofDegrees(lat), 2);
        assertEquals(
                0,
                j2000.vector().minus(j2000.toEquatorial().toEcliptic().vector()).length(),
                1e-12);
        EclipticOfDate ofDate = new EclipticOfDate(Angle.ofDegrees(lon), Angle.ofDegrees(lat), 2);
        Angle obliquity = Angle.ofDegrees(23.44);
        assertEquals(
                0,
                ofDate.vector()
                        .minus(ofDate.toEquatorial(obliquity)
                                .toEcliptic(obliquity)
                                .vector())
                        .length(),
                1e-12);
    }

    /** Precession and nutation turn the frame and keep angles: two directions stay as far apart as they were. */
    @Property(tries = 50)
    void toDateKeepsSeparations(@ForAll @DoubleRange(min = -18_000, max = 36_000) double tt) {
        EarthMotion earth = SERIES.earth(tt);
        EquatorialJ2000 a = direction(10, 20);
        EquatorialJ2000 b = direction(200, -70);
        assertEquals(
                a.vector().separationRad(b.vector()),
                a.toDate(earth).vector().separationRad(b.toDate(earth).vector()),
                1e-12);
    }
}
