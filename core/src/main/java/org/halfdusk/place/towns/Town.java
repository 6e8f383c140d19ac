package org.halfdusk.place.towns;

import java.time.ZoneId;
import org.halfdusk.place.geodesy.GreatCircle;

/** A town of the gazetteer. */
public record Town(
        String name,
        String country,
        double latitudeDegrees,
        double longitudeDegrees,
        int population,
        double elevationMetres,
        ZoneId zone) {
    /** Distance from a point, km. */
    public double distanceKm(double latitude, double longitude) {
        return GreatCircle.distanceKm(latitude, longitude, latitudeDegrees, longitudeDegrees);
    }

    /** Direction of the town from a point, degrees from north by east. */
    public double bearingDegrees(double latitude, double longitude) {
        return GreatCircle.bearingDegrees(latitude, longitude, latitudeDegrees, longitudeDegrees);
    }
}
