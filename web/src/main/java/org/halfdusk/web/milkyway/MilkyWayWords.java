package org.halfdusk.web.milkyway;

import static org.halfdusk.web.layout.words.Times.clock;
import static org.halfdusk.web.layout.words.Times.duration;
import static org.halfdusk.web.layout.words.Times.span;
import static org.halfdusk.web.layout.words.Words.degrees;
import static org.halfdusk.web.layout.words.Words.flat;
import static org.halfdusk.web.layout.words.Words.lean;
import static org.halfdusk.web.layout.words.Words.percent;
import static org.halfdusk.web.layout.words.Words.plain;
import static org.halfdusk.web.layout.words.Words.upright;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import org.halfdusk.light.LightWindows;
import org.halfdusk.light.SkyLight;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.NoWindow;
import org.halfdusk.shoot.milkyway.WindowLimit;
import org.halfdusk.sky.shapes.BandArch;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.BodyWords;
import org.halfdusk.web.layout.words.Words;

/** A Milky Way night in words. */
public final class MilkyWayWords {
    private MilkyWayWords() {}

    /** "5 h 18 m dark, no moon", or that there is none: the step's answer. */
    public static String answer(MilkyWayNight m) {
        if (m.main().isPresent()) {
            return duration(m.windowHours()) + (m.neverDark() ? " of least light, no moon" : " dark, no moon");
        }
        return m.noWindow().map(n -> shortly(n, m)).orElse("no window");
    }

    private static String shortly(NoWindow none, MilkyWayNight m) {
        if (none instanceof NoWindow.NeverDark) {
            return "never dark";
        }
        if (none instanceof NoWindow.MoonUp) {
            return "moon up all night";
        }
        if (none instanceof NoWindow.ArchOverhead) {
            return "arch overhead";
        }
        String part = BodyWords.bare(m.part());
        if (none instanceof NoWindow.Elsewhere) {
            return part + " elsewhere";
        }
        return none instanceof NoWindow.CoreLow
                ? part + " too low"
                : none instanceof NoWindow.CoreHidden ? part + " hidden" : "no window";
    }

    /** The window as a sentence with what made it. */
    public static String sentence(MilkyWayNight m) {
        ZoneId zone = m.night().zone();
        return m.main()
                .map(w -> duration(w.duration()) + (m.neverDark() ? " of the least light with " : " dark with ")
                        + whole(m)
                        + " " + range(m, w) + " up and the moon " + moonState(m) + "."
                        + (m.neverDark() ? " It never gets dark: the sky then is " + lifted(m) + "." : "")
                        + (m.neverDark() ? " Least light at " : m.wish().arch() ? " Best at " : " Highest at ")
                        + clock(m.bestMoment(), zone)
                        + (m.wish().arch()
                                ? " with its top "
                                        + degrees(m.best().position().altitude().degrees()) + " up, the band from "
                                        + feet(m, m.bestMoment()) + "."
                                : ", band " + leaning(m.night().sky().bandLeanDegrees(m.part(), m.bestMoment())) + "."))
                .orElseGet(() -> m.noWindow().map(n -> why(n, m)).orElse(""));
    }

    private static String leaning(double degrees) {
        return upright(degrees) || flat(degrees) ? lean(degrees) : "leaning " + lean(degrees);
    }

    private static String whole(MilkyWayNight m) {
        return m.wish().arch() ? "the arch's top" : BodyWords.name(m.part());
    }

    /** By how much the least light is brighter than the dark, at the zenith. */
    private static String lifted(MilkyWayNight m) {
        SkyLight.Brightness zenith = m.light().at(m.bestMoment()).zenith().withoutMoon();
        return Words.tenths(zenith.dark().over(zenith.total())) + " mag brighter than a dark one";
    }

    /** "292° to 112°": where the arch stands on the horizon. */
    static String feet(MilkyWayNight m, Instant at) {
        return BandArch.of(m.sky(), at)
                .map(a -> Words.wholeDegrees(a.left()) + " to " + Words.wholeDegrees(a.right()))
                .orElse("all round");
    }

