package org.halfdusk.web.standin;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.halfdusk.place.Observer;
import org.halfdusk.weather.WeatherHour;

/**
 * Made-up weather that could be: warmer towards the equator and in summer, dry summers in the subtropics, lows that pass in
 * some days with cloud, wind and rain, a sea breeze by day, damp still nights. The same hour at the same place is always
 * the same. All figures are ours; nothing is forecast by it.
 */
final class SimulatedWeather {
    private static final double CELL_DEGREES = 0.25;
    private static final double SECONDS_PER_HOUR = 3600;

    /** Hours between two lows. */
    private static final double LOW_HOURS = 62;

    private final double latitude;
    private final double longitude;
    private final double elevationMetres;
    private final long seed;

    private SimulatedWeather(double latitude, double longitude, double elevationMetres) {
        this.latitude = latitude;
        this.longitude = longitude;
        this.elevationMetres = elevationMetres;
        this.seed = Math.round(latitude / CELL_DEGREES) * 7_919 + Math.round(longitude / CELL_DEGREES) * 104_729;
    }

    /** Weather is one over a quarter of a degree; height alone makes it colder. */
    static SimulatedWeather of(Observer where) {
        return new SimulatedWeather(where.latitudeDegrees(), where.longitudeDegrees(), where.elevationMetres());
    }

    WeatherHour hour(Instant at) {
        double hour = at.getEpochSecond() / SECONDS_PER_HOUR;
        double summer = summer(at);
        double low = Math.max(-1, Math.min(1, 1.5 * noise(hour, LOW_HOURS, 1)));
        double solar = Math.floorMod(Math.round((hour + longitude / 15) * 60), 24 * 60) / 60.0;
        double day = Math.cos(Math.toRadians((solar - 15) * 15));
        double damp = clamp(0.58 + 0.25 * low - 0.15 * dryness(summer) + 0.35 * noise(hour, 17, 2));
        double celsius = celsius(summer, low, day, hour);
        double spread = Math.max(0.2, (0.6 + 9 * (1 - damp)) * (1 + 0.45 * day));
        double lowCloud = cloud(1.5 * low - 0.7 * dryness(summer) + 1.1 * noise(hour, 7, 3) - 0.5);
        double midCloud = cloud(1.4 * low - 0.6 * dryness(summer) + 1.2 * noise(hour, 11, 4) - 0.6);
        double highCloud = cloud(1.1 * low + 1.6 * noise(hour, 19, 5) - 0.9);
        double wind = Math.max(0.3, 3.2 + 3.4 * low + 2 * noise(hour, 13, 6) + 1.4 * day * (0.4 + 0.6 * summer));
        double rain = lowCloud > 0.55 && low > 0.25 ? 4 * (lowCloud - 0.55) * (0.4 + low) : 0;
        return new WeatherHour(
                at,
                tenths(lowCloud, 20),
                tenths(midCloud, 20),
                tenths(highCloud, 20),
                tenths(wind, 10),
                OptionalDouble.of(Math.floorMod(Math.round((250 + 150 * noise(hour, 41, 7)) / 10) * 10, 360)),
                tenths(celsius, 10),
                tenths(celsius - spread, 10),
                OptionalDouble.of(Math.rint(Math.max(0.3, 42 * Math.pow(1 - damp, 0.8) - 6 * rain))),
                OptionalDouble.of(tenths(1.1 + 0.16 * wind + 0.5 * Math.abs(noise(hour, 23, 8)), 10)),
                tenths(rain, 10));
    }

    /** −1 in the depth of winter, 1 in high summer, a month after the solstices. */
    private double summer(Instant at) {
        int day = LocalDate.ofInstant(at, ZoneOffset.UTC).getDayOfYear();
        double north = Math.cos(2 * Math.PI * (day - 202) / 365.25);
        return latitude < 0 ? -north : north;
    }

    /** How dry a season is, 0 to 1: summers between the tropics and 45°, deserts near the tropic all year. */
    private double dryness(double summer) {
        double belt = Math.exp(-Math.pow((Math.abs(latitude) - 34) / 9, 2));
        return belt * clamp(0.5 + 0.5 * summer) + 0.5 * Math.exp(-Math.pow((Math.abs(latitude) - 25) / 6, 2));
    }

    private double celsius(double summer, double low, double day, double hour) {
        double mean = 27 - 0.0075 * latitude * latitude;
        double season = 0.19 * Math.abs(latitude) * summer;
        double height = -6.5 * elevationMetres / 1000;
        double daily = (2.3 - 1.1 * low) * day;
        return Math.max(-85, Math.min(50, mean + season + height + daily - 2.2 * low + 1.5 * noise(hour, 90, 9)));
    }

    private static double cloud(double logit) {
        double share = 1 / (1 + Math.exp(-3.2 * logit));
        return share < 0.04 ? 0 : Math.min(1, share);
    }

    private static double clamp(double v) {
        return Math.max(0, Math.min(1, v));
    }

    private static double tenths(double v, double per) {
        return Math.rint(v * per) / per;
    }

    /** A smooth wave about zero, −1 to 1, that turns about every so many hours. */
    private double noise(double hour, double period, long kind) {
        double x = hour / period;
        long k = (long) Math.floor(x);
        double t = x - k;
        double smooth = t * t * (3 - 2 * t);
        return value(k, kind) * (1 - smooth) + value(k + 1, kind) * smooth;
    }

    private double value(long k, long kind) {
        return new SplittableRandom(seed * 31 + kind * 1_000_003 + k * 0x9E3779B97F4A7C15L).nextDouble(-1, 1);
    }
}
