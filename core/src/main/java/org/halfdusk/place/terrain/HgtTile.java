package org.halfdusk.place.terrain;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.numeric.Bilinear;

/**
 * A square degree of heights as a {@code .hgt} file: its name tells its south-western corner, its rows run from the north, each height
 * two bytes with the high one first, −32768 where there is none; the heights of its edges are those of its neighbours. The bytes
 * may be a file's, mapped, so that a tile costs no memory of its own.
 */
public final class HgtTile implements HeightSource {
    private static final Pattern NAME = Pattern.compile("(?i)([NS])(\\d{2})([EW])(\\d{3}).*\\.hgt");
    private static final short NOTHING = -32768;
    private static final int LEAST_SIDE = 2;
    private static final int MOST_SIDE = 10_801;

    private final ByteBuffer bytes;
    private final int side;
    private final int south;
    private final int west;

    private HgtTile(ByteBuffer bytes, int side, int south, int west) {
        this.bytes = bytes;
        this.side = side;
        this.south = south;
        this.west = west;
    }

    /** Whether a file's name is one of such tiles. */
    public static boolean named(String name) {
        return NAME.matcher(name).matches();
    }

    /**
     * A tile of its name and its bytes, which are read as they are asked for.
     *
     * @throws IllegalArgumentException where the name or the size is none of such a tile
     */
    public static HgtTile of(String name, ByteBuffer bytes) {
        Matcher m = NAME.matcher(name);
        if (!m.matches()) {
            throw new IllegalArgumentException(
                    "the name “" + name + "” tells no corner; names like N35W004.hgt are allowed");
        }
        int south = Integer.parseInt(m.group(2))
                * (m.group(1).toUpperCase(Locale.ROOT).equals("S") ? -1 : 1);
        int west = Integer.parseInt(m.group(4))
                * (m.group(3).toUpperCase(Locale.ROOT).equals("W") ? -1 : 1);
        if (south < -90 || south > 89 || west < -180 || west > 179) {
            throw new IllegalArgumentException(
                    "the corner in “" + name + "” lies outside −90° to 89° of latitude and −180° to 179° of longitude");
        }
        int size = bytes.remaining();
        int side = (int) Math.round(Math.sqrt(size / 2.0));
        if (side < LEAST_SIDE || side > MOST_SIDE || 2L * side * side != size) {
            throw new IllegalArgumentException(name + " has " + size
                    + " bytes, which is no square of two-byte heights; 2884802 (3″) or 25934402 (1″) are usual, up to "
                    + 2L * MOST_SIDE * MOST_SIDE + " allowed");
        }
        return new HgtTile(bytes.slice().order(ByteOrder.BIG_ENDIAN), side, south, west);
    }

    @Override
    public double at(double latitude, double longitude) {
        double x = (longitude - west) * (side - 1);
        double y = (south + 1 - latitude) * (side - 1);
        if (!(x >= 0 && y >= 0 && x <= side - 1 && y <= side - 1)) {
            return Double.NaN;
        }
        int column = Math.min(side - 2, (int) x);
        int row = Math.min(side - 2, (int) y);
        return Bilinear.between(
                metres(row, column),
                metres(row, column + 1),
                metres(row + 1, column),
                metres(row + 1, column + 1),
                x - column,
                y - row);
    }

    private double metres(int row, int column) {
        short metres = bytes.getShort(2 * (row * side + column));
        return metres == NOTHING ? Double.NaN : metres;
    }

    @Override
    public double stepDegrees(double latitude, double longitude) {
        boolean inside = latitude >= south && latitude <= south + 1 && longitude >= west && longitude <= west + 1;
        return inside ? 1.0 / (side - 1) : Double.NaN;
    }

    @Override
    public double farthestKm(double latitude, double longitude) {
        return HeightSource.farthestKm(latitude, longitude, south, west, south + 1, west + 1);
    }
}
