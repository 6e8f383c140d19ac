package org.halfdusk.show;

/**
 * A shutter open over a part of a show.
 *
 * @param open seconds of the show
 * @param close after that, at most 600 s later
 */
public record Shutter(double open, double close) {
    public static final double LONGEST_SECONDS = 600;

    /** @throws IllegalArgumentException where it is open for no time or for more than 600 s */
    public Shutter {
        if (!(close > open && close - open <= LONGEST_SECONDS)) {
            throw new IllegalArgumentException("a shutter open from " + open + " to " + close
                    + " s of the show: more than 0 and at most 600 s are allowed");
        }
    }

    /** For which it is open, s. */
    public double seconds() {
        return close - open;
    }
}
