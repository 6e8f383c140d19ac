package org.halfdusk.web.subject.words;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.shoot.programme.check.SettingUp;
import org.halfdusk.shoot.setting.ApertureChoice;
import org.halfdusk.shoot.setting.ApertureReason;
import org.halfdusk.shoot.setting.IsoReason;
import org.halfdusk.shoot.setting.Recentring;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Darkness;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.Rising;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;

/** Reasons and figures that several subjects share, in words. */
public final class ReasonWords {
    /** How often a camera is turned after the sun or the moon, and by how much. */
    public static Table.Row recentring(Optional<Recentring> r) {
        return r.map(c -> c.after().isZero()
                        ? Table.Row.of(false, "Recentre", "all the time", "the disc hardly fits the frame")
                        : Table.Row.of(
                                false,
                                "Recentre",
                                "every " + Times.minutesSeconds(c.after()),
                                "then its rim touches the edge: turn by " + Words.degrees(c.degrees())))
                .orElseGet(() -> Table.Row.of(false, "Recentre", "not needed", "it stays in the frame for hours"));
    }

    /** How long a night serves: "35 m", of several spans "35 m in 3 spans"; none without one. */
    public static String usable(SubjectNight n) {
        int spans = n.windows().size();
        return spans == 0
                ? "none"
                : Times.duration(n.windowHours()) + (spans == 1 ? "" : " in " + Words.count(spans, "span"));
    }

    /** What every night place asks for. */
    public static final String NIGHT_PLACE =
            "Scout by day. Tell someone where you stand and do not go alone: cliffs, tide and holes are not seen at night. "
                    + "Respect closures and private land.";

    private ReasonWords() {}

    /** From the shortest to the longest of some times: 1/800 to 0.3 s. */
    public static String span(List<ShutterTime> times) {
        ShutterTime shortest = Collections.min(times);
        return shortest.label().replace(" s", "") + " to "
                + Collections.max(times).label();
    }

    /** 10 s f/2 ISO 1600. */
    public static String line(Setting s) {
        return s.shutter().label() + " " + s.fNumber().label() + " ISO " + s.iso();
    }

    /** The real time in brackets where the dial says something else. */
    public static String real(ShutterTime t) {
        return t.namedOtherwise() ? " (" + Words.tenths(t.realSeconds()) + " s real)" : "";
    }

    /** @param usual why the subject's usual aperture is what it is */
    public static Because aperture(ApertureChoice choice, String usual) {
        String label = choice.fNumber().label();
        return new Because("Why " + label, label, apertureReason(choice.reason(), label, usual));
    }

    private static String widest(ApertureReason.Widest w) {
        return !Words.told(w.stops())
                ? "Widest this lens opens, and its best: light is what a night lacks."
                : "Widest this lens opens: light is what a night lacks. Corners are better at "
                        + w.sharpest().label() + ", which would cost " + Words.stops(w.stops())
                        + ": ISO " + w.isoThere()
                        + (Words.told(w.missing())
                                ? ", the camera's highest, which leaves " + Words.stops(w.missing()) + " missing."
                                : " for the same sky.");
    }

    public static String apertureReason(ApertureReason reason, String label, String usual) {
        if (reason instanceof ApertureReason.Widest w) {
            return widest(w);
        }
        if (reason instanceof ApertureReason.CornersSmear c) {
            return "Stars in the corners smear by " + Words.tenths(c.px()) + " px at "
                    + c.widest().label() + ", as "
                    + Words.count(c.micrometres().frames(), "frame")
                    + " of yours showed: a stop closed where the lens has it, for " + Words.stops(c.stops())
                    + " of light.";
        }
        if (reason instanceof ApertureReason.Usual u) {
            return usual
                    + (!Words.told(u.stops())
                            ? ""
                            : " It gives up " + Words.stops(u.stops()) + " against "
                                    + u.widest().label() + ", the widest.");
        }
        if (reason instanceof ApertureReason.Pinned p) {
            return !Words.told(p.stops())
                    ? "You fixed it wide open."
                    : "You fixed this aperture. It gives up " + Words.stops(p.stops()) + " against "
                            + p.widest().label() + ", the widest.";
        }
        if (reason instanceof ApertureReason.FromLight f) {
            return "You fixed time and ISO: the light asks for f/"
                    + Words.tenths(f.exact().value()) + "."
                    + (Stops.met(f.stopsOff())
                            ? ""
                            : " This lens comes no nearer than " + label + ", " + Words.stops(f.stopsOff())
                                    + (f.stopsOff() > 0 ? " brighter" : " darker")
                                    + "; give time or ISO free to meet it.");
        }
        ApertureReason.OutOfReach o = (ApertureReason.OutOfReach) reason;
        return o.wished().label() + " is wished, but this lens goes from "
                + o.widest().label() + " to " + o.smallest().label() + "; " + label + " is the nearest.";
    }

