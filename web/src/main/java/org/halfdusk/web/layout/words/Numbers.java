package org.halfdusk.web.layout.words;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import org.halfdusk.typed.TypedNumber;

/** Numbers of drawings: short, without the cost of a format, since a picture has thousands of them. */
public final class Numbers {
    private Numbers() {}

    /** As a person would type it back: all its digits, no point where it is whole. */
    public static String typed(double v) {
        return TypedNumber.plain(v);
    }

    /** Degrees of a position as a person would type them back: a position has no thousands. */
    public static String degrees(double v) {
        return BigDecimal.valueOf(v).stripTrailingZeros().toPlainString();
    }

    public static String tenths(double v) {
        long t = Math.round(v * 10);
        return t % 10 == 0 ? Long.toString(t / 10) : (t < 0 ? "-" : "") + Math.abs(t) / 10 + "." + Math.abs(t) % 10;
    }

    /** No more decimals than needed, at most two. */
    public static String hundredths(double v) {
        String s = fixed(v, 2);
        int end = s.length();
        if (s.indexOf('.') >= 0) {
            while (s.charAt(end - 1) == '0') {
                end--;
            }
            end -= s.charAt(end - 1) == '.' ? 1 : 0;
        }
        return s.substring(0, end);
    }

    /** For files: no more decimals than so many, none that is nothing, never an exponent. */
    public static String plain(double v, int decimals) {
        return BigDecimal.valueOf(v)
                .setScale(decimals, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    /** Numbers above it have no decimals that a double could hold. */
    private static final double LARGE = 1e12;

    private static final double NEAR_HALF = 1e-6;

    /**
     * As {@code %.nf} writes it, a tenth of the cost: pages have thousands of numbers.
     *
     * @param decimals 1 to 3
     */
    static String fixed(double v, int decimals) {
        long unit = decimals == 1 ? 10 : decimals == 2 ? 100 : 1000;
        double scaled = Math.abs(v) * unit;
        // A half is rounded by the digits that the number is written with, not by those it is held with.
        if (!(scaled < LARGE) || Math.abs(scaled - Math.floor(scaled) - 0.5) < NEAR_HALF) {
            return String.format(Locale.ROOT, "%." + decimals + "f", v);
        }
        long whole = Math.round(scaled);
        String rest = Long.toString(whole % unit + unit).substring(1);
        return (Double.doubleToRawLongBits(v) < 0 ? "-" : "") + whole / unit + "." + rest;
    }
}
