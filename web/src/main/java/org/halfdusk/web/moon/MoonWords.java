package org.halfdusk.web.moon;

import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.moon.FullMoons;
import org.halfdusk.shoot.moon.MoonNight;
import org.halfdusk.shoot.moon.MoonPicture;
import org.halfdusk.sky.events.EventType;
import org.halfdusk.sky.events.SkyEvent;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.words.ReasonWords;

/** A night of the moon in words, by the picture that is wished. */
final class MoonWords {
    private MoonWords() {}

    static NightWords of(MoonNight n) {
        ZoneId zone = n.zone();
        String heading = n.main().map(w -> Times.span(w, zone)).orElseGet(() -> Words.capital(shortly(n)));
        String answer = n.main()
                .map(w -> (land(n) ? risesOrSets(n) : "") + length(w.duration()) + (land(n) ? "" : what(n)))
                .orElseGet(() -> shortly(n));
        return new NightWords(heading, answer, sentence(n), whyNotMore(n), note(n), parts(n));
    }

    /** Minutes of a short window, hours of a long one. */
    private static String length(Duration window) {
        return window.toMinutes() < MINUTES_TO_HOURS ? Times.minutes(window) : Times.duration(window);
    }

    private static final int MINUTES_TO_HOURS = 100;

    private static boolean land(MoonNight n) {
        return n.picture() == MoonPicture.WITH_LAND;
    }

    private static String what(MoonNight n) {
        return switch (n.picture()) {
            case BEHIND -> " behind an object";
            case CRESCENT -> " of crescent in twilight";
            default ->
                ", to " + Words.wholeDegrees(n.best().position().altitude().degrees()) + " up";
        };
    }

    private static String parts(MoonNight n) {
        return switch (n.picture()) {
            case WITH_LAND -> ReasonWords.parts(n.score(), "minutes alike", "full disc", "rise or set at equal light");
            case CRESCENT -> ReasonWords.parts(n.score(), "minutes of twilight", "thin", "altitude");
            case HALF -> ReasonWords.parts(n.score(), "hours", "half lit", "altitude");
            case BEHIND -> ReasonWords.parts(n.score(), "minutes", "full disc", "near");
            case BY_ITSELF -> ReasonWords.parts(n.score(), "hours", "altitude", "near");
        };
    }

    /** In lists: with the land its rise or set, else how large it is. */
    private static String note(MoonNight n) {
        return land(n)
                ? nearest(n)
                        .map(e -> (e.type() == EventType.MOONRISE ? "rise " : "set ") + Times.clock(e.at(), n.zone()))
                        .orElse("")
                : Words.percent(n.night().moonPhase().illuminatedFraction()) + " lit";
    }

    private static Optional<SkyEvent> nearest(MoonNight n) {
        return n.suitable()
                .map(MoonNight.Meeting::moon)
                .or(() -> n.events(EventType.MOONRISE).stream().findFirst())
                .or(() -> n.events(EventType.MOONSET).stream().findFirst());
    }

    private static String risesOrSets(MoonNight n) {
        return n.suitable()
                .map(m -> (m.moon().type() == EventType.MOONRISE ? "rises " : "sets ")
                        + Times.clock(m.moon().at(), n.zone()) + ", ")
                .orElse("");
    }

    private static String shortly(MoonNight n) {
        return n.obstacle()
                .map(o -> switch (o) {
                    case DOWN -> "moon down all night";
                    case NEITHER_RISES_NOR_SETS -> "no rise or set";
                    case OTHER_LIGHT -> "light never alike";
                    case OTHER_PHASE ->
                        Words.percent(n.night().moonPhase().illuminatedFraction()) + " lit, another phase";
                    case NOT_HIGH_ENOUGH ->
                        n.picture() == MoonPicture.CRESCENT ? "down in twilight" : "not high enough";
                    case NOT_BEHIND -> "behind no object";
                })
                .orElse("no window");
    }

    /** The window as a sentence with what made it, or why there is none. */
    static String sentence(MoonNight n) {
        String lit = Words.percent(n.night().moonPhase().illuminatedFraction()) + " lit";
        if (n.main().isEmpty()) {
            return n.obstacle().map(o -> why(o, n, lit)).orElse("");
        }
        String minutes = length(n.main().orElseThrow().duration());
        String highest = Words.degrees(n.best().position().altitude().degrees()) + " up at "
                + Times.clock(n.bestMoment(), n.zone());
        return switch (n.picture()) {
            case WITH_LAND ->
                "The moon, " + lit + ", " + n.suitable().map(m -> meeting(m, n)).orElse("is low") + ". For " + minutes
                        + " one exposure holds it and the land.";
            case CRESCENT -> "The crescent, " + lit + ", stands in twilight for " + minutes + ", " + highest + ".";
            case BEHIND -> "The moon, " + lit + ", stands behind an object or just over it for " + minutes + ".";
            default -> "The moon, " + lit + ", is up by night for " + minutes + ", highest " + highest + ".";
        };
    }

