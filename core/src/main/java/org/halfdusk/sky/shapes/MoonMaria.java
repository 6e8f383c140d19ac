package org.halfdusk.sky.shapes;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.angle.Vector;

/**
 * The dark plains of the Moon as ellipses on its disc: circles on the sphere, placed by rounded selenographic coordinates
 * and diameters, seen with libration. Good to know the face by, to about two degrees on the Moon.
 */
public final class MoonMaria {
    /** Selenographic longitude (east positive), latitude, angular radius, degrees. */
    private static final double[][] PLAINS = {
        {-16, 33, 19}, // Imbrium
        {18, 28, 11}, // Serenitatis
        {31, 9, 13}, // Tranquillitatis
        {59, 17, 8}, // Crisium
        {51, -8, 13}, // Fecunditatis
        {35, -15, 6}, // Nectaris
        {-15, -21, 11}, // Nubium
        {-39, -24, 7}, // Humorum
        {-57, 15, 19}, // Procellarum, north
        {-45, -4, 16}, // Procellarum, south
        {-23, -10, 7}, // Cognitum
        {4, 13, 4}, // Vaporum
        {-30, 56, 6}, // Frigoris, west
        {0, 57, 7}, // Frigoris, middle
        {25, 56, 6}, // Frigoris, east
    };

    private MoonMaria() {}

    /**
     * An ellipse on the disc, in its radius: the middle with x to the right (lunar east, away from the sky's east) and y to the lunar north,
     * the half-axes along and across the direction from the disc's middle.
     *
     * @param along half-axis that points away from the disc's middle, foreshortened
     */
    public record Patch(double x, double y, double along, double across) {}

    /** Those whose middle is on the side that is seen. */
    public static List<Patch> seen(double librationLongitude, double librationLatitude) {
        List<Patch> patches = new ArrayList<>();
        Vector middle = direction(librationLongitude, librationLatitude);
        Vector east = direction(librationLongitude + 90, 0);
        Vector north = middle.cross(east);
        for (double[] p : PLAINS) {
            Vector v = direction(p[0], p[1]);
            double facing = v.dot(middle);
            if (facing > 0.1) {
                double radius = Math.sin(Math.toRadians(p[2]));
                double sink = Math.cos(Math.toRadians(p[2]));
                patches.add(new Patch(v.dot(east) * sink, v.dot(north) * sink, radius * facing, radius));
            }
        }
        return patches;
    }

    private static Vector direction(double longitude, double latitude) {
        return Vector.ofSpherical(Math.toRadians(longitude), Math.toRadians(latitude), 1);
    }
}
