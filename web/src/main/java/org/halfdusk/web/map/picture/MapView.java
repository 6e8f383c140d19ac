package org.halfdusk.web.map.picture;

import org.halfdusk.place.geodesy.Mercator;
import org.halfdusk.web.layout.words.Numbers;

/**
 * Which part of the world is drawn, on a sheet of fixed size.
 *
 * @param zoom doublings of a world 256 units wide, 1 to 17
 */
public record MapView(double latitude, double longitude, int zoom) {
    static final int WIDTH = 1240;
    static final int HEIGHT = 520;
    static final int LEAST_ZOOM = 1;
    static final int MOST_ZOOM = 17;
    private static final int TILE = 256;

    /** How far beyond the sheet on each side is drawn, shares of it: as far as a drag shows. */
    static final double BEYOND = 0.5;

    public MapView {
        latitude = Math.max(-Mercator.HIGHEST_LATITUDE, Math.min(Mercator.HIGHEST_LATITUDE, latitude));
        longitude = Math.IEEEremainder(longitude, 360);
        zoom = Math.max(LEAST_ZOOM, Math.min(MOST_ZOOM, zoom));
    }

    /** Units of the sheet to the world's width. */
    double scale() {
        return TILE * (double) (1 << zoom);
    }

    /** Its middle in widths of the world, from 180° west and from the map's top. */
    double worldX() {
        return Mercator.x(longitude);
    }

    double worldY() {
        return Mercator.y(latitude);
    }

    /** Latitude of its upper edge. */
    double north() {
        return Mercator.latitude(worldY() - HEIGHT / 2.0 / scale());
    }

    /** Latitude of its lower edge. */
    double south() {
        return Mercator.latitude(worldY() + HEIGHT / 2.0 / scale());
    }

    /** Of a longitude, on the turn of the world that is nearest to the middle. */
    double x(double lon) {
        return WIDTH / 2.0 + Math.IEEEremainder(lon - longitude, 360) / 360 * scale();
    }

    /** Without turning, so that a ring does not tear. */
    double flatX(double lon) {
        return WIDTH / 2.0 + (lon - longitude) / 360 * scale();
    }

    double y(double lat) {
        return HEIGHT / 2.0 + (Mercator.y(lat) - Mercator.y(latitude)) * scale();
    }

    double units(double metres, double lat) {
        return Mercator.width(metres, lat) * scale();
    }

    boolean holds(double x, double y, double beyond) {
        return x > -beyond && x < WIDTH + beyond && y > -beyond && y < HEIGHT + beyond;
    }

    /** Whether a box meets the sheet or what a drag shows of it. */
    boolean meets(double left, double right, double top, double foot) {
        return right > -BEYOND * WIDTH
                && left < (1 + BEYOND) * WIDTH
                && foot > -BEYOND * HEIGHT
                && top < (1 + BEYOND) * HEIGHT;
    }

    String point(double lon, double lat) {
        return Numbers.tenths(flatX(lon)) + " " + Numbers.tenths(y(lat));
    }

    /** The neighbouring view, moved by a share of the sheet. */
    public MapView moved(double east, double south) {
        double lon = longitude + east * WIDTH / scale() * 360;
        double lat = Mercator.latitude(Mercator.y(latitude) + south * HEIGHT / scale());
        return new MapView(lat, lon, zoom);
    }

    public MapView zoomed(int by) {
        return new MapView(latitude, longitude, zoom + by);
    }

    public String query() {
        return "lat=" + round(latitude) + "&lon=" + round(longitude) + "&zoom=" + zoom;
    }

    private static double round(double v) {
        return Math.rint(v * 1e6) / 1e6;
    }
}
