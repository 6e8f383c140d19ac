package org.halfdusk.place.towns;

/**
 * How far a circle about a point reaches in latitude and longitude, degrees, a little more rather than less: what lies outside
 * is not in the circle.
 */
record Around(double up, double aside) {
    /** A degree of latitude, km, a little short, so that a circle is never taken too small. */
    private static final double DEGREE_KM = 111.1;

    static Around of(double latitude, double km) {
        double up = km / DEGREE_KM;
        double widest = Math.min(90, Math.abs(latitude) + up);
        // Nearer to a pole than the circle reaches, it holds all longitudes.
        return new Around(up, widest >= 89 ? 180 : Math.min(180, up / Math.cos(Math.toRadians(widest))));
    }
}
