package org.halfdusk.web.layout.words;

import java.math.BigDecimal;
import java.math.RoundingMode;
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

    /** For files: no more decimals than so many, none that is nothing, never an exponent. */
    public static String plain(double v, int decimals) {
        return BigDecimal.valueOf(v)
                .setScale(decimals, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }
}
