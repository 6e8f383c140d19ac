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
    private static final double EARTH_RADIUS_KM = 6371.0;

    /** Great-circle distance on a sphere, km; within 0.5 % of the ellipsoid's. */
    public double distanceKm(double latitude, double longitude) {
        double lat1 = Math.toRadians(latitude);
        double lat2 = Math.toRadians(latitudeDegrees);
        double halfLat = Math.sin((lat2 - lat1) / 2);
        double halfLon = Math.sin(Math.toRadians(longitudeDegrees - longitude) / 2);
        double h = halfLat * halfLat + Math.cos(lat1) * Math.cos(lat2) * halfLon * halfLon;
        return 2 * EARTH_RADIUS_KM * Math.asin(Math.min(1, Math.sqrt(h)));
    }

    /** Direction of the town from a point, degrees from north by east. */
    public double bearingDegrees(double latitude, double longitude) {
        double lat1 = Math.toRadians(latitude);
        double lat2 = Math.toRadians(latitudeDegrees);
        double dLon = Math.toRadians(longitudeDegrees - longitude);
        double y = Math.sin(dLon) * Math.cos(lat2);
        double x = Math.cos(lat1) * Math.sin(lat2) - Math.sin(lat1) * Math.cos(lat2) * Math.cos(dLon);
        return (Math.toDegrees(Math.atan2(y, x)) + 360) % 360;
    }
}
