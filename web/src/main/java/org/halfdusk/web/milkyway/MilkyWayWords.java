package org.halfdusk.web.milkyway;

import static org.halfdusk.web.layout.Words.clock;
import static org.halfdusk.web.layout.Words.degrees;
import static org.halfdusk.web.layout.Words.duration;
import static org.halfdusk.web.layout.Words.flat;
import static org.halfdusk.web.layout.Words.lean;
import static org.halfdusk.web.layout.Words.percent;
import static org.halfdusk.web.layout.Words.plain;
import static org.halfdusk.web.layout.Words.span;
import static org.halfdusk.web.layout.Words.upright;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.NoWindow;
import org.halfdusk.shoot.milkyway.WindowLimit;
import org.halfdusk.sky.Darkness;
import org.halfdusk.sky.Night;
import org.halfdusk.time.Interval;

/** A Milky Way night in words. */
public final class MilkyWayWords {
    private MilkyWayWords() {}

    /** "5 h 18 m dark, no moon", or that there is none: the step's answer. */
    public static String answer(MilkyWayNight m) {
        if (m.main().isPresent()) {
            return duration(m.windowHours()) + " dark, no moon";
        }
        return m.noWindow().map(MilkyWayWords::shortly).orElse("no window");
    }

    private static String shortly(NoWindow none) {
        if (none instanceof NoWindow.NeverDark) {
            return "never dark";
        }
        if (none instanceof NoWindow.MoonUp) {
            return "moon up all night";
        }
        return none instanceof NoWindow.CoreLow
                ? "core too low"
                : none instanceof NoWindow.CoreHidden ? "core hidden" : "no window";
    }

    /** The window as a sentence with what made it. */
    public static String sentence(MilkyWayNight m) {
        ZoneId zone = m.night().zone();
        return m.main()
                .map(w -> duration(w.duration()) + " dark with the core "
                        + coreRange(m, w) + " up and the moon " + moonState(m) + ". Highest at "
                        + clock(m.bestMoment(), zone) + ", band "
                        + leaning(m.night().sky().bandLeanDegrees(m.bestMoment())) + ".")
                .orElseGet(() -> m.noWindow().map(n -> why(n, m)).orElse(""));
    }

    private static String leaning(double degrees) {
        return upright(degrees) || flat(degrees) ? lean(degrees) : "leaning " + lean(degrees);
    }

    private static String coreRange(MilkyWayNight m, Interval w) {
        List<Night.Course> ends = m.night().course(w, w.duration());
        double start = ends.get(0).core();
        double end = ends.get(1).core();
        double top = m.best().position().altitude().degrees();
        return Math.round(Math.min(start, end)) + "\u2013" + Math.round(top) + "°";
    }

    private static String moonState(MilkyWayNight m) {
        double lit = m.night().moonPhase().illuminatedFraction();
        return "down (" + percent(lit) + " lit)";
    }

    /** Why a night has no window, in a sentence. */
    public static String why(NoWindow none, MilkyWayNight m) {
        ZoneId zone = m.night().zone();
        if (none instanceof NoWindow.NeverDark never) {
            return "Never dark: the sun only sinks to " + degrees(never.sunLowestDegrees()) + ", the least light is at "
                    + clock(never.leastLight(), zone) + ".";
        }
        if (none instanceof NoWindow.MoonUp moon) {
            return "The moon, " + percent(moon.illuminatedFraction()) + " lit, is up for all of the dark.";
        }
        if (none instanceof NoWindow.CoreLow low) {
            return "The core gets no higher than " + degrees(low.highestWhileDarkDegrees()) + " while it is dark; "
                    + plain(m.lowestCoreDegrees()) + "° is wished.";
        }
        if (none instanceof NoWindow.CoreHidden hidden) {
            return "The skyline hides the core while it is dark, though it gets to "
                    + degrees(hidden.highestWhileDarkDegrees()) + ".";
        }
        return "Dark, moonless and core above " + plain(m.lowestCoreDegrees()) + "° never come together.";
    }

    /** The one thing that costs the night most, in a few words; for lists. */
    public static String whyNotMore(MilkyWayNight m) {
        if (m.main().isEmpty() || !(m.night().darkness() instanceof Darkness.Dark dark)) {
            return m.noWindow().map(n -> why(n, m)).orElse("");
        }
        Interval window = m.main().get();
        ZoneId zone = m.night().zone();
        Duration lostBefore = Duration.between(dark.interval().start(), window.start());
        Duration lostAfter = Duration.between(window.end(), dark.interval().end());
        if (lostBefore.toMinutes() < 5 && lostAfter.toMinutes() < 5) {
            return "all of the dark is usable";
        }
        boolean before = lostBefore.compareTo(lostAfter) >= 0;
        WindowLimit limit = (before ? m.beginsWith() : m.endsWith()).orElseThrow();
        return limit(limit, before, m, zone);
    }

    private static String limit(WindowLimit limit, boolean before, MilkyWayNight m, ZoneId zone) {
        String at = clock(limit.at(), zone);
        return switch (limit.cause()) {
            case MOON -> before ? "moon up until " + at : "moonrise at " + at;
            case CORE -> "core under " + plain(m.lowestCoreDegrees()) + "° " + (before ? "until " : "from ") + at;
            case SKYLINE -> "core behind the skyline " + (before ? "until " : "from ") + at;
            case DARK -> before ? "dark only from " + at : "dawn at " + at;
        };
    }

    /** What opens and what closes the window, each with its time. */
    public static String edges(MilkyWayNight m) {
        ZoneId zone = m.night().zone();
        return m.main()
                .map(w -> "Opens when " + opens(m.beginsWith().orElseThrow(), m) + " (" + clock(w.start(), zone)
                        + "), closes when " + closes(m.endsWith().orElseThrow(), m) + " (" + clock(w.end(), zone)
                        + ").")
                .orElse("");
    }

    private static String opens(WindowLimit l, MilkyWayNight m) {
        return switch (l.cause()) {
            case DARK -> "the sun is 18° down";
            case MOON -> "the moon has set";
            case CORE -> "the core has climbed to " + plain(m.lowestCoreDegrees()) + "°";
            case SKYLINE -> "the core comes out over the skyline";
        };
    }

    private static String closes(WindowLimit l, MilkyWayNight m) {
        return switch (l.cause()) {
            case DARK -> "dawn begins";
            case MOON -> "the moon rises";
            case CORE -> "the core sinks under " + plain(m.lowestCoreDegrees()) + "°";
            case SKYLINE -> "the core goes behind the skyline";
        };
    }

    /** How the band turns through the window: "The band leans 60° left at 23:49, 31° left at 03:07, upright by 05:08." */
    public static String turning(MilkyWayNight m) {
        ZoneId zone = m.night().zone();
        return m.main()
                .map(w -> "The band leans " + at(m, w.start(), zone, " at ") + ", "
                        + at(m, w.start().plus(w.duration().dividedBy(2)), zone, " at ") + ", "
                        + at(m, w.end(), zone, " by ") + ".")
                .orElse("");
    }

    private static String at(MilkyWayNight m, Instant t, ZoneId zone, String join) {
        return lean(m.night().sky().bandLeanDegrees(t)) + join + clock(t, zone);
    }

    /** Window or the reason that there is none, for a heading. */
    public static String heading(MilkyWayNight m) {
        return m.main().map(w -> span(w, m.night().zone())).orElseGet(() -> {
            String s = m.noWindow().map(MilkyWayWords::shortly).orElse("no window");
            return Character.toUpperCase(s.charAt(0)) + s.substring(1);
        });
    }
}