    private static String why(MoonNight.Obstacle o, MoonNight n, String lit) {
        return switch (o) {
            case DOWN -> "The moon, " + lit + ", stays under the horizon all night.";
            case NEITHER_RISES_NOR_SETS -> "The moon, " + lit + ", neither rises nor sets this night.";
            case OTHER_LIGHT ->
                "The moon, " + lit + ", is low only when the land is far brighter or far darker: expose for the moon "
                        + "alone, or take the land in a second frame.";
            case OTHER_PHASE ->
                "The moon is " + lit + "; " + Words.percent(n.picture().leastLit()) + " to "
                        + Words.percent(n.picture().mostLit()) + " is what this picture wants.";
            case NOT_HIGH_ENOUGH ->
                n.picture() == MoonPicture.CRESCENT
                        ? "The crescent, " + lit + ", is down or too low while the sky has the colours of twilight."
                        : "The moon, " + lit + ", stays under the wished altitude, or behind the skyline, by night.";
            case NOT_BEHIND ->
                "By night the moon, " + lit + ", passes behind none of this place's objects"
                        + (n.night().moonUp().isEmpty() ? "." : ": the Frame step finds where to stand for it.");
        };
    }

    private static String meeting(MoonNight.Meeting m, MoonNight n) {
        boolean rise = m.moon().type() == EventType.MOONRISE;
        return (rise ? "rises at " : "sets at ") + Times.clock(m.moon().at(), n.zone()) + " in "
                + Words.azimuthTenths(m.moon().position().azimuth().degrees()) + ", " + equalLight(m);
    }

    private static String equalLight(MoonNight.Meeting m) {
        long apart = Math.round(m.apart().toSeconds() / 60.0);
        return Math.abs(apart) < 2
                ? "at equal light"
                : Math.abs(apart) + " min " + (apart > 0 ? "before" : "after") + " equal light";
    }

    private static String whyNotMore(MoonNight n) {
        if (n.main().isEmpty()) {
            return shortly(n);
        }
        String near = !n.nearlyFull()
                ? ""
                : nearestOrFarthest(n, n.fullMoons())
                        .map(s -> s + " full moon of the year")
                        .orElse("");
        if (!land(n)) {
            return near.isEmpty() ? size(n) : near;
        }
        String light = n.equalLight().stream()
                .min((a, b) -> a.apart().abs().compareTo(b.apart().abs()))
                .map(m -> (m.moon().type() == EventType.MOONRISE ? "rises " : "sets ") + equalLight(m))
                .orElse("");
        return near.isEmpty() ? light : light.isEmpty() ? near : light + ", " + near;
    }

    private static String size(MoonNight n) {
        return Words.tenths(60 * n.sky().diameterDegrees(org.halfdusk.ephemeris.Body.MOON, n.bestMoment()))
                + "′ across";
    }

    /** "nearest" or "farthest" where the night has that full moon of its year. */
    private static Optional<String> nearestOrFarthest(MoonNight n, FullMoons year) {
        return year.in(n.whole())
                .flatMap(m -> m.equals(year.nearest())
                        ? Optional.of("nearest")
                        : m.equals(year.farthest()) ? Optional.of("farthest") : Optional.empty());
    }

    /** That the night has a full moon, and how large it is among its year's. */
    static Optional<String> fullMoon(MoonNight n, FullMoons year) {
        return year.in(n.whole())
                .map(m -> "Full at " + Times.clock(m.at(), n.zone()) + ", " + away(m)
                        + nearestOrFarthest(n, year)
                                .map(s -> ": the " + s + " full moon of " + year.year())
                                .orElse("")
                        + ".");
    }

    private static String away(FullMoons.FullMoon m) {
        return Words.thousands(m.distanceKm()) + " km away, " + Words.tenths(m.diameterArcmin()) + "′ across";
    }

    /** The year's largest and smallest full moon. */
    static List<Line> year(MoonNight n, FullMoons year) {
        List<Line> lines = new ArrayList<>();
        lines.add(new Line("Nearest full moon of " + year.year(), when(year.nearest(), n.zone())));
        lines.add(new Line("Farthest of " + year.year(), when(year.farthest(), n.zone())));
        return lines;
    }

    private static String when(FullMoons.FullMoon m, ZoneId zone) {
        return Times.shortDate(m.at().atZone(zone).toLocalDate()) + " " + Times.clock(m.at(), zone) + ", " + away(m);
    }

    /** Whether the wished picture can be taken at a moment at which the moon is up. */
    static String inside(MoonNight n, boolean inside) {
        return inside
                ? "Inside the window of this picture."
                : n.windows().isEmpty() ? sentence(n) : "Outside the window of this picture.";
    }

    /** Why there is only one bracket. */
    static String none(MoonNight n) {
        return land(n) ? "land and moon are never alike this night" : shortly(n);
    }

    /** How long brackets go on. */
    static String meanwhile(MoonPicture picture) {
        return switch (picture) {
            case WITH_LAND -> "while one exposure holds land and moon";
            case CRESCENT -> "while the crescent stands in twilight";
            case BEHIND -> "while it stands behind the object";
            default -> "about its highest, ten minutes to either side";
        };
    }
}
