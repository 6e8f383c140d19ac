package org.halfdusk.place.geodesy;

/**
 * The Mercator projection of a sphere as maps on screens have it: the world's width is 1, x grows east from −180°, y grows
 * south. True in shape, so that a bearing is a straight line near its start; used to 85° of latitude.
 */
public final class Mercator {
    public static final double HIGHEST_LATITUDE = 85;

    private static final double EQUATOR_METRES = 40_075_016.7;

    private Mercator() {}

    /** Across the world from 180° west, 0 to 1, of a longitude in degrees. */
    public static double x(double longitude) {
        return longitude / 360 + 0.5;
    }

    /** Down from the top of the map, 0 to 1, of a latitude in degrees (Mercator's projection on a sphere). */
    public static double y(double latitude) {
        double lat = Math.toRadians(Math.max(-HIGHEST_LATITUDE, Math.min(HIGHEST_LATITUDE, latitude)));
        double s = Math.sin(lat);
        return 0.5 - Math.log((1 + s) / (1 - s)) / (4 * Math.PI);
    }

    /** Degrees, east positive: the inverse of {@link #x}. */
    public static double longitude(double x) {
        return (x - 0.5) * 360;
    }

    /** Degrees, north positive: the inverse of {@link #y}. */
    public static double latitude(double y) {
        return Math.toDegrees(Math.atan(Math.sinh(Math.PI * (1 - 2 * y))));
    }

    /** Widths of the world that a distance on the ground takes at a latitude. */
    public static double width(double metres, double latitude) {
        double cos = Math.cos(Math.toRadians(Math.max(-HIGHEST_LATITUDE, Math.min(HIGHEST_LATITUDE, latitude))));
        return metres / (EQUATOR_METRES * cos);
    }
}