    /** ISO by where it puts a sky of a brightness. */
    public static Because iso(IsoReason why, Iso iso, SkyBrightness skyBrightness, SkyExposure comesOut) {
        String sky = "a sky of " + Words.tenths(skyBrightness.magnitude()) + " mag/arcsec² towards the frame";
        String reason;
        if (why instanceof IsoReason.SkyPlaced r) {
            reason = "Puts " + sky + " " + Words.stops(comesOut.stopsUnderClipping()) + " under clipping, "
                    + Words.percent(comesOut.histogramPosition()) + " across the histogram: "
                    + purpose(r.school()) + ".";
        } else if (why instanceof IsoReason.HighestOfCamera r) {
            reason = "The camera's highest useful ISO. " + Words.capital(sky) + " wants " + iso(r.exact())
                    + ", so the frame comes out " + Words.stops(r.stopsMissing())
                    + " darker than wished. A wider aperture or a longer time would make up for it.";
        } else if (why instanceof IsoReason.LowestOfCamera r) {
            reason = "The camera's lowest ISO. " + Words.capital(sky) + " wants " + iso(r.exact())
                    + ", so the frame comes out " + Words.stops(r.stopsOver())
                    + " brighter than wished. Shorten the time or stop down.";
        } else {
            IsoReason.Pinned r = (IsoReason.Pinned) why;
            reason = "You fixed it. " + Words.capital(sky) + " would want " + iso(r.exact()) + " to "
                    + purpose(r.school()) + "; the sky comes out " + offTarget(r.stopsOver()) + ".";
        }
        return new Because("Why ISO " + iso, "ISO " + iso, reason);
    }

    /** An ISO that light asks for, which in daylight is less than any. */
    private static String iso(Iso exact) {
        return exact.value() < 1 ? "less than ISO 1" : "ISO " + exact;
    }

    public static String offTarget(double stops) {
        if (Stops.sameMark(stops)) {
            return "as wished";
        }
        return Words.stops(stops) + (stops > 0 ? " brighter" : " darker");
    }

    private static String purpose(IsoSchool school) {
        return school == IsoSchool.PROTECT_COLOURS
                ? "protect star colours and lift the frame later"
                : "lift the sky at the camera, off the left edge";
    }

    /** A class of sensors by its noise of reading. */
    public static String sensor(ReadNoise read) {
        return switch (read) {
            case STEADY -> "quiet behind the amplifier";
            case TWO_GAINS -> "second gain from about ISO 640";
            case NOISY_BEHIND -> "older, noisy behind it";
        };
    }

    /** White balance; a film has its own. */
    public static String balance(Plan plan) {
        return plan.rig().camera().film()
                ? "film's own balance"
                : plan.setting().kelvin() + " K";
    }

    public static Because kelvin(int kelvin, String reason) {
        return new Because("Why " + kelvin + " K", kelvin + " K", reason);
    }

    /** 24.6° up in 176°, or 3.1° down. */
    public static String place(HorizontalPosition p) {
        double alt = p.altitude().degrees();
        return alt >= 0
                ? Words.degrees(alt) + " up in " + Words.azimuth(p.azimuth().degrees())
                : Words.degrees(-alt) + " down";
    }

    public static Line body(String name, Sky sky, Body body, Instant at) {
        return new Line(name, place(sky.at(body, at)));
    }

    /** Sunset, dark, sunrise. */
    public static List<Line> sunAndDark(Night night) {
        ZoneId zone = night.zone();
        List<Line> lines = new ArrayList<>();
        if (night.sun() instanceof Rising.Crosses c) {
            lines.add(new Line("Sunset", c.sets().map(t -> Times.clock(t, zone)).orElse("none this night")));
            lines.add(
                    new Line("Sunrise", c.rises().map(t -> Times.clock(t, zone)).orElse("none this night")));
        } else if (night.sun() instanceof Rising.AlwaysUp up) {
            lines.add(new Line("Sun", "never sets, lowest " + Words.degrees(up.lowestDegrees())));
        } else if (night.sun() instanceof Rising.AlwaysDown down) {
            lines.add(new Line("Sun", "never rises, highest " + Words.degrees(down.highestDegrees())));
        }
        if (night.darkness() instanceof Darkness.Dark dark) {
            lines.add(new Line(
                    "Dark",
                    Times.span(dark.interval(), zone) + ", "
                            + Times.duration(dark.interval().duration())));
        } else if (night.darkness() instanceof Darkness.NeverDark never) {
            lines.add(new Line(
                    "Least light", Times.clock(never.at(), zone) + ", sun " + Words.degrees(never.sunLowestDegrees())));
        }
        return lines;
    }

