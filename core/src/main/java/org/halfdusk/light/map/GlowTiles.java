package org.halfdusk.light.map;

import java.util.Optional;
import org.halfdusk.numeric.Bilinear;
import org.halfdusk.place.geodesy.Mercator;

/**
 * The night's brightness over the whole world in square tiles of the Mercator map, each computed when it is first asked for and
 * then taken from a shelf. A tile of zoom z is 1/2^z of the world wide and has its points at its edges as well, so that what is
 * mixed between points does not leap from tile to tile.
 */
public final class GlowTiles {
    /** Tiles 22° wide: points 0.7° apart. */
    public static final int LEAST_ZOOM = 4;

    /** Tiles 0.35° wide: points 0.011° apart, 1.2 km at the equator, no more than a small town's middle. */
    public static final int MOST_ZOOM = 10;

    /** Steps along a side. */
    public static final int STEPS = 32;

    /** Which tile. @param zoom {@value #LEAST_ZOOM} to {@value #MOST_ZOOM} @param x from −180° east, 0 to below 2^zoom @param y from the north */
    public record Key(int zoom, int x, int y) {}

    /** Where tiles are kept. */
    public interface Shelf {
        /** Rows from the north, columns from the west; nothing where it is not kept. */
        Optional<float[][]> find(Key key);

        void keep(Key key, float[][] tile);
    }

    private final Shelf shelf;

    /** @param shelf where tiles are kept once they are computed */
    public GlowTiles(Shelf shelf) {
        this.shelf = shelf;
    }

    /** A name that changes with the model, so that what was kept of an earlier one is not taken for this one's. */
    public static String model() {
        float[][] points = GlowMap.zenith(new double[] {52, 36}, new double[] {-4, 5, 14});
        int hash = 17;
        for (float[] row : points) {
            for (float v : row) {
                hash = 31 * hash + Float.floatToIntBits(v);
            }
        }
        return Integer.toHexString(hash);
    }

    /** Zenith brightness of a tile's points, mag/arcsec². */
    public float[][] tile(Key key) {
        Optional<float[][]> kept = shelf.find(key);
        if (kept.isPresent()) {
            return kept.get();
        }
        double world = 1 << key.zoom();
        double[] latitudes = new double[STEPS + 1];
        double[] longitudes = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            latitudes[i] = Mercator.latitude((key.y() + (double) i / STEPS) / world);
            longitudes[i] = Mercator.longitude((key.x() + (double) i / STEPS) / world);
        }
        float[][] tile = GlowMap.zenith(latitudes, longitudes, leastKm(key, latitudes[STEPS / 2]));
        shelf.keep(key, tile);
        return tile;
    }

    /** From here on points stand so close that no town falls between them. */
    private static final int SHARP_ZOOM = 9;

    /** Half of the step between points where those stand too far apart for a town, km. */
    private static double leastKm(Key key, double latitude) {
        double step = 1.0 / (1 << key.zoom()) / STEPS / Mercator.width(1000, latitude);
        return key.zoom() < SHARP_ZOOM ? step / 2 : 0;
    }

    /** The zoom of tiles that suits a map whose world is 256 · 2^zoom wide. */
    public static int zoomFor(int mapZoom) {
        return Math.max(LEAST_ZOOM, Math.min(MOST_ZOOM, mapZoom - 1));
    }

    /**
     * A part of the map, mixed between the points.
     *
     * @param left and top: of the part, in widths of the world from 180° W and from the map's top; left may lie outside 0 to 1
     * @param width and height in the same
     * @param columns of what comes out, and rows; the middles of cells are asked for
     * @return mag/arcsec² by row, then column; what lies beyond the map's top or foot is as at its edge
     */
    public float[][] part(int zoom, double left, double top, double width, double height, int columns, int rows) {
        float[][] part = new float[rows][columns];
        for (int r = 0; r < rows; r++) {
            double y = top + height * (r + 0.5) / rows;
            for (int c = 0; c < columns; c++) {
                part[r][c] = at(zoom, left + width * (c + 0.5) / columns, y);
            }
        }
        return part;
    }

    /** Of one point, by its latitude and longitude, degrees. */
    public float zenith(int zoom, double latitude, double longitude) {
        return at(zoom, Mercator.x(longitude), Mercator.y(latitude));
    }

    private Key last = new Key(0, 0, 0);
    private float[][] lastTile = new float[0][0];

    private synchronized float at(int zoom, double worldX, double worldY) {
        int world = 1 << zoom;
        double x = (worldX - Math.floor(worldX)) * world;
        double y = Math.max(0, Math.min(Math.nextDown((double) world), worldY * world));
        int tileX = Math.min(world - 1, (int) x);
        int tileY = (int) y;
        if (last.zoom() != zoom || last.x() != tileX || last.y() != tileY) {
            last = new Key(zoom, tileX, tileY);
            lastTile = tile(last);
        }
        double column = (x - tileX) * STEPS;
        double row = (y - tileY) * STEPS;
        int c = Math.min(STEPS - 1, (int) column);
        int r = Math.min(STEPS - 1, (int) row);
        float[] upper = lastTile[r];
        float[] lower = lastTile[r + 1];
        return (float) Bilinear.between(upper[c], upper[c + 1], lower[c], lower[c + 1], column - c, row - r);
    }
}
