package org.halfdusk.web.nights;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.search.Carpet;
import org.halfdusk.shoot.search.EclipseInSight;
import org.halfdusk.time.Interval;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.Spell;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.picture.Previews;
import org.halfdusk.web.subject.words.EclipseWords;

/**
 * The night carpet: its picture, a pixel a cell, and what is written about it. Places along it are percent of its size.
 *
 * @param moons new and full moons under the axis
 * @param clouds over the nights that are forecast
 */
record CarpetPicture(
        LocalDate from,
        int nights,
        List<Tick> hours,
        List<Tick> months,
        List<Moon> moons,
        List<Eclipse> eclipses,
        List<String> best,
        String width,
        long begin,
        List<NightStrip.Cloud> clouds,
        String cloudWords) {
    /** A wish that holds. */
    private static final int COPPER = 0xdd8a50;

    /** A time that the clocks skip. */
    private static final int SKIPPED = 0x2a3345;

    /** A clear night that is forecast still shows that it is. */
    private static final double FORECAST = 0.15;

    /** Pixels a row. */
    private static final int FINER = 5;

    private static final double FULL_WASH_MAGNITUDES = 3.5;

    record Tick(String at, String text, boolean major) {}

    record Moon(String x, boolean full, String words) {}

    /** @param lunar or of the Sun */
    record Eclipse(String x, boolean lunar, String words) {}

    /** @param begin column from which nights are ranked */
    static CarpetPicture of(Carpet c, List<LocalDate> best, long begin, Optional<Forecast> forecast) {
        List<NightStrip.Cloud> clouds = forecast.map(f -> clouds(c, f)).orElse(List.of());
        int n = c.columns().size();
        LocalDate first = c.columns().get(0).night().date();
        return new CarpetPicture(
                first,
                n,
                hours(c),
                months(c),
                moons(c),
                eclipses(c),
                best.stream()
                        .map(d -> percent(d.toEpochDay() - first.toEpochDay() + 0.5, n))
                        .toList(),
                percent(1, n),
                begin,
                clouds,
                clouds.isEmpty() || forecast.stream().noneMatch(Forecast::simulated)
                        ? "forecast"
                        : "simulated forecast");
    }

    /** Over each night whose dark or window is forecast, how much of it is lost to cloud. */
    private static List<NightStrip.Cloud> clouds(Carpet c, Forecast forecast) {
        List<NightStrip.Cloud> clouds = new ArrayList<>();
        int n = c.columns().size();
        LocalDate last =
                LocalDate.ofInstant(forecast.end(), c.columns().get(0).night().zone());
        for (int i = 0; i < n; i++) {
            SubjectNight night = c.columns().get(i).night();
            if (night.date().isAfter(last)) {
                break;
            }
            Optional<Spell> spell = forecast.during(night.main().orElse(midnight(night)));
            if (spell.isPresent()) {
                double lost = Math.max(FORECAST, Math.rint((1 - spell.get().clear()) * 20) / 20);
                clouds.add(new NightStrip.Cloud(percent(i, n), percent(1, n), Double.toString(lost), false));
            }
        }
        return clouds;
    }

    /** The hour about the middle of a night without a window. */
    private static Interval midnight(SubjectNight night) {
        Instant middle = night.axis().middle();
        return Interval.of(middle, middle.plusSeconds(3600));
    }

    private static String percent(double part, double whole) {
        return Math.round(part / whole * 10_000) / 100.0 + "%";
    }

    private static List<Tick> hours(Carpet c) {
        List<Tick> ticks = new ArrayList<>();
        int last = c.firstMinute() + c.rows() * c.stepMinutes();
        for (int m = (c.firstMinute() / 60 + 1) * 60; m < last; m += 60) {
            int hour = Math.floorMod(m / 60, 24);
            ticks.add(new Tick(percent(m - c.firstMinute(), last - c.firstMinute()), Times.hour(hour), hour % 2 == 0));
        }
        return ticks;
    }

    private static List<Tick> months(Carpet c) {
        List<Tick> ticks = new ArrayList<>();
        int n = c.columns().size();
        for (int i = 0; i < n; i++) {
            LocalDate d = c.columns().get(i).night().date();
            if (d.getDayOfMonth() == 1 || i == 0 && d.getDayOfMonth() < 20) {
                ticks.add(new Tick(percent(i, n), Times.month(d, i == 0 || d.getMonthValue() == 1), true));
            }
        }
        return ticks;
    }

    /** Eclipses that the place sees in these nights, whatever they are asked for. */
    private static List<Eclipse> eclipses(Carpet c) {
        SubjectNight first = c.columns().get(0).night();
        SubjectNight last = c.columns().get(c.columns().size() - 1).night();
        Interval all = Interval.of(first.axis().start(), last.axis().end());
        return EclipseInSight.of(first.sky(), first.zone(), all).stream()
                .map(e -> new Eclipse(
                        percent(
                                e.night().toEpochDay() - first.date().toEpochDay() + 0.5,
                                c.columns().size()),
                        e.ofTheMoon(),
                        Words.capital(EclipseWords.name(e)) + " on " + Times.day(e.night())))
                .toList();
    }

    /** Nights with the least and the most of the Moon lit. */
    private static List<Moon> moons(Carpet c) {
        List<Moon> moons = new ArrayList<>();
        int n = c.columns().size();
        for (int i = 1; i + 1 < n; i++) {
            double a = lit(c, i - 1);
            double b = lit(c, i);
            double d = lit(c, i + 1);
            if (b >= a && b > d && b > 0.9 || b <= a && b < d && b < 0.1) {
                moons.add(new Moon(
                        percent(i + 0.5, n),
                        b > 0.5,
                        (b > 0.5 ? "Full moon " : "New moon ")
                                + Times.shortDate(c.columns().get(i).night().date())));
            }
        }
        return moons;
    }

    private static double lit(Carpet c, int i) {
        return c.columns().get(i).night() instanceof AfterDark a
                ? a.night().moonPhase().illuminatedFraction()
                : 0.5;
    }

    /** A pixel a night across; downwards light is blended between the rows, wishes keep their edges. */
    static byte[] png(Carpet c, Theme theme) {
        int width = c.columns().size();
        int height = c.rows() * FINER;
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < width; x++) {
            Carpet.Column column = c.columns().get(x);
            for (int y = 0; y < height; y++) {
                image.setRGB(x, y, theme.rgb(colour(column, y / FINER, (float) (y % FINER) / FINER)));
            }
        }
        try {
            return Previews.png(image);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int colour(Carpet.Column column, int row, float share) {
        if (Float.isNaN(column.sun()[row])) {
            return SKIPPED;
        }
        double moon = between(column.moon(), row, share) / FULL_WASH_MAGNITUDES;
        int sky = SkyColours.rgb(between(column.sun(), row, share), Math.min(1, moon));
        return column.wish()[row] > 0 ? SkyColours.mix(sky, COPPER, between(column.wish(), row, share)) : sky;
    }

    /** Between a row and the next; the row itself where the next has no value or no wish. */
    private static float between(float[] values, int row, float share) {
        float a = values[row];
        float b = row + 1 < values.length ? values[row + 1] : a;
        return Float.isNaN(b) || b == 0 ? a : a + share * (b - a);
    }
}
