package org.halfdusk.ephemeris.theory;

import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Rotation;

/** Precession IAU 2006 (Capitaine, Wallace and Chapront 2003, A&amp;A 412, 567, eq. 40 and 39), arcseconds in the literature. */
public final class Precession {
    private Precession() {}

    /** Mean obliquity of the ecliptic of date, radians. */
    public static double meanObliquityRad(double t) {
        return rad(84381.406
                + t * (-46.836769 + t * (-0.0001831 + t * (0.00200340 + t * (-0.000000576 - t * 0.0000000434)))));
    }

    /** From the mean equator and equinox J2000 to the mean equator and equinox of date. */
    public static Rotation toMeanOfDate(double t) {
        double zeta = rad(2.650545
                + t * (2306.083227 + t * (0.2988499 + t * (0.01801828 + t * (-0.000005971 - t * 0.0000003173)))));
        double z = rad(-2.650545
                + t * (2306.077181 + t * (1.0927348 + t * (0.01826837 + t * (-0.000028596 - t * 0.0000002904)))));
        double theta =
                rad(t * (2004.191903 + t * (-0.4294934 + t * (-0.04182264 + t * (-0.000007089 - t * 0.0000001274)))));
        return Rotation.aboutZ(-zeta).then(Rotation.aboutY(theta)).then(Rotation.aboutZ(-z));
    }

    /** From the mean to the true equator and equinox of date. */
    public static Rotation toTrueOfDate(double t, NutationTheory.Nutation nutation) {
        double obliquity = meanObliquityRad(t);
        return Rotation.aboutX(obliquity)
                .then(Rotation.aboutZ(-nutation.longitudeRad()))
                .then(Rotation.aboutX(-obliquity - nutation.obliquityRad()));
    }

    /** From the mean equator and equinox J2000 to the true ones of date. */
    public static Rotation fromJ2000(double t, NutationTheory.Nutation nutation) {
        return toMeanOfDate(t).then(toTrueOfDate(t, nutation));
    }

    private static double rad(double arcsec) {
        return arcsec / Angle.ARCSECONDS_PER_RADIAN;
    }
}
