package org.halfdusk.exposure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.halfdusk.photometry.Stops;

/**
 * A time that a camera or a timer can be set to.
 *
 * @param nominalSeconds what stands on the dial
 * @param realSeconds what the shutter does: powers of two by thirds on the dial, the set time on a timer
 */
public record ShutterTime(double nominalSeconds, double realSeconds) implements Comparable<ShutterTime> {
    /** A limit may be overshot by this share when rounding down: 7.99 s uses the 8 s mark. */
    public static final double FORGIVEN = 0.01;

    private static final double[] WHOLE_MARKS = {
        30, 25, 20, 15, 13, 10, 8, 6, 5, 4, 3.2, 2.5, 2, 1.6, 1.3, 1, 0.8, 0.6, 0.5, 0.4, 0.3
    };
    private static final int[] FRACTIONS = {
        4, 5, 6, 8, 10, 13, 15, 20, 25, 30, 40, 50, 60, 80, 100, 125, 160, 200, 250, 320, 400, 500, 640, 800, 1000,
        1250, 1600, 2000, 2500, 3200, 4000, 5000, 6400, 8000, 10000, 12800, 16000, 20000, 25600, 32000
    };

    /** What people set on a remote timer; such times are what they say. */
    private static final int[] TIMER = {
        35, 40, 45, 50, 60, 75, 90, 100, 120, 150, 180, 210, 240, 300, 360, 420, 480, 600, 720, 900, 1200, 1500, 1800,
        2400, 3600
    };

    /** Thirds of a stop from 1 s to the "30 s" mark. */
    private static final int THIRDS_OF_LONGEST = 15;

    /** @throws IllegalArgumentException for a time outside above 0 to a million seconds */
    public ShutterTime {
        if (!(nominalSeconds > 0 && realSeconds > 0 && realSeconds < 1e6)) {
            throw new IllegalArgumentException("shutter time " + nominalSeconds + " s is not above 0 s");
        }
    }

    /** Marks of a dial in thirds, longest first: "30 s" (32 s) down to 1/32000. */
    public static List<ShutterTime> dial() {
        return Marks.DIAL;
    }

    /** Made once: every plan asks for them. */
    private static final class Marks {
        static final List<ShutterTime> DIAL = marks();
        static final List<ShutterTime> TIMER_TIMES = times();
    }

    private static List<ShutterTime> marks() {
        List<ShutterTime> marks = new ArrayList<>();
        int thirds = THIRDS_OF_LONGEST;
        for (double nominal : WHOLE_MARKS) {
            marks.add(new ShutterTime(nominal, Math.pow(2, thirds-- / 3.0)));
        }
        for (int fraction : FRACTIONS) {
            marks.add(new ShutterTime(1.0 / fraction, Math.pow(2, thirds-- / 3.0)));
        }
        return List.copyOf(marks);
    }

    /** Times of a remote timer with bulb, longest first. */
    public static List<ShutterTime> timer() {
        return Marks.TIMER_TIMES;
    }

    private static List<ShutterTime> times() {
        List<ShutterTime> times = new ArrayList<>();
        for (int i = TIMER.length - 1; i >= 0; i--) {
            times.add(new ShutterTime(TIMER[i], TIMER[i]));
        }
        return List.copyOf(times);
    }

    /** Times under half a minute that a timer gives a camera whose own dial ends before them. */
    private static final int[] SHORT_TIMER = {30, 25, 20, 15, 13, 10, 8, 6, 5, 4, 3, 2};

    /** What a camera can do, longest first; with bulb the timer's times come before the dial's, down to where that begins. */
    public static List<ShutterTime> available(double shortestSeconds, double longestTimedSeconds, boolean bulb) {
        List<ShutterTime> all = new ArrayList<>();
        for (ShutterTime t : timer()) {
            if (bulb || t.nominalSeconds <= longestTimedSeconds * 1.001) {
                all.add(t);
            }
        }
        for (int seconds : SHORT_TIMER) {
            if (bulb && seconds > longestTimedSeconds * 1.001) {
                all.add(new ShutterTime(seconds, seconds));
            }
        }
        for (ShutterTime t : dial()) {
            if (t.nominalSeconds <= longestTimedSeconds * 1.001 && t.nominalSeconds >= shortestSeconds * 0.999) {
                all.add(t);
            }
        }
        return List.copyOf(all);
    }

    /** The longest mark within a limit; the shortest there is where even that is too long. */
    public static ShutterTime within(double limitSeconds, List<ShutterTime> longestFirst) {
        return roundDown(limitSeconds, longestFirst).orElseGet(() -> longestFirst.get(longestFirst.size() - 1));
    }

    /** The longest of the times whose real length is at most the limit, forgiving 1 %; nothing where all are longer. */
    public static Optional<ShutterTime> roundDown(double limitSeconds, List<ShutterTime> longestFirst) {
        return longestFirst.stream()
                .filter(t -> t.realSeconds <= limitSeconds * (1 + FORGIVEN))
                .findFirst();
    }

    /** The time of the list nearest to a wish, in stops. */
    public static ShutterTime nearest(double seconds, List<ShutterTime> times) {
        return times.stream()
                .min((a, b) -> Double.compare(
                        Math.abs(Stops.between(a.realSeconds, seconds)),
                        Math.abs(Stops.between(b.realSeconds, seconds))))
                .orElseThrow();
    }

    /** Whether the shutter is held open beyond the dial's last mark. */
    public boolean bulb() {
        return nominalSeconds > WHOLE_MARKS[0];
    }

    /** Whether a mark of a second or more really lasts noticeably otherwise: “30 s” is 32 s. */
    public boolean namedOtherwise() {
        return nominalSeconds >= 1 && Math.abs(realSeconds - nominalSeconds) >= NAMED * nominalSeconds;
    }

    private static final double NAMED = 0.005;

    /** As on the dial: "10 s", "0.8 s", "1/125 s". */
    public String label() {
        if (nominalSeconds < 0.29) {
            return "1/" + Math.round(1 / nominalSeconds) + " s";
        }
        return nominalSeconds == Math.rint(nominalSeconds)
                ? Math.round(nominalSeconds) + " s"
                : String.format(Locale.ROOT, "%.1f s", nominalSeconds);
    }

    @Override
    public int compareTo(ShutterTime other) {
        return Double.compare(realSeconds, other.realSeconds);
    }
}
