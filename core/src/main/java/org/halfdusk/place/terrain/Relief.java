package org.halfdusk.place.terrain;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Skyline;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.geodesy.LineOfSight;

/**
 * What land shows and hides, from heights.
 *
 * <ol>
 *   <li>A skyline is looked for along rays, ring by ring outwards. Rings stand half a height's step apart near the place and a
 *       four-hundredth of the distance beyond, rays a fortieth of a degree, 35 m at the farthest: a summit one height wide is met.
 *   <li>Near rings need fewer rays: as many as half a step to the side asks for.
 *   <li>From the best of each half degree the summit itself is climbed, outwards and to the side by ever smaller steps.
 *   <li>Of every direction the highest counts, the earth's curve taken off ({@link LineOfSight}). Land that is not known, a lake or a
 *       strait without heights, is passed over; what lies behind it counts.
 * </ol>
 */
public final class Relief {
    /** Farther land seldom shows over what stands nearer, km. */
    private static final double FARTHEST_KM = 80;

    private static final int RAYS = 14_400;

    /** Points of the skyline, half a degree apart, each the highest of the rays about it, so that no narrow peak is missed. */
    private static final int RAYS_PER_POINT = 20;

    private static final double NEAREST_KM = 0.05;
    private static final double LEAST_STEP_KM = 0.015;
    private static final double KM_PER_DEGREE = 111.2;
    /** Steps from one height to the next. */
    private static final double FINER = 2;

    private static final double OUTWARDS = 1.0 / 400;

    /** Divides a point's rays, so that rings close. */
    private static final int[] STRIDES = {20, 10, 5, 4, 2};

    private Relief() {}

    /**
     * The skyline of a point, half a degree apart, an eye 1.5 m over the higher of its ground and its own height.
     *
     * @throws IllegalArgumentException where no height is known at the point
     */
    public static Skyline skyline(HeightSource heights, Observer from) {
        double ground = heights.at(from.latitudeDegrees(), from.longitudeDegrees());
        if (Double.isNaN(ground)) {
            throw new IllegalArgumentException("no height is known at latitude " + from.latitudeDegrees()
                    + "°, longitude " + from.longitudeDegrees()
                    + "°: heights that hold the place itself are needed; the farther they reach around it, the better");
        }
        double eye = Math.max(ground, from.elevationMetres()) + ForegroundObject.EYE_METRES;
        Seen[] rays = rays(heights, from, eye);
        // The sea behind it, as far as the eye's height lets it show.
        double sea = LineOfSight.seaHorizonDegrees(eye);
        List<Skyline.Point> points = new ArrayList<>();
        for (int i = 0; i < RAYS; i += RAYS_PER_POINT) {
            Seen top = Seen.NOTHING;
            for (int k = -RAYS_PER_POINT / 2; k <= RAYS_PER_POINT / 2; k++) {
                Seen here = rays[Math.floorMod(i + k, RAYS)];
                top = here.altitude() > top.altitude() ? here : top;
            }
            double altitude = Math.max(sea, top.equals(Seen.NOTHING) ? sea : climbed(heights, from, eye, top));
            double rounded = Math.round(100 * altitude) / 100.0;
            points.add(new Skyline.Point(i * 360.0 / RAYS, Math.max(-10, Math.min(85, rounded))));
        }
        return new Skyline(points);
    }

    /** Land as it is seen. */
    private record Seen(double azimuth, double km, double stepKm, double altitude) {
        static final Seen NOTHING = new Seen(0, 0, 0, Double.NEGATIVE_INFINITY);
    }

