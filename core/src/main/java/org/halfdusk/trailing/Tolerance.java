package org.halfdusk.trailing;

import org.halfdusk.optics.Sensor;
import org.halfdusk.typed.Range;

/**
 * How a picture will be looked at, and how long a star's trail may be for it to stay round there. A star is as wide as two
 * of the smallest things that are seen, and looks round up to 1.3 times its width.
 */
public sealed interface Tolerance {
    /** Trail allowed, px of the camera. */
    double budgetPx(Sensor sensor);

    /** Length-to-width up to which a star is hardly seen to be long. */
    double ROUND = 1.3;

    /** Width of a star at 100 %, px. */
    double STAR_PX = 2;

    /** Looked at pixel by pixel: 2.6 px. */
    record At100() implements Tolerance {
        @Override
        public double budgetPx(Sensor sensor) {
            return ROUND * STAR_PX;
        }
    }

    /** Reduced to a screen of so many pixels across; never stricter than at 100 %. */
    record OnScreen(int pixelsAcross) implements Tolerance {
        /** What many pictures end on. */
        public static final int USUAL_PX = 2048;

        @Override
        public double budgetPx(Sensor sensor) {
            return ROUND * STAR_PX * Math.max(1, sensor.widthPx() / (double) pixelsAcross);
        }
    }

    /**
     * Printed, and looked at by an eye that resolves an arcminute.
     *
     * @param widthCm of the print's long side, 5 to 1000
     * @param distanceCm of the eye, 10 to 2000
     */
    record OnPrint(double widthCm, double distanceCm) implements Tolerance {
        private static final double ARCMINUTE = Math.tan(Math.toRadians(1 / 60.0));

        public static final Range WIDTH = new Range("width of the print", 5, 1000, "cm");
        public static final Range DISTANCE = new Range("distance of the eye", 10, 2000, "cm");

        public OnPrint {
            WIDTH.check(widthCm);
            DISTANCE.check(distanceCm);
        }

        @Override
        public double budgetPx(Sensor sensor) {
            double smallestPx = distanceCm * ARCMINUTE * sensor.widthPx() / widthCm;
            return ROUND * Math.max(STAR_PX, 2 * smallestPx);
        }
    }
}
