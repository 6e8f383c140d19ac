package org.halfdusk.frame.stack.matched;

import org.halfdusk.angle.Vector;
import org.halfdusk.frame.picture.Projection;

/**
 * Where what stands at a place of one frame stands in another: a linear map of directions, seen through the lens of both.
 *
 * @param lens of both frames
 * @param m nine numbers by rows: directions of the first, times this, are those of the second but for their length. A turn where the camera
 *     only turned; the five more ways let a lens that is known roughly, and a tracked drift, be matched too
 */
public record Registration(Projection lens, double[] m) {
    /** A frame that lies as the first does. */
    public static Registration same(Projection lens) {
        return new Registration(lens, new double[] {1, 0, 0, 0, 1, 0, 0, 0, 1});
    }

    /** Turned about an axis by an angle, radians, right-handed in the frame of {@link Projection}. */
    public static Registration turn(Projection lens, Vector axis, double angle) {
        Vector x = new Vector(1, 0, 0).about(axis, angle);
        Vector y = new Vector(0, 1, 0).about(axis, angle);
        Vector z = new Vector(0, 0, 1).about(axis, angle);
        return new Registration(lens, new double[] {x.x(), y.x(), z.x(), x.y(), y.y(), z.y(), x.z(), y.z(), z.z()});
    }

    /** @param out x and y in the second frame @return false where it is not to be seen there */
    boolean place(Vector direction, double[] out) {
        return lens.project(m, direction, out);
    }

    /** Where a pixel of the stack lies in the frame, px; false where the frame does not show it. @param out x and y */
    public boolean place(double x, double y, double[] out) {
        return place(lens.direction(x, y), out);
    }
}