    /** The highest land of each ray. The way to a point is {@link GreatCircle#destination} with what a ring and a ray share taken out. */
    private static Seen[] rays(HeightSource heights, Observer from, double eye) {
        double[] highest = new double[RAYS];
        double[] at = new double[RAYS];
        int[] along = new int[RAYS];
        Arrays.fill(highest, Double.NEGATIVE_INFINITY);
        double[] sines = new double[RAYS];
        double[] cosines = new double[RAYS];
        Arrays.setAll(sines, ray -> Math.sin(2 * Math.PI * ray / RAYS));
        Arrays.setAll(cosines, ray -> Math.cos(2 * Math.PI * ray / RAYS));
        double sinLat = Math.sin(Math.toRadians(from.latitudeDegrees()));
        double cosLat = Math.cos(Math.toRadians(from.latitudeDegrees()));
        double cellKm = heights.stepDegrees(from.latitudeDegrees(), from.longitudeDegrees()) * KM_PER_DEGREE;
        double step = Math.max(LEAST_STEP_KM, cellKm / FINER);
        double last = Math.min(FARTHEST_KM, heights.farthestKm(from.latitudeDegrees(), from.longitudeDegrees()));
        for (double km = Math.max(NEAREST_KM, step); km <= last; km += Math.max(step, km * OUTWARDS)) {
            double sinWay = Math.sin(km / GreatCircle.EARTH_RADIUS_KM);
            double cosWay = Math.cos(km / GreatCircle.EARTH_RADIUS_KM);
            int stride = stride(cellKm / FINER / (2 * Math.PI * km / RAYS));
            for (int ray = 0; ray < RAYS; ray += stride) {
                double sin = sinLat * cosWay + cosLat * sinWay * cosines[ray];
                double turn = Math.atan2(sines[ray] * sinWay * cosLat, cosWay - sinLat * sin);
                double longitude = Math.IEEEremainder(from.longitudeDegrees() + Math.toDegrees(turn), 360);
                double land = heights.at(Math.toDegrees(Math.asin(sin)), longitude);
                double slope = LineOfSight.slope(land - eye, km * 1000);
                for (int k = ray - (stride - 1) / 2; k <= ray + stride / 2; k++) {
                    int i = Math.floorMod(k, RAYS);
                    if (slope > highest[i]) {
                        highest[i] = slope;
                        at[i] = km;
                        along[i] = ray;
                    }
                }
            }
        }
        Seen[] seen = new Seen[RAYS];
        Arrays.setAll(
                seen,
                i -> at[i] == 0
                        ? Seen.NOTHING
                        : new Seen(
                                along[i] * 360.0 / RAYS,
                                at[i],
                                Math.max(step, at[i] * OUTWARDS),
                                Math.toDegrees(Math.atan(highest[i]))));
        return seen;
    }

    /** Of land in a direction at a distance; NaN where its height is not known. */
    private static double altitude(HeightSource heights, Observer from, double eye, double azimuth, double km) {
        double[] there = GreatCircle.destination(from.latitudeDegrees(), from.longitudeDegrees(), azimuth, km);
        return LineOfSight.altitudeDegrees(heights.at(there[0], there[1]) - eye, km * 1000);
    }

    private static final int CLIMBS = 7;

    /** The summit about a point, within half a degree's point to each side. */
    private static double climbed(HeightSource heights, Observer from, double eye, Seen foot) {
        double azimuth = foot.azimuth();
        double km = foot.km();
        double best = foot.altitude();
        double out = foot.stepKm();
        double aside = Math.min(360.0 / RAYS * RAYS_PER_POINT / 4, Math.toDegrees(foot.stepKm() / foot.km()));
        for (int i = 0; i < CLIMBS; i++) {
            for (double[] to : new double[][] {{out, 0}, {-out, 0}, {0, aside}, {0, -aside}}) {
                double there = Math.max(NEAREST_KM, km + to[0]);
                double altitude = altitude(heights, from, eye, azimuth + to[1], there);
                if (altitude > best) {
                    best = altitude;
                    km = there;
                    azimuth += to[1];
                }
            }
            out /= 2;
            aside /= 2;
        }
        return best;
    }

    private static int stride(double wished) {
        for (int stride : STRIDES) {
            if (wished >= stride) {
                return stride;
            }
        }
        return 1;
    }

    /**
     * Land between an eye and what it looks at.
     *
     * @param distanceMetres from the eye to the land that stands highest before it
     * @param overDegrees how far that stands over it, positive
     */
    public record Hidden(double distanceMetres, double overDegrees) {}

    /**
     * Whether land hides the top of something; nothing where it is seen, as far as heights are known.
     *
     * @param object as it is seen from the place
     */
    public static Optional<Hidden> hides(HeightSource heights, Observer from, ForegroundObject object) {
        double ground = heights.at(from.latitudeDegrees(), from.longitudeDegrees());
        double eye = (Double.isNaN(ground) ? from.elevationMetres() : Math.max(ground, from.elevationMetres()))
                + ForegroundObject.EYE_METRES;
        double cell = heights.stepDegrees(from.latitudeDegrees(), from.longitudeDegrees());
        double step = Math.max(LEAST_STEP_KM, (Double.isNaN(cell) ? 0 : cell) * KM_PER_DEGREE / 2);
        double to = object.distanceMetres() / 1000;
        double top = object.topDegrees();
        Hidden worst = new Hidden(0, 0);
        // What stands around the foot of it is the object's own ground.
        for (double km = step; km < to - 2 * step; km += step) {
            double[] there = GreatCircle.destination(
                    from.latitudeDegrees(),
                    from.longitudeDegrees(),
                    object.azimuth().degrees(),
                    km);
            double land = heights.at(there[0], there[1]);
            double over = LineOfSight.altitudeDegrees(land - eye, km * 1000) - top;
            if (over > worst.overDegrees()) {
                worst = new Hidden(km * 1000, over);
            }
        }
        return worst.overDegrees() > 0 ? Optional.of(worst) : Optional.empty();
    }
}
