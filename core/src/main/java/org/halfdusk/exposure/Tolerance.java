package org.halfdusk.exposure;

import org.halfdusk.optics.Sensor;

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

        public OnPrint {
            within("width of the print", widthCm, 5, 1000);
            within("distance of the eye", distanceCm, 10, 2000);
        }

        private static void within(String what, double value, int least, int most) {
            if (!(value >= least && value <= most)) {
                throw new IllegalArgumentException(
                        what + " " + value + " cm is outside " + least + " to " + most + " cm");
            }
        }

        @Override
        public double budgetPx(Sensor sensor) {
            double smallestPx = distanceCm * ARCMINUTE * sensor.widthPx() / widthCm;
            return ROUND * Math.max(STAR_PX, 2 * smallestPx);
        }
    }
}
