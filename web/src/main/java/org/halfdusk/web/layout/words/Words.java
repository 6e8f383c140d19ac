package org.halfdusk.web.layout.words;

import java.util.Locale;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.Observer;

/** Numbers as the pages say them. */
public final class Words {
    private static final double FEET_PER_METRE = 1 / 0.3048;

    private static final ThreadLocal<Units> UNITS = ThreadLocal.withInitial(() -> Units.METRIC);

    private Words() {}

    /** From now on this thread says everything in these units: until {@link #sayAsUsual}, at the end of its request. */
    public static void say(Units chosen) {
        UNITS.set(chosen);
    }

    /** In metric units again. */
    public static void sayAsUsual() {
        UNITS.remove();
    }

    public static Units units() {
        return UNITS.get();
    }

    static double feet(double metres) {
        return metres * FEET_PER_METRE;
    }

    static double fahrenheit(double celsius) {
        return celsius * 9 / 5 + 32;
    }

    /** 64 m, or 210 ft. */
    public static String metres(double metres) {
        return units().feet() ? thousands(feet(metres)) + " ft" : thousands(metres) + " m";
    }

    /** A distance of any size: 3.1 m, 64 m, 2.4 km; or 10 ft. */
    public static String distance(double metres) {
        if (units().feet() || metres >= 10 && metres < 3000) {
            return metres(metres);
        }
        return metres < 10 ? tenths(metres) + " m" : tenths(metres / 1000) + " km";
    }

    /** 17.4 °C, or 63 °F. */
    public static String celsius(double celsius) {
        return units().fahrenheit() ? Math.round(fahrenheit(celsius)) + " °F" : tenths(celsius) + " °C";
    }

    /** A difference of temperatures: 3 °C, or 5 °F. */
    public static String degreesWarmer(double celsius) {
        return units().fahrenheit() ? tenths(celsius * 9 / 5) + " °F" : plain(Math.rint(celsius * 10) / 10) + " °C";
    }

    /** 1/125 s below a third of a second, otherwise 0.8 s. */
    public static String fraction(double seconds) {
        return seconds < 0.34 ? "1/" + Math.round(1 / seconds) + " s" : seconds(seconds);
    }

    /** 31.4′. */
    public static String arcminutes(double degrees) {
        return tenths(degrees * 60) + "′";
    }

    /** 384,400. */
    public static String thousands(double value) {
        return String.format(Locale.ENGLISH, "%,d", Math.round(value));
    }

    /** +1.3 stops, −2 stops, 0 stops. */
    public static String signedStops(double stops) {
        String s = stops(stops);
        return Math.abs(stops) < 0.05 ? "0 stops" : (stops > 0 ? "+" : "−") + s;
    }

    /** 24.6°, with a true minus. */
    public static String degrees(double degrees) {
        return minus(Numbers.fixed(degrees, 1) + "°");
    }

    /** 176°. */
    public static String wholeDegrees(double degrees) {
        return minus(Math.round(degrees) + "°");
    }

    /** 176°, never 360°. */
    public static String azimuth(double degrees) {
        return Math.floorMod(Math.round(degrees), 360L) + "°";
    }

    /** 175.9°, never 360.0°. */
    public static String azimuthTenths(double degrees) {
        return degrees(Azimuth.ofDegrees(degrees).rounded(TENTHS).degrees());
    }

    private static final int TENTHS = 10;

    private static final String[] WINDS = {"N", "NE", "E", "SE", "S", "SW", "W", "NW"};
    private static final String[] WIND_WORDS = {
        "north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"
    };

    /** N, NE, E …: the eighth in which a direction lies. */
    public static String compass(double degrees) {
        return WINDS[eighth(degrees)];
    }

    /** The same as a word: south-west. */
    public static String compassWord(double degrees) {
        return eighthWord(eighth(degrees));
    }

    /** An eighth of all directions as a word, counted from north by east. */
    public static String eighthWord(int eighth) {
        return WIND_WORDS[Math.floorMod(eighth, WIND_WORDS.length)];
    }

    private static int eighth(double degrees) {
        return (int) Math.floorMod(Math.round(degrees / 45), 8L);
    }

    /** 1.117, three decimals. */
    public static String thousandths(double value) {
        return minus(Numbers.fixed(value, 3));
    }

