package org.halfdusk.frame.solved;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.DoubleStream;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.picture.Projection;

/**
 * Ways in which the camera may have stood: two detections are taken for two stars as far apart, and how many other stars then fall on
 * detections says whether they are. Tens of thousands are tried for a frame, so that all is done on plain numbers.
 */
final class Stances {
    private static final int VERIFIED = 45;
    private static final int KEPT = 12;

    /** Of the first so many stars in the frame these must fall on detections†. */
    private static final int FIRST = 12;

    private static final int FIRST_MATCHED = 3;
    private static final int LEAST_MATCHED = 5;
    private static final double LEAST_SHARE = 0.2;

    /** How far off the distance of two may be while the lens is known by its nominal focal length, share of it and degrees. */
    private static final double SLACK_SHARE = 0.025;

    private static final double SLACK_DEGREES = 0.1;

    /** Two tell how the camera stands where they are so many times as far apart. */
    private static final double TELLING = 12;

    /** Of so many cells a star may be from its detection. */
    private static final double CELLS = 10;

    private static final double HALF = 0.5;

    /** Farther aside of the axis nothing is sought, however wide the lens: cosine. */
    private static final double ASIDE = 0.02;

    private final Projection lens;
    private final double centreX;
    private final double centreY;
    private final int width;
    private final int height;

    /** Whether a detection is within reach, by cells row by row, and how many of them a pixel is wide. */
    private final boolean[] near;

    private final int columns;
    private final double perCell;

    /** Cosine of the farthest from the axis that stands in the frame. */
    private final double corner;

    /** North, east and up of each, one after the other. */
    private final double[] stars;

    private final List<Pair> pairs = new ArrayList<>();
    private final double[] degrees;
    private final List<Stance> best = new ArrayList<>();

    /**
     * @param lens without distortion
     * @param found x and y of detections, px
     * @param reach how far a star may be from its detection, px
     * @param stars as they are seen, of unit length, the brightest first
     */
    Stances(Projection lens, double[][] found, double reach, List<Vector> stars) {
        this.lens = lens;
        this.centreX = lens.centreX();
        this.centreY = lens.centreY();
        this.width = lens.width();
        this.height = lens.height();
        this.perCell = Math.min(1, CELLS / reach);
        this.columns = (int) (width * perCell) + 1;
        this.near = new boolean[columns * ((int) (height * perCell) + 1)];
        for (double[] d : found) {
            cover(d, reach);
        }
        this.corner = Math.max(ASIDE, lens.direction(-1, -1).z());
        this.stars = stars.stream()
                .flatMapToDouble(v -> DoubleStream.of(v.x(), v.y(), v.z()))
                .toArray();
        for (int i = 0; i < stars.size(); i++) {
            for (int k = i + 1; k < stars.size(); k++) {
                pairs.add(new Pair(i, k, Math.toDegrees(stars.get(i).separationRad(stars.get(k)))));
            }
        }
        pairs.sort(Comparator.comparingDouble(Pair::degrees));
        this.degrees = pairs.stream().mapToDouble(Pair::degrees).toArray();
    }

    /** Marks the cells whose middle is within reach of a detection. */
    private void cover(double[] found, double reach) {
        double x = found[0] * perCell;
        double y = found[1] * perCell;
        double r = reach * perCell;
        for (int row = (int) Math.max(0, y - r); row <= Math.min(near.length / columns - 1, y + r); row++) {
            for (int column = (int) Math.max(0, x - r); column <= Math.min(columns - 1, x + r); column++) {
                double dx = column + HALF - x;
                double dy = row + HALF - y;
                near[row * columns + column] |= dx * dx + dy * dy < r * r;
            }
        }
    }

    private record Pair(int a, int b, double degrees) {}

    /**
     * One of them.
     *
     * @param matrix rows right, up, forward in north, east, up
     * @param matched of the brightest stars those that fall on detections
     * @param inside of them those that stand in the frame
     */
    record Stance(double[] matrix, int matched, int inside) {
        private static final int PLAIN = 25;
        private static final double PLAIN_SHARE = 0.8;
        private static final int LIKELY = 15;
        private static final double LIKELY_SHARE = 0.4;

        /** So many stars fall on detections that no other way of standing need be tried†. */
        boolean plain() {
            return inside >= PLAIN && matched >= PLAIN_SHARE * inside;
        }

