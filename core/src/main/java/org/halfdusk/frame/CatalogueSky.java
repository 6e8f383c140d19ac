package org.halfdusk.frame;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Star;
import org.halfdusk.ephemeris.StarCatalogue;
import org.halfdusk.sky.Refraction;
import org.halfdusk.sky.Sky;

/** The catalogue's stars as they are seen over a place at a moment. */
public final class CatalogueSky {
    private CatalogueSky() {}

    /** Those above the horizon, brightest first. */
    public static List<SkyGuess.Known> seen(Sky sky, Instant at) {
        List<Star> stars = StarCatalogue.instance().stars();
        List<Vector> airless = sky.stars(stars, at);
        List<SkyGuess.Known> all = new ArrayList<>();
        for (int i = 0; i < stars.size(); i++) {
            Vector v = airless.get(i).unit();
            double altitude = Math.toDegrees(Math.asin(v.z()));
            if (altitude < -0.5) {
                continue;
            }
            double apparent = Refraction.STANDARD.apparent(altitude);
            double h = Math.toRadians(apparent);
            double across = Math.hypot(v.x(), v.y());
            double scale = across > 0 ? Math.cos(h) / across : 0;
            all.add(new SkyGuess.Known(
                    v.x() * scale, v.y() * scale, Math.sin(h), stars.get(i).magnitude(), apparent));
        }
        return List.copyOf(all);
    }

    /** Right ascension and declination (J2000) of a direction as it is seen, degrees: by the star next to it, carried along. */
    public static double[] equatorial(Sky sky, Instant at, List<Double> forward) {
        double apparent = Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, forward.get(2)))));
        double h = Math.toRadians(Refraction.STANDARD.airless(apparent));
        double a = Math.atan2(forward.get(1), forward.get(0));
        Vector airless = new Vector(Math.cos(h) * Math.cos(a), Math.cos(h) * Math.sin(a), Math.sin(h));
        Vector ofDate = sky.turning(at).inverse().apply(airless);
        Vector j2000 = sky.earth(at).fromJ2000().inverse().apply(ofDate);
        double ra = (Math.toDegrees(j2000.longitudeRad()) + 360) % 360;
        return new double[] {ra, Math.toDegrees(j2000.latitudeRad())};
    }
}
