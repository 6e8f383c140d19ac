package org.halfdusk.web.layout.drawing;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Darkness;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.Rising;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;
import org.halfdusk.weather.Forecast;
import org.halfdusk.web.layout.words.Times;

/**
 * One night drawn along its time: the light of the sky, the subject and the moon, the usable window, frames, a playhead. Positions along
 * the strip are shares of its width, 0 to 100, so that it fits any screen.
 *
 * @param sky the stops of a gradient along the strip, SVG
 * @param followed the subject's body, a path
 * @param programme blocks of frames
 * @param clouds how much of the sky is covered, as far as it is forecast
 */
public record NightStrip(
        Interval axis,
        ZoneId zone,
        String sky,
        String followed,
        String moon,
        List<Piece> windows,
        List<Piece> programme,
        List<Cloud> clouds,
        String cloudWords,
        List<Tick> ticks,
        List<Label> labels,
        Optional<StripPlayhead> playhead,
        String words) {
    /** Height of the drawing of altitudes; its top is 60° up, or where a body stands higher, that. */
    public static final int HEIGHT = 60;

    /** Altitude at the top where nothing stands higher, degrees. */
    private static final double USUAL_TOP = 60;

    static final double WIDTH = 1000;

    /** So near to an end of the strip words begin to give way inwards. The script that drags the playhead knows the same figure. */
    static final double EDGE = 130;

    private static final Duration FINE = Duration.ofMinutes(10);
    private static final Duration COARSE = Duration.ofMinutes(20);

    public record Piece(String x, String width) {}

    /** @param cover share of the sky, as an opacity */
    public record Cloud(String x, String width, String cover, boolean rain) {}

    public record Tick(String x, String text, boolean often) {}

    /** @param near so near another label that there is no room for it on a small screen */
    public record Label(String x, String text, String anchor, boolean near) {}

    /**
     * Something that happens, written over the strip.
     *
     * @param weighty whether it stands where another would cover it
     */
    public record Mark(Instant at, String what, boolean weighty) {
        public Mark(Instant at, String what) {
            this(at, what, true);
        }
    }

    /** A small strip for a list: no words on it. */
    public static NightStrip small(SubjectNight m, Interval axis, Theme theme, String words) {
        return of(m, axis, theme, COARSE, Extras.NONE, words);
    }

    /** The strip of a shoot's pages, with its programme under it. */
    public static NightStrip large(
            SubjectNight m,
            Theme theme,
            Instant playhead,
            List<Mark> marks,
            List<Block> blocks,
            Optional<Forecast> forecast,
            String words) {
        return of(m, m.axis(), theme, FINE, new Extras(Optional.of(playhead), marks, blocks, forecast), words);
    }

    /** A large strip with its labels alone, for a night that is not planned yet. */
    public static NightStrip labelled(SubjectNight m, Theme theme, List<Mark> marks, String words) {
        return of(m, m.axis(), theme, FINE, new Extras(Optional.empty(), marks, List.of(), Optional.empty()), words);
    }

    /** A part of the night as it lies on the strip, and what is left of it before and after. */
    public record Part(Piece before, Piece shown, Piece after) {}

    /** Where a part of the night lies, as far as the strip reaches; nothing where none of it does. */
    public Optional<Part> part(Interval part) {
        Scale scale = new Scale(axis);
        return part.intersect(axis)
                .map(i -> new Part(
                        scale.piece(axis.start(), i.start()),
                        scale.piece(i.start(), i.end()),
                        scale.piece(i.end(), axis.end())));
    }

    /** What only the large strip has. */
    record Extras(Optional<Instant> playhead, List<Mark> marks, List<Block> blocks, Optional<Forecast> forecast) {
        static final Extras NONE = new Extras(Optional.empty(), List.of(), List.of(), Optional.empty());
    }

    static NightStrip of(SubjectNight m, Interval axis, Theme theme, Duration step, Extras extras, String words) {
        ZoneId zone = m.zone();
        Scale scale = new Scale(axis);
        List<Night.Course> course = Night.course(m.sky(), axis, step);
        List<Piece> windows = m.windows().stream()
                .flatMap(w -> w.intersect(axis).stream())
                .map(w -> new Piece(scale.percent(w.start()), scale.width(w)))
                .toList();
        Body followed = m.followed().orElse(Body.GALACTIC_CENTRE);
        List<Cloud> clouds = extras.forecast().map(f -> clouds(f, axis, scale)).orElse(List.of());
        boolean large = step.equals(FINE);
        double top = course.stream()
                .mapToDouble(c -> Math.max(c.moon(), m.followed().isEmpty() ? 0 : altitude(m.sky(), c, followed)))
                .reduce(USUAL_TOP, Math::max);
        return new NightStrip(
                axis,
                zone,
                StripSky.of(m, axis, theme, course, scale),
                m.followed().isEmpty() ? "" : line(course, scale, top, c -> altitude(m.sky(), c, followed)),
                followed == Body.MOON ? "" : line(course, scale, top, Night.Course::moon),
                windows,
                programme(extras.blocks(), axis, scale),
                clouds,
                clouds.isEmpty() || extras.forecast().stream().noneMatch(Forecast::simulated)
                        ? "cloud"
                        : "cloud, simulated",
                large ? ticks(axis, zone, scale) : List.of(),
                StripLabels.labels(extras, axis, scale, zone),
                extras.playhead().map(p -> StripPlayhead.of(p, axis, scale, zone)),
                words);
    }

    private static double altitude(Sky sky, Night.Course c, Body body) {
        return switch (body) {
            case SUN -> c.sun();
            case MOON -> c.moon();
            case GALACTIC_CENTRE -> c.core();
            default -> sky.altitudeDegrees(body, Moment.utDays(c.at()));
        };
    }

    /** A piece an hour of forecast, along the top. */
    private static List<Cloud> clouds(Forecast forecast, Interval axis, Scale scale) {
        return forecast.parts(axis).stream()
                .map(p -> new Cloud(
                        scale.percent(p.of().start()),
                        scale.width(p.of()),
                        Double.toString(Math.rint(p.hour().cover() * 20) / 20),
                        p.hour().precipitationMm() > 0))
                .toList();
    }

    /** Blocks of frames along the strip, each at least wide enough to be seen. */
    private static List<Piece> programme(List<Block> blocks, Interval axis, Scale scale) {
        return blocks.stream()
                .filter(b -> !b.frames().isEmpty()
                        && b.start().isBefore(axis.end())
                        && b.end().isAfter(axis.start()))
                .map(b -> new Piece(scale.percent(b.start()), scale.width(b.start(), b.end())))
                .toList();
    }

    /** A path of the parts above the horizon. */
    private static String line(
            List<Night.Course> course, Scale scale, double top, ToDoubleFunction<Night.Course> altitude) {
        StringBuilder path = new StringBuilder();
        Night.Course before = null;
        boolean drawing = false;
        for (Night.Course c : course) {
            double a = altitude.applyAsDouble(c);
            if (before != null) {
                double b = altitude.applyAsDouble(before);
                if ((a > 0) != (b > 0)) {
                    double share = b / (b - a);
                    double x = scale.x(before.at()) + share * (scale.x(c.at()) - scale.x(before.at()));
                    point(path, drawing, x, 0, top);
                    drawing = a > 0;
                }
            }
            if (a > 0) {
                point(path, drawing, scale.x(c.at()), a, top);
                drawing = true;
            }
            before = c;
        }
        return path.toString();
    }

    private static void point(StringBuilder path, boolean drawing, double x, double altitude, double top) {
        double y = HEIGHT - altitude / top * (HEIGHT - 4);
        path.append(drawing ? 'L' : 'M').append(hundredths(x)).append(' ').append(hundredths(y));
    }

    /** Two decimals at most, without the cost of a format: some thousands of these make a page. */
    private static double hundredths(double v) {
        return Math.rint(v * 100) / 100;
    }

    private static List<Tick> ticks(Interval axis, ZoneId zone, Scale scale) {
        List<Tick> ticks = new ArrayList<>();
        ZonedDateTime hour = axis.start().atZone(zone).truncatedTo(ChronoUnit.HOURS);
        boolean longAxis = axis.hours() > 16;
        for (ZonedDateTime z = hour.plusHours(1); z.toInstant().isBefore(axis.end()); z = z.plusHours(1)) {
            boolean often = z.getHour() % 3 != 0;
            double share = scale.x(z.toInstant()) / WIDTH;
            if (share > 0.02 && share < 0.98 && !(longAxis && z.getHour() % 2 != 0)) {
                ticks.add(new Tick(scale.percent(z.toInstant()), Times.hour(z.getHour()), often));
            }
        }
        return ticks;
    }

    /** Sunset and sunrise of a night. */
    public static List<Mark> sunMarks(Night night) {
        List<Mark> marks = new ArrayList<>();
        if (night.sun() instanceof Rising.Crosses sun) {
            sun.sets().ifPresent(t -> marks.add(new Mark(t, "sunset", false)));
            sun.rises().ifPresent(t -> marks.add(new Mark(t, "sunrise", false)));
        }
        return marks;
    }

    /** Sunset, dark, dawn and sunrise of a night. */
    public static List<Mark> marks(Night night) {
        List<Mark> marks = new ArrayList<>(sunMarks(night));
        if (night.darkness() instanceof Darkness.Dark dark) {
            marks.add(new Mark(dark.interval().start(), "dark"));
            marks.add(new Mark(dark.interval().end(), "dawn begins"));
        } else if (night.darkness() instanceof Darkness.NeverDark never) {
            marks.add(new Mark(never.at(), "least light"));
        }
        return marks;
    }

    /** Near an end of the strip a label runs inwards. */
    static String anchor(double x) {
        if (x < EDGE) {
            return "start";
        }
        return x > WIDTH - EDGE ? "end" : "middle";
    }

    /** From times to places along the strip. */
    record Scale(Interval axis) {
        double x(Instant at) {
            return WIDTH * axis.share(at);
        }

        String percent(Instant at) {
            return hundredths(Math.max(0, Math.min(WIDTH, x(at))) / WIDTH * 100) + "%";
        }

        Piece piece(Instant from, Instant to) {
            return new Piece(percent(from), hundredths((x(to) - x(from)) / WIDTH * 100) + "%");
        }

        String width(Interval i) {
            return width(i.start(), i.end());
        }

        String width(Instant from, Instant to) {
            return hundredths(Math.max(0.15, (x(to) - x(from)) / WIDTH * 100)) + "%";
        }
    }
}
