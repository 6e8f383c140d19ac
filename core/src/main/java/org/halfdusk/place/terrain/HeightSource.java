package org.halfdusk.place.terrain;

import org.halfdusk.place.geodesy.GreatCircle;

/** Heights of land, from wherever they come. Safe for many threads. */
public interface HeightSource {
    /** Height of the ground, m above the sea; NaN where nothing is known. @param latitude degrees @param longitude degrees */
    double at(double latitude, double longitude);

    /** From one of its heights to the next near a point, degrees of latitude; NaN where nothing is known there. */
    double stepDegrees(double latitude, double longitude);

    /** Farther than this from a point it knows nothing, km. */
    double farthestKm(double latitude, double longitude);

    /** The farthest corner of a box, km. */
    static double farthestKm(double latitude, double longitude, double south, double west, double north, double east) {
        double most = 0;
        for (double lat : new double[] {south, Math.max(south, Math.min(north, latitude)), north}) {
            for (double lon : new double[] {west, east}) {
                most = Math.max(most, GreatCircle.distanceKm(latitude, longitude, lat, lon));
            }
        }
        return most;
    }
}
