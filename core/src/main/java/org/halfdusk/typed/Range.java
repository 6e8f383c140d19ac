package org.halfdusk.typed;

/**
 * What a number may be: the one owner of a bound, which record and form both ask.
 *
 * @param what it is, for the message: "filter density"
 * @param least and most allowed, both included
 * @param unit for the message; may be empty
 */
public record Range(String what, double least, double most, String unit) {
    /** @throws IllegalArgumentException where the least is above the most */
    public Range {
        if (!(least <= most)) {
            throw new IllegalArgumentException("range of " + what + " from " + least + " to " + most + " is empty");
        }
    }

    /** Without a unit. */
    public static Range of(String what, double least, double most) {
        return new Range(what, least, most, "");
    }

    /**
     * The value, where it is allowed.
     *
     * @throws IllegalArgumentException naming value and range; NaN is refused too
     */
    public double check(double value) {
        if (!(value >= least && value <= most)) {
            throw TypedNumber.outside(what, TypedNumber.plain(value), least, most, unit);
        }
        return value;
    }

    /**
     * A number as people write it.
     *
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public double read(String text) {
        return TypedNumber.decimal(what, text, least, most, unit);
    }

    /** The same of a whole number. */
    public int whole(String text) {
        return (int) TypedNumber.whole(what, text, (long) least, (long) most, unit);
    }

    /** The nearest that is allowed. */
    public double clamped(double value) {
        return Math.max(least, Math.min(most, value));
    }
}
