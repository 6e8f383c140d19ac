package org.halfdusk.place;

import org.halfdusk.place.geodesy.GreatCircle;

/**
 * A point on or above the WGS 84 ellipsoid.
 *
 * @param latitudeDegrees geodetic, −90 to 90, north positive
 * @param longitudeDegrees −180 to 180, east positive
 * @param elevationMetres above the ellipsoid (sea level serves: the geoid's ±100 m move the Moon by 0.05″), −430 to 9000
 */
public record Observer(double latitudeDegrees, double longitudeDegrees, double elevationMetres) {
    /** Equatorial radius of the Earth, km (WGS 84). */
    public static final double EQUATORIAL_RADIUS_KM = 6378.137;

    /** How much shorter the polar radius is, as a share of the equatorial one (WGS 84). */
    public static final double FLATTENING = 1 / 298.257223563;

    /** @throws IllegalArgumentException for a latitude outside ±90°, a longitude outside ±180°, a height outside −430 to 9000 m */
    public Observer {
        if (!(latitudeDegrees >= -90 && latitudeDegrees <= 90)) {
            throw new IllegalArgumentException("latitude " + latitudeDegrees + "° is outside −90° to 90°");
        }
        if (!(longitudeDegrees >= -180 && longitudeDegrees <= 180)) {
            throw new IllegalArgumentException("longitude " + longitudeDegrees + "° is outside −180° to 180°");
        }
        if (!(elevationMetres >= -430 && elevationMetres <= 9000)) {
            throw new IllegalArgumentException("elevation " + elevationMetres + " m is outside −430 m to 9000 m");
        }
    }

    /** North and east positive, height over the sea in metres. */
    public static Observer of(double latitudeDegrees, double longitudeDegrees, double elevationMetres) {
        return new Observer(latitudeDegrees, longitudeDegrees, elevationMetres);
    }

    /** Great-circle distance to a point on a sphere, km; within 0.5 % of the ellipsoid's. */
    public double distanceKm(double latitude, double longitude) {
        return GreatCircle.distanceKm(latitudeDegrees, longitudeDegrees, latitude, longitude);
    }

    /** Direction to a point, from north by east, 0 to below 360. */
    public double bearingDegrees(double latitude, double longitude) {
        return GreatCircle.bearingDegrees(latitudeDegrees, longitudeDegrees, latitude, longitude);
    }

    /** Distance from the Earth's axis, km. */
    public double axisDistanceKm() {
        double lat = Math.toRadians(latitudeDegrees);
        return (primeVerticalKm(lat) + elevationMetres / 1000) * Math.cos(lat);
    }

    /** Distance north of the equator's plane, km. */
    public double equatorDistanceKm() {
        double lat = Math.toRadians(latitudeDegrees);
        double polar = (1 - FLATTENING) * (1 - FLATTENING);
        return (polar * primeVerticalKm(lat) + elevationMetres / 1000) * Math.sin(lat);
    }

    private static double primeVerticalKm(double lat) {
        double e2 = FLATTENING * (2 - FLATTENING);
        double s = Math.sin(lat);
        return EQUATORIAL_RADIUS_KM / Math.sqrt(1 - e2 * s * s);
    }
}