    /** One decimal, with a true minus. */
    public static String tenths(double value) {
        return minus(Numbers.fixed(value, 1));
    }

    /** No more decimals than needed, at most two. */
    public static String plain(double value) {
        return minus(Numbers.hundredths(value));
    }

    /** 27.8 s, 0.13 s; two figures that matter below a second. */
    public static String seconds(double seconds) {
        if (seconds >= 600) {
            return Times.duration(seconds / 3600);
        }
        if (seconds >= 99.95) {
            return Math.round(seconds) + " s";
        }
        return seconds >= 1 ? tenths(seconds) + " s" : String.format(Locale.ROOT, "%.2g s", seconds);
    }

    /** 3.8 GB, 650 MB. */
    public static String gigabytes(double megabytes) {
        return megabytes < 1000 ? Math.round(megabytes) + " MB" : tenths(megabytes / 1000) + " GB";
    }

    /** 62 %. */
    public static String percent(double share) {
        return Math.round(share * 100) + " %";
    }

    /** 99.4 %. */
    public static String percentTenths(double share) {
        return tenths(share * 100) + " %";
    }

    /** Whether a number is worth telling where tenths are shown: it does not round to nought. */
    public static boolean told(double value) {
        return Math.abs(value) >= LEAST_TOLD;
    }

    private static final double LEAST_TOLD = 0.05;

    /** Illuminance with a unit that suits it: 4.2 mlx, 0.25 lx, 700 lx. */
    public static String lux(double lux) {
        return lux < 0.01
                ? thousandths(lux * 1000) + " mlx"
                : lux < 10 ? thousandths(lux) + " lx" : Math.round(lux) + " lx";
    }

    /** 1 frame, 3 frames. @param one its name, to which an s is added for more */
    public static String count(long number, String one) {
        return number + " " + one + (number == 1 ? "" : "s");
    }

    /** "Full frame 33 MP, 400 mm". */
    public static String rig(Rig rig) {
        return rig.camera().name() + ", " + plain(rig.focalMm()) + " mm";
    }

    /** 1.3 stops, 1 stop. */
    public static String stops(double stops) {
        String number = tenths(Math.abs(stops)).replaceAll("\\.0$", "");
        return number + (number.equals("1") ? " stop" : " stops");
    }

    /** 43° left, upright, flat. */
    public static String lean(double degrees) {
        return upright(degrees)
                ? "upright"
                : flat(degrees) ? "flat" : Math.round(Math.abs(degrees)) + "° " + (degrees < 0 ? "left" : "right");
    }

    /** Whether a lean is too little to be seen. */
    public static boolean upright(double degrees) {
        return Math.round(Math.abs(degrees)) < 3;
    }

    /** Whether it lies down. */
    public static boolean flat(double degrees) {
        return Math.round(Math.abs(degrees)) > 87;
    }

    /** 35.9500° N, 3.0500° W. */
    public static String position(Observer o) {
        return String.format(
                Locale.ROOT,
                "%.4f° %s, %.4f° %s",
                Math.abs(o.latitudeDegrees()),
                o.latitudeDegrees() < 0 ? "S" : "N",
                Math.abs(o.longitudeDegrees()),
                o.longitudeDegrees() < 0 ? "W" : "E");
    }

    /** With a capital first letter. */
    public static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }

    private static String minus(String s) {
        return s.startsWith("-") ? "−" + s.substring(1) : s;
    }

    /** A core message as a sentence: capital first, full stop last. */
    public static String sentence(String message) {
        String m = message.isBlank() || message.equals("null") ? "this value cannot be used" : message;
        return Character.toUpperCase(m.charAt(0)) + m.substring(1) + (m.endsWith(".") ? "" : ".");
    }

    /** Parts of a whole that must not be rounded up to it: 0.9996 of the sun is not all of it. */
    public static String percentFloor(double share) {
        return percent(Math.floor(share * 100) / 100);
    }

    /** The same to tenths of a percent. */
    public static String percentTenthsFloor(double share) {
        return percentTenths(Math.floor(share * 1000) / 1000);
    }

    /** Thousandths, never rounded up. */
    public static String thousandthsFloor(double value) {
        return thousandths(Math.floor(value * 1000) / 1000);
    }
}
