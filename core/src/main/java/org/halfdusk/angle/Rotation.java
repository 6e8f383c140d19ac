package org.halfdusk.angle;

/** A rotation of axes, as a matrix in row order; {@code a.then(b)} turns by a first. */
public record Rotation(
        double xx, double xy, double xz, double yx, double yy, double yz, double zx, double zy, double zz) {
    public static final Rotation NONE = new Rotation(1, 0, 0, 0, 1, 0, 0, 0, 1);

    /** Axes turned about x, radians: R₁. */
    public static Rotation aboutX(double a) {
        double c = Math.cos(a);
        double s = Math.sin(a);
        return new Rotation(1, 0, 0, 0, c, s, 0, -s, c);
    }

    /** Axes turned about y, radians: R₂. */
    public static Rotation aboutY(double a) {
        double c = Math.cos(a);
        double s = Math.sin(a);
        return new Rotation(c, 0, -s, 0, 1, 0, s, 0, c);
    }

    /** Axes turned about z, radians: R₃. */
    public static Rotation aboutZ(double a) {
        double c = Math.cos(a);
        double s = Math.sin(a);
        return new Rotation(c, s, 0, -s, c, 0, 0, 0, 1);
    }

    /** The vector turned; its length stays. */
    public Vector apply(Vector v) {
        return new Vector(
                xx * v.x() + xy * v.y() + xz * v.z(),
                yx * v.x() + yy * v.y() + yz * v.z(),
                zx * v.x() + zy * v.y() + zz * v.z());
    }

    /** This rotation first, then the other. */
    public Rotation then(Rotation o) {
        Vector a = new Vector(xx, yx, zx);
        Vector b = new Vector(xy, yy, zy);
        Vector c = new Vector(xz, yz, zz);
        Vector p = o.apply(a);
        Vector q = o.apply(b);
        Vector r = o.apply(c);
        return new Rotation(p.x(), q.x(), r.x(), p.y(), q.y(), r.y(), p.z(), q.z(), r.z());
    }

    /** The turn back: of a rotation the transpose. */
    public Rotation inverse() {
        return new Rotation(xx, yx, zx, xy, yy, zy, xz, yz, zz);
    }
}
