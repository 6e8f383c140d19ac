package org.halfdusk.sequence;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.halfdusk.optics.Rig;
import org.halfdusk.typed.Range;

/**
 * Frames side by side that are joined to one picture, the camera turned about its entrance pupil on a level base.
 *
 * <p>Neighbours must still meet at their edge nearest the horizon: for an aim at altitude a and a field w wide and h high a
 * tile covers 2·atan2(tan(w/2), cos a + sin a·tan(h/2)) of azimuth, and the camera is turned by that less the overlap.
 *
 * @param tiles in the order in which they are shot: along the lowest row, back along the next
 * @param stepDegrees of azimuth between neighbours of the lowest row
 * @param rowStepDegrees of altitude between rows
 */
public record Panorama(List<Tile> tiles, double stepDegrees, double rowStepDegrees) {
    /** Widest field that counts for the overlap, degrees: beyond it edges of a picture are too stretched to join. */
    private static final double WIDEST = 150;

    public static final int MOST_TILES = 200;

    /** To turn the head and let it settle, s†. */
    public static final double TURNING_SECONDS = 6;

    /**
     * One frame.
     *
     * @param row from the lowest, 0
     * @param spare beside the wished span, for safety at its ends
     */
    public record Tile(int row, double azimuthDegrees, double altitudeDegrees, boolean spare) {
        /** What the head's scale shows at another tile where it stands on 0 at this one: degrees to the right, 0 to 360. */
        public double turnTo(Tile other) {
            return ((other.azimuthDegrees - azimuthDegrees) % 360 + 360) % 360;
        }
    }

    /**
     * What is wished.
     *
     * @param fromAzimuth left end of the span, degrees
     * @param spanDegrees to the right, above 0 to 360
     * @param overlap share of a tile that its neighbour shows too, 0.1 to 0.7
     * @param rows 1 to 5
     * @param spares tiles more at each end of a row, 0 to 3; a full round needs none
     */
    public record Wish(double fromAzimuth, double spanDegrees, double overlap, int rows, int spares) {
        public static final Range FROM = new Range("start of the panorama", 0, 360, "°");
        public static final Range SPAN = new Range("span of the panorama", 1, 360, "°");
        public static final Range OVERLAP_PERCENT = new Range("overlap", 10, 70, "%");
        public static final Range ROWS = Range.of("rows", 1, 5);
        public static final Range SPARES = Range.of("spare tiles", 0, 3);

        private static final double USUAL_OVERLAP = 0.3;
        private static final double USUAL_SPAN = 100;

        /** A row of a usual span about an azimuth, a spare tile at each end. */
        public static Wish about(double azimuthDegrees) {
            return from(Math.round((azimuthDegrees + 360 - USUAL_SPAN / 2) % 360), USUAL_SPAN);
        }

        /** A row from an azimuth, with the usual overlap and a spare tile at each end. */
        public static Wish from(double azimuthDegrees, double spanDegrees) {
            return new Wish(azimuthDegrees, spanDegrees, USUAL_OVERLAP, 1, 1);
        }

        /** To a tenth. */
        public double overlapPercent() {
            return Math.rint(overlap * 1000) / 10;
        }

        public Wish {
            FROM.check(fromAzimuth);
            SPAN.check(spanDegrees);
            OVERLAP_PERCENT.check(overlap * 100);
            ROWS.check(rows);
            SPARES.check(spares);
        }
    }

    /**
     * @param altitudeDegrees that the lowest row is aimed at
     * @throws IllegalArgumentException where it would take more than 200 tiles
     */
    public static Panorama of(Wish wish, Rig rig, boolean upright, double altitudeDegrees) {
        double width = Math.min(WIDEST, upright ? rig.shortFieldDegrees() : rig.longFieldDegrees());
        double height = Math.min(WIDEST, upright ? rig.longFieldDegrees() : rig.shortFieldDegrees());
        double rowStep = height * (1 - wish.overlap());
        List<Tile> tiles = new ArrayList<>();
        double lowestStep = 0;
        for (int row = 0; row < wish.rows(); row++) {
            double altitude = Math.min(90, altitudeDegrees + row * rowStep);
            double covers = coversDegrees(width, height, altitude);
            double step = covers * (1 - wish.overlap());
            List<Tile> line = row(wish, row, altitude, covers, step);
            if (row % 2 == 1) {
                Collections.reverse(line);
            }
            tiles.addAll(line);
            lowestStep = row == 0 ? step : lowestStep;
            if (tiles.size() > MOST_TILES) {
                throw new IllegalArgumentException("a panorama of more than " + MOST_TILES
                        + " tiles; take a shorter span, fewer rows or a shorter focal length");
            }
        }
        return new Panorama(tiles, lowestStep, rowStep);
    }

    /** Azimuth that a tile covers at its edge nearest the horizon, degrees. */
    public static double coversDegrees(double width, double height, double altitude) {
        double a = Math.toRadians(Math.abs(altitude));
        return Math.toDegrees(2
                * Math.atan2(
                        Math.tan(Math.toRadians(width / 2)),
                        Math.cos(a) + Math.sin(a) * Math.tan(Math.toRadians(height / 2))));
    }

    private static List<Tile> row(Wish wish, int row, double altitude, double covers, double step) {
        List<Tile> line = new ArrayList<>();
        if (wish.spanDegrees() >= 360) {
            int round = (int) Math.ceil(360 / step - 1e-9);
            for (int i = 0; i < round; i++) {
                line.add(tile(row, wish.fromAzimuth() + i * 360.0 / round, altitude, false));
            }
            return line;
        }
        int needed = (int) Math.ceil((wish.spanDegrees() - covers) / step - 1e-9) + 1;
        int tiles = Math.max(1, needed);
        double middle = wish.fromAzimuth() + wish.spanDegrees() / 2;
        for (int i = -wish.spares(); i < tiles + wish.spares(); i++) {
            line.add(tile(row, middle + (i - (tiles - 1) / 2.0) * step, altitude, i < 0 || i >= tiles));
        }
        return line;
    }

    private static Tile tile(int row, double azimuth, double altitude, boolean spare) {
        return new Tile(row, ((azimuth % 360) + 360) % 360, altitude, spare);
    }

    /** Seconds from the first opening to the last close, with so many between tiles for turning and settling. */
    public double seconds(double exposureSeconds, double turningSeconds) {
        return tiles.size() * exposureSeconds + (tiles.size() - 1) * turningSeconds;
    }
}
