package org.halfdusk.light;

import java.util.Collections;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import org.halfdusk.angle.Vector;
import org.halfdusk.place.Gazetteer;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Town;

/**
 * The sky of a place without Sun and Moon: the natural sky and what towns add.
 *
 * <p>The natural sky is 22.0 mag/arcsec² at the zenith; three fifths of it† are airglow, which grows towards the horizon
 * by van Rhijn, 1/√(1 − (R sin z/(R + 90 km))²), less what the longer way through the air takes. The place's measured
 * zenith value says how much towns add overhead. Towards a town stands its dome: at 45° it is 0.01·P·r^−2.5 times the
 * natural sky (Walker 1977, P people, r km), falling off with height by e per 20° and to the sides by a Gaussian of 45°†.
 * Towns under the gazetteer's 15,000 are absent, so a dome is a lower bound. († working fits of ours.)
 */
public final class DarkSite {
    /** Natural dark sky at the zenith, mag/arcsec², near the Sun's quiet. */
    public static final double NATURAL = 22.0;

    private static final double AIRGLOW_SHARE = 0.6;
    private static final double AIRGLOW_HEIGHT_KM = 90;
    private static final double FALL_DEGREES = 20;
    private static final double SIDE_DEGREES = 45;
    private static final double FARTHEST_KM = 200;
    private static final double FAINTEST_RATIO = 0.002;

    private final double natural;
    private final double overhead;
    private final List<Dome> domes;
    private final Extinction extinction;

    /**
     * A town's glow.
     *
     * @param ratioAt45 brightness at 45° towards it over the natural sky
     */
    public record Dome(Town town, double azimuthDegrees, double distanceKm, double ratioAt45) {
        /** Up to which altitude it is at least half as bright as the natural sky, 0 to 90°. */
        public double heightDegrees() {
            return Math.max(0, Math.min(90, 45 + FALL_DEGREES * Math.log(ratioAt45 / 0.5)));
        }
    }

    private DarkSite(double zenithBrightness, List<Dome> domes, Extinction extinction) {
        this.natural = Magnitudes.flux(Math.max(NATURAL, zenithBrightness));
        this.domes = domes;
        this.extinction = extinction;
        double townsOverhead = domes.stream().mapToDouble(d -> dome(d, 90, 0)).sum();
        this.overhead = Math.max(0, Magnitudes.flux(zenithBrightness) - natural - townsOverhead);
    }

    /** With the domes of the gazetteer's towns within 200 km. */
    public static DarkSite of(Observer observer, double zenithBrightness) {
        return of(zenithBrightness, domes(observer), Extinction.CLEAR);
    }

    public static DarkSite of(double zenithBrightness, List<Dome> domes, Extinction extinction) {
        return new DarkSite(zenithBrightness, List.copyOf(domes), extinction);
    }

    /** The towns that show, brightest first; a town inside a larger one's radius counts as part of it. */
    public static List<Dome> domes(Observer observer) {
        double lat = observer.latitudeDegrees();
        double lon = observer.longitudeDegrees();
        return Gazetteer.instance().within(lat, lon, FARTHEST_KM).stream()
                .filter(Sources.OWN::contains)
                .map(t -> dome(t, lat, lon))
                .filter(d -> d.ratioAt45() > FAINTEST_RATIO)
                .sorted(Comparator.comparingDouble(Dome::ratioAt45).reversed())
                .toList();
    }

    /** Towns that shine for themselves: which they are depends on no observer, so it is found once. */
    private static final class Sources {
        static final Set<Town> OWN = own();

        private static Set<Town> own() {
            Gazetteer all = Gazetteer.instance();
            double widest = radiusKm(
                    all.towns().stream().mapToInt(Town::population).max().orElse(0));
            Set<Town> own = Collections.newSetFromMap(new IdentityHashMap<>());
            all.towns().stream()
                    .sorted(Comparator.comparingInt(Town::population).reversed())
                    .forEach(t -> {
                        double lat = t.latitudeDegrees();
                        double lon = t.longitudeDegrees();
                        boolean absorbed = all.within(lat, lon, widest).stream()
                                .anyMatch(k -> k.population() >= t.population()
                                        && own.contains(k)
                                        && k.distanceKm(lat, lon) < radiusKm(k.population()));
                        if (!absorbed) {
                            own.add(t);
                        }
                    });
            return own;
        }
    }

    private static Dome dome(Town t, double lat, double lon) {
        double km = Math.max(t.distanceKm(lat, lon), radiusKm(t.population()));
        return new Dome(t, t.bearingDegrees(lat, lon), km, 0.01 * t.population() * Math.pow(km, -2.5));
    }

    /** Radius of a built-up area, km, as the square root of its people: 1 km at 15,000, 8 km at a million†. */
    private static double radiusKm(int population) {
        return Math.sqrt(population / 15_000.0);
    }

    /**
     * Zenith brightness that the domes of the gazetteer's towns alone would leave, mag/arcsec²: an upper bound of how dark
     * it is, since smaller places are absent.
     */
    public static double estimate(Observer observer) {
        return estimate(domes(observer));
    }

    /** The same where the domes are known. */
    public static double estimate(List<Dome> domes) {
        DarkSite natural = of(NATURAL, domes, Extinction.CLEAR);
        double flux = natural.natural;
        for (Dome d : natural.domes) {
            flux += natural.dome(d, 90, 0);
        }
        return Magnitudes.of(flux);
    }

    public List<Dome> domes() {
        return domes;
    }

    private double dome(Dome d, double altitudeDegrees, double sideDegrees) {
        double fall = Math.exp((45 - altitudeDegrees) / FALL_DEGREES);
        // Inside a town its light stands overhead as well.
        double height = d.distanceKm() <= radiusKm(d.town().population()) ? Math.max(1, fall) : fall;
        // Overhead no side is farther from the town than another.
        double lean = Math.cos(Math.toRadians(altitudeDegrees));
        double side = Math.exp(-0.5 * Math.pow(sideDegrees * lean / SIDE_DEGREES, 2));
        return natural * d.ratioAt45() * height * side;
    }

    /** Flux of airglow, starlight and zodiacal light at an altitude. */
    double naturalFlux(double altitudeDegrees) {
        double z = Math.toRadians(90 - Math.max(0, altitudeDegrees));
        double s = 6371 * Math.sin(z) / (6371 + AIRGLOW_HEIGHT_KM);
        double vanRhijn = 1 / Math.sqrt(1 - s * s);
        double air = Math.pow(10, -0.4 * extinction.perAirmass() * (Extinction.airmass(altitudeDegrees) - 1) * 0.75);
        return natural * (AIRGLOW_SHARE * vanRhijn + 1 - AIRGLOW_SHARE) * air;
    }

    /** Flux of towns in a direction (north, east, up). */
    double townFlux(Vector direction) {
        double altitude = Math.toDegrees(direction.latitudeRad());
        double azimuth = Math.toDegrees(Math.atan2(direction.y(), direction.x()));
        double sum = overhead * (1 + 1.5 * (1 - Math.max(0, direction.z())));
        for (Dome d : domes) {
            double side = Math.abs(Math.IEEEremainder(azimuth - d.azimuthDegrees(), 360));
            sum += dome(d, Math.max(0, altitude), side);
        }
        return sum;
    }

    Extinction extinction() {
        return extinction;
    }
}