    /** When to scout, arrive and put the lamps out; nothing without a window. */
    public static List<Line> settingUp(AfterDark n, Plan plan) {
        List<Line> lines = new ArrayList<>();
        SettingUp.of(n, Block.firstFrame(plan.blocks())).ifPresent(s -> {
            s.scoutBy().ifPresent(t -> lines.add(new Line("Scout in daylight until", Times.clock(t, n.zone()))));
            lines.add(new Line("Arrive by", Times.clock(s.arrive(), n.zone()) + ", an hour to set up"));
            lines.add(new Line("White lamps out", Times.clock(s.lampsOut(), n.zone()) + ", eyes take half an hour"));
        });
        return lines;
    }

    /** Moonset, moonrise, how much is lit. */
    public static List<Line> moon(Night night) {
        ZoneId zone = night.zone();
        List<Line> lines = new ArrayList<>();
        String lit = Words.percent(night.moonPhase().illuminatedFraction()) + " lit, "
                + (night.moonPhase().waxing() ? "waxing" : "waning");
        if (night.moon() instanceof Rising.Crosses c) {
            c.sets().ifPresent(t -> lines.add(new Line("Moonset", Times.clock(t, zone))));
            c.rises().ifPresent(t -> lines.add(new Line("Moonrise", Times.clock(t, zone))));
            lines.add(new Line("Moon", lit));
        } else if (night.moon() instanceof Rising.AlwaysUp) {
            lines.add(new Line("Moon", "up all night, " + lit));
        } else {
            lines.add(new Line("Moon", "down all night, " + lit));
        }
        return lines;
    }

    /** "hours 50 of 50, …": the parts of a score. */
    public static String parts(NightScore s, String window, String subject, String circumstance) {
        return window + " " + Math.round(s.hours()) + " of 50, " + subject + " " + Math.round(s.altitude())
                + " of 25, " + circumstance + " " + Math.round(s.moon())
                + " of 15"
                + (s.weather().isPresent()
                        ? ", weather " + Math.round(s.weather().getAsDouble()) + " of 10"
                        : "; no forecast, so scaled to 100");
    }

    /** A temperature and whose it is. */
    public static String air(Air air) {
        return Words.celsius(air.celsius())
                + switch (air.source()) {
                    case FORECAST -> " (forecast)";
                    case EXPECTED -> " (as you expect)";
                    case ASSUMED -> " (assumed: no forecast reaches)";
                };
    }

    /** What a programme takes of a battery. */
    public static String charges(double charges) {
        return !Words.told(charges)
                ? "hardly any of a charge"
                : Words.tenths(charges) + (charges <= 1 ? " of a charge" : " charges");
    }

    /** Film instead of a card. */
    public static Line rolls(int frames) {
        int rolls = Camera.rolls(frames);
        return new Line(
                "Film",
                Words.count(frames, "frame") + ", " + Words.count(rolls, "roll") + " of " + Camera.FRAMES_OF_A_ROLL);
    }

    /** ×120 every 32 s. */
    public static String every(FrameRun run) {
        return "×" + run.frames() + " every " + Words.plain(run.intervalSeconds()) + " s";
    }

    /** What a timer's interval is set to. */
    public static Line interval(FrameRun run) {
        return run.timer().from() == IntervalTimer.From.GAP
                ? new Line("Gap, close to open", Words.plain(run.realGapSeconds()) + " s")
                : new Line("Interval, start to start", Words.plain(run.intervalSeconds()) + " s");
    }

    /** How many frames a timer is set to, and the one with the cap on, which film has no use for. */
    public static Line number(Rig rig, int frames) {
        return new Line("Number", rig.camera().film() ? Integer.toString(frames) : frames + ", then cap on, 1");
    }

    /** What is said of noise reduction, which film has none of. */
    public static Line noiseReduction(Rig rig, String otherwise) {
        return new Line("Noise reduction", rig.camera().film() ? "none on film" : otherwise);
    }
}
