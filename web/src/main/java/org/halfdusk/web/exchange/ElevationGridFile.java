package org.halfdusk.web.exchange;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.StringTokenizer;
import org.halfdusk.place.terrain.ElevationGrid;
import org.halfdusk.typed.TypedNumber;

/**
 * An elevation grid as ASCII: heads {@code ncols}, {@code nrows}, {@code xllcorner} or {@code xllcenter}, {@code yllcorner}
 * or {@code yllcenter}, {@code cellsize}, perhaps {@code nodata_value}, then heights in metres by row from the north. In
 * degrees of longitude and latitude.
 */
public final class ElevationGridFile {
    private static final Set<String> HEADS =
            Set.of("ncols", "nrows", "xllcorner", "xllcenter", "yllcorner", "yllcenter", "cellsize", "nodata_value");

    private ElevationGridFile() {}

    /** Whether a text looks like such a grid. */
    public static boolean looksLikeOne(String text) {
        return text.stripLeading().toLowerCase(Locale.ROOT).startsWith("ncols");
    }

    /** @throws IllegalArgumentException naming the head or the value and what is allowed */
    public static ElevationGrid read(String text) {
        StringTokenizer tokens = new StringTokenizer(text);
        Map<String, Double> heads = new HashMap<>();
        String token = next(tokens);
        while (HEADS.contains(token.toLowerCase(Locale.ROOT))) {
            heads.put(token.toLowerCase(Locale.ROOT), number(token, next(tokens)));
            token = next(tokens);
        }
        int columns = whole("ncols", heads);
        int rows = whole("nrows", heads);
        if ((long) columns * rows > ElevationGrid.MOST_CELLS) {
            throw new IllegalArgumentException("the grid has " + (long) columns * rows + " cells; up to "
                    + ElevationGrid.MOST_CELLS + " are allowed: cut it to what can be seen");
        }
        double cell = needed("cellsize", heads);
        if (!(cell > 0 && cell <= 1)) {
            throw new IllegalArgumentException("cellsize " + cell
                    + " is outside above 0 to 1; the grid must be in degrees of longitude and latitude");
        }
        double west = corner("x", cell, heads);
        double south = corner("y", cell, heads);
        double nothing = heads.getOrDefault("nodata_value", -9999.0);
        float[][] metres = new float[rows][columns];
        for (int row = rows - 1; row >= 0; row--) {
            for (int column = 0; column < columns; column++) {
                double height = number("height", token);
                metres[row][column] = height == nothing ? Float.NaN : (float) height;
                boolean last = row == 0 && column == columns - 1;
                token = last ? "" : next(tokens);
            }
        }
        return new ElevationGrid(west, south, cell, metres);
    }

    private static double corner(String axis, double cell, Map<String, Double> heads) {
        Double centre = heads.get(axis + "llcenter");
        return centre == null ? needed(axis + "llcorner", heads) + cell / 2 : centre;
    }

    private static int whole(String head, Map<String, Double> heads) {
        double value = needed(head, heads);
        if (!(value >= 2 && value <= 100_000 && value == Math.rint(value))) {
            throw new IllegalArgumentException(head + " " + value + " is outside 2 to 100000");
        }
        return (int) value;
    }

    private static double needed(String head, Map<String, Double> heads) {
        Double value = heads.get(head);
        if (value == null) {
            throw new IllegalArgumentException("the grid has no " + head);
        }
        return value;
    }

    private static String next(StringTokenizer tokens) {
        if (!tokens.hasMoreTokens()) {
            throw new IllegalArgumentException("the grid ends before all its heights are read");
        }
        return tokens.nextToken();
    }

    private static double number(String what, String text) {
        return TypedNumber.written(what, text);
    }
}