    /** Lowest to highest altitude through a window. */
    private static String range(MilkyWayNight m, Interval w) {
        double start = m.sky().at(m.part(), w.start()).altitude().degrees();
        double end = m.sky().at(m.part(), w.end()).altitude().degrees();
        double best = m.best().position().altitude().degrees();
        double least = Math.min(best, Math.min(start, end));
        double most = Math.max(best, Math.max(start, end));
        return Math.round(least) + "\u2013" + Math.round(most) + "°";
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
        String meanwhile = m.neverDark() ? " in the least light" : " while it is dark";
        if (none instanceof NoWindow.CoreLow low) {
            return Words.capital(whole(m)) + " gets no higher than " + degrees(low.highestWhileDarkDegrees())
                    + meanwhile + "; " + plain(m.lowestDegrees()) + "° is wished.";
        }
        if (none instanceof NoWindow.CoreHidden hidden) {
            return "The skyline hides " + whole(m) + meanwhile + ", though it gets to "
                    + degrees(hidden.highestWhileDarkDegrees()) + ".";
        }
        if (none instanceof NoWindow.ArchOverhead over) {
            return "The band goes overhead" + meanwhile + ": its top stands no lower than "
                    + degrees(over.lowestWhileDarkDegrees()) + ", and from "
                    + plain(MilkyWayNight.HIGHEST_ARCH_DEGREES) + "° on it is no arch in a picture.";
        }
        if (none instanceof NoWindow.Elsewhere e) {
            return Words.capital(whole(m)) + " never stands within "
                    + plain(m.wish().towards().withinDegrees()) + "° of " + Words.azimuth(e.wishedDegrees()) + meanwhile
                    + "; at its best it is in " + Words.azimuth(e.azimuthDegrees()) + ".";
        }
        return "Dark, moonless and " + BodyWords.bare(m.part()) + " above " + plain(m.lowestDegrees())
                + "° never come together.";
    }

    /** The one thing that costs the night most, in a few words; for lists. */
    public static String whyNotMore(MilkyWayNight m) {
        if (m.main().isEmpty()) {
            return m.noWindow().map(n -> why(n, m)).orElse("");
        }
        Interval window = m.main().get();
        ZoneId zone = m.night().zone();
        Duration lostBefore = Duration.between(m.dark().get(0).start(), window.start());
        Duration lostAfter =
                Duration.between(window.end(), m.dark().get(m.dark().size() - 1).end());
        if (lostBefore.toMinutes() < 5 && lostAfter.toMinutes() < 5) {
            return m.neverDark() ? "never dark, all of the least light is usable" : "all of the dark is usable";
        }
        boolean before = lostBefore.compareTo(lostAfter) >= 0;
        WindowLimit limit = (before ? m.beginsWith() : m.endsWith()).orElseThrow();
        return limit(limit, before, m, zone);
    }

    private static String limit(WindowLimit limit, boolean before, MilkyWayNight m, ZoneId zone) {
        String at = clock(limit.at(), zone);
        String part = BodyWords.bare(m.part());
        return switch (limit.cause()) {
            case MOON -> before ? "moon up until " + at : "moonrise at " + at;
            case CORE -> part + " under " + plain(m.lowestDegrees()) + "° " + (before ? "until " : "from ") + at;
            case SKYLINE -> part + " behind the skyline " + (before ? "until " : "from ") + at;
            case OVERHEAD -> "arch overhead " + (before ? "until " : "from ") + at;
            case DIRECTION -> part + " elsewhere " + (before ? "until " : "from ") + at;
            case LEAST_LIGHT -> before ? "least light from " + at : "least light until " + at;
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
            case CORE -> whole(m) + " has climbed to " + plain(m.lowestDegrees()) + "°";
            case SKYLINE -> whole(m) + " comes out over the skyline";
            case OVERHEAD -> "the arch has come down from overhead";
            case DIRECTION -> whole(m) + " comes over the wished direction";
            case LEAST_LIGHT ->
                "the sky is within " + Words.tenths(LightWindows.LEAST_LIGHT_MAGNITUDES) + " mag of its least light";
        };
    }

    private static String closes(WindowLimit l, MilkyWayNight m) {
        return switch (l.cause()) {
            case DARK -> "dawn begins";
            case MOON -> "the moon rises";
            case CORE -> whole(m) + " sinks under " + plain(m.lowestDegrees()) + "°";
            case SKYLINE -> whole(m) + " goes behind the skyline";
            case OVERHEAD -> "the arch goes overhead";
            case DIRECTION -> whole(m) + " leaves the wished direction";
            case LEAST_LIGHT -> "it brightens again";
        };
    }

    /** How the band turns through the window: "The band leans 60° left at 23:49, 31° left at 03:07, upright by 05:08." */
    public static String turning(MilkyWayNight m) {
        if (m.wish().arch()) {
            return "";
        }
        ZoneId zone = m.night().zone();
        return m.main()
                .map(w -> "The band leans " + at(m, w.start(), zone, " at ") + ", "
                        + at(m, w.start().plus(w.duration().dividedBy(2)), zone, " at ") + ", "
                        + at(m, w.end(), zone, " by ") + ".")
                .orElse("");
    }

    private static String at(MilkyWayNight m, Instant t, ZoneId zone, String join) {
        return lean(m.night().sky().bandLeanDegrees(m.part(), t)) + join + clock(t, zone);
    }

    /** Window or the reason that there is none, for a heading. */
    public static String heading(MilkyWayNight m) {
        return m.main().map(w -> span(w, m.night().zone())).orElseGet(() -> {
            String s = m.noWindow().map(n -> shortly(n, m)).orElse("no window");
            return Character.toUpperCase(s.charAt(0)) + s.substring(1);
        });
    }
}
