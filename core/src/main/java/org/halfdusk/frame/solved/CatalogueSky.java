package org.halfdusk.frame.solved;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.angle.Apparent;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarCatalogue;
import org.halfdusk.sky.Refraction;
import org.halfdusk.sky.Sky;

/** The catalogue's stars as they are seen over a place at a moment. */
public final class CatalogueSky {
    /** Lifted by refraction these still stand over the horizon, degrees. */
    private static final double LOWEST = -0.5;

    private CatalogueSky() {}

    /** Those above the horizon, brightest first. */
    public static List<SkyGuess.Known> seen(Sky sky, Instant at) {
        List<Star> stars = StarCatalogue.instance().stars();
        List<Vector> airless = sky.stars(stars, at);
        List<SkyGuess.Known> all = new ArrayList<>();
        for (int i = 0; i < stars.size(); i++) {
            Vector v = airless.get(i);
            double airlessDegrees = Math.toDegrees(v.latitudeRad());
            if (airlessDegrees >= LOWEST) {
                Apparent altitude = Apparent.ofDegrees(Refraction.STANDARD.apparent(airlessDegrees));
                Vector seen = Vector.ofSpherical(v.longitudeRad(), Math.toRadians(altitude.degrees()), 1);
                all.add(new SkyGuess.Known(seen, stars.get(i).magnitude(), altitude));
            }
        }
        return List.copyOf(all);
    }

    /** Right ascension and declination (J2000) of a direction as it is seen, degrees; the aberration, 20″ at most, is left out. */
    public static double[] equatorial(Sky sky, Instant at, Vector seen) {
        double altitude = Refraction.STANDARD.airless(Math.toDegrees(seen.latitudeRad()));
        Vector airless = Vector.ofSpherical(seen.longitudeRad(), Math.toRadians(altitude), 1);
        Vector ofDate = sky.turning(at).inverse().apply(airless);
        Vector j2000 = sky.earth(at).fromJ2000().inverse().apply(ofDate);
        double ra = (Math.toDegrees(j2000.longitudeRad()) + 360) % 360;
        return new double[] {ra, Math.toDegrees(j2000.latitudeRad())};
    }
}
