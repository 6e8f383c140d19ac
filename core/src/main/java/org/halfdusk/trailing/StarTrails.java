package org.halfdusk.trailing;

/** How stars trail over a frame: what the schools of the longest time ask of it. */
public interface StarTrails {
    /** Blur of a star as a standard deviation, px. */
    default double blurPx() {
        return Trailing.BLUR_PX;
    }

    /** How fast the sky turns over the sensor, in shares of the Earth's rate: 1 on a tripod, 0 on a mount that turns with it. */
    double rate();

    /** How fast the star that counts in the middle moves over the sky, in shares of a star's on the equator from a tripod. */
    double speed();

    /** Trail of the star that counts in the middle of the frame, px. */
    double middlePx(double seconds);

    /** Longest trail in the frame's corners and edges, px. */
    double worstPx(double seconds);

    /** Seconds in which the star that counts in the middle trails so many px; at most {@link School#LONGEST_SECONDS}. */
    double seconds(double budgetPx);

    /**
     * A frame whose aim is not known: the star in its centre, and the worst corner over all ways of turning it.
     *
     * @param diagonalMm of the sensor
     */
    record AllRolls(Trailing trailing, double diagonalMm) implements StarTrails {
        @Override
        public double rate() {
            return trailing.share();
        }

        @Override
        public double speed() {
            return trailing.share() * Math.cos(Math.toRadians(trailing.declinationDegrees()));
        }

        @Override
        public double middlePx(double seconds) {
            return trailing.middlePx(seconds);
        }

        @Override
        public double worstPx(double seconds) {
            return trailing.cornerPx(diagonalMm, seconds);
        }

        @Override
        public double seconds(double budgetPx) {
            return Math.min(School.LONGEST_SECONDS, budgetPx * trailing.secondsPerPixel());
        }
    }
}
