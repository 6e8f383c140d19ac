package org.halfdusk.trailing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.halfdusk.angle.Vector;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.time.SiderealTime;

/**
 * How stars trail over a frame as it is really aimed and turned: exact distances between their projections at shutter open and
 * close. The middle is the fastest star in the middle third of the frame, by width and height; aimed at the pole, where the
 * centre stands still, that is what people see first.
 *
 * <p>A mount turns about its axis. Where that is off the pole by a small angle ε, sky and mount differ by a rotation about an
 * axis across it of ε times the Earth's rate: the drift is the same at all declinations, 15.041″/s · sin ε at its worst, and
 * stands across the daily motion.
 */
public final class FrameTrails implements StarTrails {
    /** Points of the middle third and of the whole frame, by side. */
    private static final int MIDDLE = 7;

    private static final int COLUMNS = 9;
    private static final int ROWS = 7;

    private static final double EARTH = SiderealTime.EARTH_RATE_RAD_PER_SECOND;

    private final Projection projection;
    private final Sensor sensor;

    /** Axis of what sky and sensor turn against each other, as long as the share of the Earth's rate. */
    private final Vector turning;

    private final Vector pole;
    private final PeriodicError periodic;
    private final double blurPx;
    private final List<Vector> middle;
    private final List<Vector> whole;

    /** Schools, zones and reasons ask again for the few times that a dial has. */
    private final Map<Double, Trailing.Path> ofMiddle = new ConcurrentHashMap<>();

    private final Map<Double, Trailing.Path> ofWhole = new ConcurrentHashMap<>();

    private FrameTrails(
            Projection projection, Sensor sensor, Vector turning, Vector pole, PeriodicError periodic, double blurPx) {
        this.blurPx = blurPx;
        this.projection = projection;
        this.sensor = sensor;
        this.turning = turning;
        this.pole = pole;
        this.periodic = periodic;
        this.middle = points(MIDDLE, MIDDLE, 1.0 / 3);
        this.whole = points(COLUMNS, ROWS, 1);
    }

    /** On a tripod. @param pole unit direction of the celestial pole as north, east, up, either of the two */
    public static FrameTrails of(Framing framing, Rig rig, Vector pole) {
        return of(framing, rig, pole, Mount.TRIPOD, 0, PeriodicError.NONE);
    }

    /**
     * On a mount.
     *
     * @param polarErrorArcmin by which its axis is off the pole, 0 to 600; of no account on a tripod
     * @param periodic error of its worm, counted at its fastest; of no account on a tripod
     */
    public static FrameTrails of(
            Framing framing, Rig rig, Vector pole, Mount mount, double polarErrorArcmin, PeriodicError periodic) {
        Vector turning = pole.times(mount.skyShare());
        if (mount.turns() && polarErrorArcmin > 0) {
            Vector across = pole.cross(framing.direction());
            // At the pole every direction is across.
            Vector drift = across.length() > 1e-6 ? across.unit() : new Vector(0, 1, 0);
            turning = turning.plus(drift.times(Math.sin(Math.toRadians(polarErrorArcmin / 60))));
        }
        return new FrameTrails(
                Projection.of(framing, rig),
                rig.camera().sensor(),
                turning,
                pole,
                mount.turns() ? periodic : PeriodicError.NONE,
                Trailing.blurPx(rig));
    }

    /** The ground's own motion on a turning mount, which goes with the axis. */
    public static FrameTrails ofGround(Framing framing, Rig rig, Vector pole, Mount mount) {
        return new FrameTrails(
                Projection.of(framing, rig),
                rig.camera().sensor(),
                pole.times(mount.groundShare()),
                pole,
                PeriodicError.NONE,
                Trailing.blurPx(rig));
    }

