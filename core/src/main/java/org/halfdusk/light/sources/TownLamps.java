package org.halfdusk.light.sources;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.towns.Settlements;

/**
 * The lamps of a settlement as they are seen from outside, singly: the same light that {@link TownLight} sends into the air, as points over
 * its built-up disc. Which streets they stand in is drawn by chance, the same for ever.
 *
 * @param index of the settlement among all
 * @param name of the settlement
 * @param people who live there
 * @param km to its middle
 * @param bearingDegrees towards its middle, from north over east
 * @param radiusKm of its built-up disc
 */
public record TownLamps(int index, String name, int people, double km, double bearingDegrees, double radiusKm) {
    /** Farther lamps are too faint and too near each other to be seen singly†, km. */
    public static final double FARTHEST_KM = 25;

    /** Share of a town's light that comes over its roofs level with them†. */
    private static final double OVER_ROOFS = 0.1;

    /** People for one lamp that is seen, and bounds of their number†: where there are more, each stands for several. */
    private static final int PEOPLE_PER_LAMP = 25;

    private static final int LEAST = 12;
    private static final int MOST = 200;

    /** Nearer ones stand beside the tripod, not behind the picture, km. */
    private static final double NEAREST_KM = 0.15;

    private static final double LOWEST_METRES = 2;
    private static final double HIGHEST_METRES = 16;

    /**
     * A lamp or a window.
     *
     * @param km from the eye, level
     * @param bearingDegrees towards it
     * @param metres over the ground it stands on
     * @param candela towards the eye
     * @param warm 0 to 1: how yellow it is
     */
    public record Lamp(double km, double bearingDegrees, double metres, double candela, double warm) {}

    /** Of all settlements about a place, nearest first. */
    public static List<TownLamps> about(double latitude, double longitude) {
        List<TownLamps> all = new ArrayList<>();
        Settlements settlements = Settlements.instance();
        settlements.near(latitude, longitude, FARTHEST_KM, (i, lat, lon, people) -> {
            double km = GreatCircle.distanceKm(latitude, longitude, lat, lon);
            if (km <= FARTHEST_KM) {
                double bearing = GreatCircle.bearingDegrees(latitude, longitude, lat, lon);
                all.add(new TownLamps(i, settlements.name(i), people, km, bearing, TownGlow.radiusKm(people)));
            }
        });
        all.sort(Comparator.comparingDouble(TownLamps::km));
        return List.copyOf(all);
    }

    /** Each of them, laid out when it is asked for. */
    public List<Lamp> lamps() {
        int n = Math.max(LEAST, Math.min(MOST, people / PEOPLE_PER_LAMP));
        double candela = OVER_ROOFS * TownLight.lumens(people) / (4 * Math.PI) / n;
        Random chance = new Random(index);
        List<Lamp> all = new ArrayList<>();
        for (int k = 0; k < n; k++) {
            // Even over the disc: the area grows with the square of the radius.
            double away = radiusKm * Math.sqrt(chance.nextDouble());
            double towards = 2 * Math.PI * chance.nextDouble();
            double ahead = km + away * Math.cos(towards);
            double aside = away * Math.sin(towards);
            double metres =
                    LOWEST_METRES + (HIGHEST_METRES - LOWEST_METRES) * chance.nextDouble() * chance.nextDouble();
            double warm = chance.nextDouble();
            double far = Math.hypot(ahead, aside);
            if (far >= NEAREST_KM) {
                double at = ((bearingDegrees + Math.toDegrees(Math.atan2(aside, ahead))) % 360 + 360) % 360;
                all.add(new Lamp(far, at, metres, candela, warm));
            }
        }
        return List.copyOf(all);
    }
}
