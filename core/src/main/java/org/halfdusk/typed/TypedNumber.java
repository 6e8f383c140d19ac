package org.halfdusk.typed;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Numbers as people write them, with point or comma, either minus, and signs between thousands.
 *
 * <p>A point or comma that stands alone is decimal, unless exactly three digits follow it: "1,200" is 1.2 to one reader and
 * 1200 to another. Of the two readings the one that the field allows is taken; where it allows both, both are named and
 * asked for. In fields of whole numbers it is 1200. Where both signs stand, or one stands several times, what they mean is
 * plain. Its unit may stand behind it, or another of the same kind; see {@link TypedUnit}. A space, a no-break space or an apostrophe only ever stands between thousands. Nothing else is a number: no "12d",
 * no "0x10", no "NaN", which the languages' own readers take.
 */
public final class TypedNumber {
    private static final Pattern NUMBER = Pattern.compile("[+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d{1,3})?");
    private static final Pattern THOUSANDS = Pattern.compile("[+-]?[1-9]\\d{0,2}([.,])\\d{3}");
    private static final Pattern SPACED =
            Pattern.compile("[+-]?\\d{1,3}(?:[ \u00A0\u2009\u202F'’]\\d{3})+(?:[.,]\\d*)?");
    private static final Pattern MANY_POINTS =
            Pattern.compile("[+-]?\\d{1,3}(?:\\.\\d{3}){2,}|[+-]?\\d{1,3}(?:\\.\\d{3})+,\\d*");
    private static final Pattern MANY_COMMAS =
            Pattern.compile("[+-]?\\d{1,3}(?:,\\d{3}){2,}|[+-]?\\d{1,3}(?:,\\d{3})+\\.\\d*");

    /** Longer texts are no numbers that anybody types. */
    private static final int LONGEST = 40;

    private static final int SHOWN = 60;

    private TypedNumber() {}

    /**
     * A number in a range.
     *
     * @param what it is, for the message: "elevation"
     * @param unit for the message; may be empty
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public static double decimal(String what, String text, double least, double most, String unit) {
        String u = unit.isEmpty() ? "" : " " + unit;
        String range = bound(least) + " to " + bound(most) + u;
        String typed = text.strip();
        TypedUnit.Counted counted = TypedUnit.read(what, typed, unit);
        List<Double> allowed = readings(what, typed, counted, range).stream()
                .filter(v -> v >= least && v <= most)
                .toList();
        if (allowed.isEmpty()) {
            throw outside(what, shown(what.endsWith("f/") ? counted.number() : typed), least, most, unit);
        }
        if (allowed.size() > 1) {
            throw new IllegalArgumentException(what + " “" + typed + "” can be read as " + bound(allowed.get(0))
                    + " or as " + bound(allowed.get(1)) + u + "; write " + plain(allowed.get(0)) + " or "
                    + plain(allowed.get(1)));
        }
        return allowed.get(0);
    }

    /**
     * A whole number in a range; signs between thousands are that.
     *
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public static long whole(String what, String text, long least, long most, String unit) {
        String u = unit.isEmpty() ? "" : " " + unit;
        String typed = text.strip();
        String range = bound(least) + " to " + bound(most) + u;
        TypedUnit.Counted counted = TypedUnit.read(what, typed, unit);
        double value = readings(what, typed, counted, "a whole number from " + range).stream()
                .filter(v -> v == Math.rint(v))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        what + " " + shown(typed) + u + " is not a whole number; " + range + " is allowed"));
        if (!(value >= least && value <= most)) {
            throw outside(what, shown(typed), least, most, unit);
        }
        return (long) value;
    }

    /** The refusal of a value that is none of what is allowed. */
    static IllegalArgumentException outside(String what, String value, double least, double most, String unit) {
        String u = unit.isEmpty() ? "" : " " + unit;
        return new IllegalArgumentException(
                what + " " + value + u + " is outside " + bound(least) + " to " + bound(most) + u);
    }

    /**
     * A number that a program wrote: a point or comma is decimal, nothing stands between thousands.
     *
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public static double written(String what, String text) {
        String t = text.strip();
        if (t.length() <= LONGEST && NUMBER.matcher(t.replace(',', '.')).matches()) {
            double value = Double.parseDouble(t.replace(',', '.'));
            if (Double.isFinite(value)) {
                return value;
            }
        }
        throw new IllegalArgumentException(
                what + " “" + shown(t) + "” is not a number; digits with a decimal point are allowed");
    }

    /** Whether a text is a number with no unit behind it. */
    public static boolean bare(String text) {
        return !readings(text).isEmpty();
    }

    /** The same of what has to be a number: at least one reading. */
    private static List<Double> readings(String what, String typed, TypedUnit.Counted counted, String allowed) {
        if (typed.isEmpty()) {
            throw new IllegalArgumentException(what + " is empty; " + allowed + " is allowed");
        }
        List<Double> readings = readings(counted.number()).stream()
                .map(counted.of()::applyAsDouble)
                .filter(Double::isFinite)
                .toList();
        if (readings.isEmpty()) {
            throw new IllegalArgumentException(
                    what + " “" + shown(typed) + "” is not a number; " + allowed + " is allowed");
        }
        return readings;
    }

    /** What a text can mean: nothing, one number, or two; then as a decimal first. */
    static List<Double> readings(String text) {
        String t = text.strip().replace('−', '-');
        List<Double> readings = new ArrayList<>();
        if (t.length() > LONGEST) {
            return readings;
        }
        if (SPACED.matcher(t).matches()) {
            add(readings, t.replaceAll("[ \u00A0\u2009\u202F'’]", "").replace(',', '.'));
        } else if (MANY_POINTS.matcher(t).matches()) {
            add(readings, t.replace(".", "").replace(',', '.'));
        } else if (MANY_COMMAS.matcher(t).matches()) {
            add(readings, t.replace(",", ""));
        } else {
            add(readings, t.replace(',', '.'));
            if (THOUSANDS.matcher(t).matches()) {
                add(readings, t.replaceAll("[.,]", ""));
            }
        }
        return readings;
    }

    private static void add(List<Double> readings, String text) {
        if (NUMBER.matcher(text).matches()) {
            double value = Double.parseDouble(text);
            if (Double.isFinite(value)) {
                readings.add(value);
            }
        }
    }

    /**
     * In the one written form that reads back as the same number: all its digits, no point where it is whole, never exactly
     * three digits after the point.
     */
    public static String plain(double value) {
        if (value == Math.rint(value) && Math.abs(value) < 1e15) {
            return Long.toString((long) value);
        }
        String text = Double.toString(value);
        return THOUSANDS.matcher(text).matches() ? text + "0" : text;
    }

    private static String bound(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString().replace('-', '−');
    }

    /** A text as a message quotes it: nobody reads ten thousand characters. */
    public static String shown(String text) {
        return shown(text, SHOWN);
    }

    /** The same with room for so many characters. */
    public static String shown(String text, int most) {
        return text.length() <= most ? text : PlainText.start(text, most) + "…";
    }
}