        /** So many that it is worth a closer look before others are tried†. */
        boolean likely() {
            return matched >= LIKELY && matched >= LIKELY_SHARE * inside;
        }
    }

    /** Those under which most stars were matched so far. */
    List<Stance> best() {
        return List.copyOf(best);
    }

    /** Tries all under which two directions of the camera's are stars; none where they are too near each other to tell. */
    void compare(Vector one, Vector other) {
        double apart = Math.toDegrees(one.separationRad(other));
        double slack = SLACK_SHARE * apart + SLACK_DEGREES;
        if (apart < TELLING * slack) {
            return;
        }
        basis(new double[] {one.x(), one.y(), one.z(), other.x(), other.y(), other.z()}, 0, 3, camera);
        int from = Arrays.binarySearch(degrees, apart - slack);
        for (int p = from < 0 ? -from - 1 : from; p < degrees.length && degrees[p] <= apart + slack; p++) {
            basis(stars, 3 * pairs.get(p).a(), 3 * pairs.get(p).b(), sky);
            tried(1);
            // The stars the other way round: of their three directions the first stays, the others are turned.
            tried(-1);
        }
    }

    private final double[] camera = new double[9];
    private final double[] sky = new double[9];
    private final double[] m = new double[9];

    /** Three directions at right angles, of two: towards their middle, across, and along the axis about which one turns to the other. */
    private static void basis(double[] v, int a, int b, double[] out) {
        double mx = v[a] + v[b];
        double my = v[a + 1] + v[b + 1];
        double mz = v[a + 2] + v[b + 2];
        double m = 1 / Math.sqrt(mx * mx + my * my + mz * mz);
        double px = v[a + 1] * v[b + 2] - v[a + 2] * v[b + 1];
        double py = v[a + 2] * v[b] - v[a] * v[b + 2];
        double pz = v[a] * v[b + 1] - v[a + 1] * v[b];
        double p = 1 / Math.sqrt(px * px + py * py + pz * pz);
        out[0] = mx * m;
        out[1] = my * m;
        out[2] = mz * m;
        out[6] = px * p;
        out[7] = py * p;
        out[8] = pz * p;
        out[3] = out[7] * out[2] - out[8] * out[1];
        out[4] = out[8] * out[0] - out[6] * out[2];
        out[5] = out[6] * out[1] - out[7] * out[0];
    }

    /** Turns the sky's three directions into the camera's, the last two of them forward or, by −1, backward; kept where many stars fall on detections. */
    private void tried(int way) {
        for (int row = 0; row < 3; row++) {
            double first = camera[row];
            double second = way * camera[3 + row];
            double third = way * camera[6 + row];
            for (int column = 0; column < 3; column++) {
                m[3 * row + column] = first * sky[column] + second * sky[3 + column] + third * sky[6 + column];
            }
        }
        int matched = 0;
        int inside = 0;
        for (int i = 0; i < stars.length && inside < VERIFIED; i += 3) {
            double north = stars[i];
            double east = stars[i + 1];
            double up = stars[i + 2];
            double forward = m[6] * north + m[7] * east + m[8] * up;
            if (forward < corner) {
                continue;
            }
            double stretch = lens.stretch(forward);
            double x = centreX + stretch * (m[0] * north + m[1] * east + m[2] * up);
            double y = centreY - stretch * (m[3] * north + m[4] * east + m[5] * up);
            if (x < 0 || y < 0 || x >= width || y >= height) {
                continue;
            }
            inside++;
            matched += near[(int) (y * perCell) * columns + (int) (x * perCell)] ? 1 : 0;
            if (inside <= FIRST && matched + FIRST - inside < FIRST_MATCHED) {
                return;
            }
        }
        if (matched >= LEAST_MATCHED && matched >= LEAST_SHARE * inside) {
            keep(new Stance(m.clone(), matched, inside));
        }
    }

    private void keep(Stance stance) {
        if (best.size() < KEPT) {
            best.add(stance);
            return;
        }
        int worst = 0;
        for (int i = 1; i < best.size(); i++) {
            worst = best.get(i).matched() < best.get(worst).matched() ? i : worst;
        }
        if (best.get(worst).matched() < stance.matched()) {
            best.set(worst, stance);
        }
    }
}
