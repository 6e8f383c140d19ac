package org.halfdusk.place;

import java.time.ZoneId;

/** A town of the gazetteer. */
public record Town(
        String name,
        String country,
        double latitudeDegrees,
        double longitudeDegrees,
        int population,
        double elevationMetres,
        ZoneId zone) {
    /** As far as its light still adds a tenth to the natural sky at 45° towards it, km: 0.01·P·r^−2.5 = 0.1 (Walker 1977). */
    public double glowKm() {
        return Math.pow(0.1 * population, 0.4);
    }

    /** Distance from a point, km. */
    public double distanceKm(double latitude, double longitude) {
        return GreatCircle.distanceKm(latitude, longitude, latitudeDegrees, longitudeDegrees);
    }

    /** Direction of the town from a point, degrees from north by east. */
    public double bearingDegrees(double latitude, double longitude) {
        return GreatCircle.bearingDegrees(latitude, longitude, latitudeDegrees, longitudeDegrees);
    }
}
