package org.halfdusk.place.terrain;

import java.util.Optional;

/** A map of pictures 256 units wide, by zoom, column and row of the Mercator world. Safe for threads. */
public interface RasterMap {
    /** As the file calls itself; empty where it does not. */
    String name();

    /** Whose map it is, without markup; empty where the file does not say. */
    String attribution();

    /** The coarsest zoom that it has. */
    int leastZoom();

    /** The finest. */
    int mostZoom();

    /** West, south, east and north in degrees; the world where the file does not say. */
    double[] bounds();

    /** A picture of it; nothing where it has none. @param x columns from 180° west @param y rows from the north */
    Optional<Tile> tile(int zoom, int x, int y);

    /** What a tile's picture is. */
    record Tile(byte[] bytes, String mediaType) {}

    /** Opens maps for reading. */
    @FunctionalInterface
    interface Opener {
        /** @param path of the file @throws IllegalArgumentException where the file is no such map, or holds no pictures */
        RasterMap open(String path);
    }
}