    private List<Vector> points(int columns, int rows, double share) {
        List<Vector> points = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                star(share * (column / (columns - 1.0) - 0.5), share * (0.5 - row / (rows - 1.0)))
                        .ifPresent(points::add);
            }
        }
        return points;
    }

    /** The star at a place of the sensor, in shares of its width and height from the middle; none beyond a fisheye's circle. */
    private Optional<Vector> star(double across, double up) {
        double roll = Math.toRadians(projection.framing().rollDegrees());
        double x = sensor.widthMm() * across;
        double y = sensor.heightMm() * up;
        Projection.Point place =
                new Projection.Point(x * Math.cos(roll) - y * Math.sin(roll), x * Math.sin(roll) + y * Math.cos(roll));
        boolean shown = Math.hypot(place.x(), place.y())
                <= projection.imaging().radius(Math.toRadians(89.9)) * projection.focalMm();
        return shown ? Optional.of(projection.direction(place).direction()) : Optional.empty();
    }

    /** By how much sky and sensor turn against each other while the shutter is open: half of it about an axis, either way. */
    private record Turn(Vector axis, double cos, double sin) {}

    private Turn turn(double seconds) {
        double sway = Math.toRadians(periodic.mostArcsec(seconds) / 3600);
        Vector turned = turning.times(EARTH * seconds).plus(pole.times(sway));
        double angle = turned.length();
        Vector axis = angle == 0 ? turned : turned.times(1 / angle);
        return new Turn(axis, Math.cos(angle / 2), Math.sin(angle / 2));
    }

    /**
     * The way of a star over the sensor: Rodrigues' formula for both ends at once.
     *
     * @param out its x and y, px; nought where it leaves what the lens shows
     */
    private void path(Vector star, Turn turn, double[] from, double[] out) {
        Vector axis = turn.axis;
        double along = (axis.x() * star.x() + axis.y() * star.y() + axis.z() * star.z()) * (1 - turn.cos);
        double x = star.x() * turn.cos + axis.x() * along;
        double y = star.y() * turn.cos + axis.y() * along;
        double z = star.z() * turn.cos + axis.z() * along;
        double dx = (axis.y() * star.z() - axis.z() * star.y()) * turn.sin;
        double dy = (axis.z() * star.x() - axis.x() * star.z()) * turn.sin;
        double dz = (axis.x() * star.y() - axis.y() * star.x()) * turn.sin;
        if (!projection.to(x - dx, y - dy, z - dz, from) || !projection.to(x + dx, y + dy, z + dz, out)) {
            out[0] = 0;
            out[1] = 0;
            return;
        }
        double perMm = sensor.widthPx() / sensor.widthMm();
        out[0] = (out[0] - from[0]) * perMm;
        out[1] = (out[1] - from[1]) * perMm;
    }

    private Trailing.Path longest(List<Vector> stars, Turn turn) {
        double[] from = new double[2];
        double[] way = new double[2];
        double x = 0;
        double y = 0;
        for (Vector star : stars) {
            path(star, turn, from, way);
            if (way[0] * way[0] + way[1] * way[1] > x * x + y * y) {
                x = way[0];
                y = way[1];
            }
        }
        return new Trailing.Path(x, y);
    }

    /** As many times as a dial has marks; who searches asks for more than are kept. */
    private static final int KEPT = 64;

    private Trailing.Path kept(Map<Double, Trailing.Path> known, List<Vector> stars, double seconds) {
        Trailing.Path path = known.get(seconds);
        if (path == null) {
            path = longest(stars, turn(seconds));
            if (known.size() < KEPT) {
                known.put(seconds, path);
            }
        }
        return path;
    }

    /** The longest way in the middle third, the horizon level. */
    public Trailing.Path middlePath(double seconds) {
        return kept(ofMiddle, middle, seconds);
    }

    /** The longest way in the whole frame. */
    public Trailing.Path worstPath(double seconds) {
        return kept(ofWhole, whole, seconds);
    }

    @Override
    public double blurPx() {
        return blurPx;
    }

    @Override
    public double middlePx(double seconds) {
        return middlePath(seconds).length();
    }

    @Override
    public double worstPx(double seconds) {
        return worstPath(seconds).length();
    }

    @Override
    public double rate() {
        return turning.length();
    }

    @Override
    public double speed() {
        return middle.stream()
                .mapToDouble(star -> turning.cross(star).length())
                .max()
                .orElse(0);
    }

    /** Declination of the fastest star of the middle third on a tripod, degrees, 0 to 90 from the equator either way. */
    public double fastestDeclinationDegrees() {
        double share = rate();
        return share == 0 ? 0 : Math.toDegrees(Math.acos(Math.min(1, speed() / share)));
    }

    @Override
    public double seconds(double budgetPx) {
        double longest = School.LONGEST_SECONDS;
        if (middlePx(longest) <= budgetPx) {
            return longest;
        }
        if (periodic.arcsec() > 0) {
            return bySway(budgetPx);
        }
        // Trails are straight but for a trifle while they are short: the second guess is exact to a millionth.
        double seconds = budgetPx / middlePx(1);
        for (int i = 0; i < 2; i++) {
            seconds = Math.min(longest, seconds * budgetPx / middlePx(seconds));
        }
        return seconds;
    }

    /** A worm sways back: what it adds grows, then stays; the budget is met by halving, to a thousandth. */
    private double bySway(double budgetPx) {
        double enough = 0;
        double tooLong = School.LONGEST_SECONDS;
        while (tooLong - enough > 1e-3 * tooLong) {
            double middle = (enough + tooLong) / 2;
            boolean fits = middlePx(middle) <= budgetPx;
            enough = fits ? middle : enough;
            tooLong = fits ? tooLong : middle;
        }
        return enough;
    }

    /** Trails over the whole frame, row by row from the top of the sensor, each from its left. */
    public TrailMap map(double seconds, int columns, int rows) {
        Turn turn = turn(seconds);
        double[][] px = new double[rows][columns];
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                px[row][column] = star(column / (columns - 1.0) - 0.5, 0.5 - row / (rows - 1.0))
                        .map(s -> longest(List.of(s), turn).length())
                        .orElse(0.0);
            }
        }
        return TrailMap.of(px);
    }
}
