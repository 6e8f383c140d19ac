package org.halfdusk.web.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.halfdusk.exposure.SharpTime;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.BatteryPack;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.optics.kit.Filter;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Unreadable;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.trailing.School;
import org.halfdusk.trailing.StarTrails;
import org.halfdusk.trailing.Trailing;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Line;
import org.springframework.stereotype.Component;

/** What follows from a piece of kit's figures, in words. */
@Component
class KitFigures {
    private final Kits kits;

    KitFigures(Kits kits) {
        this.kits = kits;
    }

    private static String turning(Support s) {
        return "turns "
                + s.rates().stream()
                        .sorted()
                        .map(r -> r.name().toLowerCase(Locale.ROOT))
                        .collect(Collectors.joining(", "))
                + "; axis " + Words.plain(s.alignmentArcmin()) + " arcmin off drifts "
                + Words.thousandths(s.driftArcsec()) + " arcsec a second at the most" + worm(s.periodic());
    }

    /** One line for the list. */
    String line(Object it) {
        if (it instanceof Camera c) {
            return Words.plain(c.sensor().widthMm()) + " × "
                    + Words.plain(c.sensor().heightMm()) + " mm, "
                    + Words.tenths(c.sensor().pixelPitchMicrometres()) + " µm pixels, crop "
                    + Words.tenths(c.sensor().cropFactor()) + ", ISO "
                    + c.sensitivity().lowestIso()
                    + (c.film() ? ", film" : " to " + c.sensitivity().highestIso());
        }
        if (it instanceof Lens l) {
            return "f/" + Words.plain(l.widestAtShortest())
                    + (l.widestAtLongest() > l.widestAtShortest() ? "–" + Words.plain(l.widestAtLongest()) : "")
                    + " to f/" + Words.plain(l.smallestAperture()) + ", sharpest f/"
                    + Words.plain(l.sharpestAperture()) + (l.electronicAperture() ? "" : ", aperture by hand");
        }
        if (it instanceof Converter c) {
            return "costs " + Words.stops(c.stops());
        }
        if (it instanceof Filter f) {
            return (f.use() == Filter.Use.SOLAR ? "for the sun, " : "") + "density " + Words.plain(f.density()) + ", "
                    + Words.stops(f.stops());
        }
        if (it instanceof Support s) {
            return s.tracks() ? turning(s) : "stands still";
        }
        if (it instanceof Card c) {
            return c.count() + " × " + Words.plain(c.gigabytes()) + " GB, " + Words.plain(c.writeMegabytesPerSecond())
                    + " MB/s";
        }
        if (it instanceof BatteryPack b) {
            return b.count() + " × " + b.frames() + " frames or " + b.minutes() + " min";
        }
        return rig((StandingRig) it)
                .map(r -> Words.plain(r.focalMm()) + " mm f/"
                        + Words.plain(r.widestAperture().value()) + ", "
                        + Words.degrees(r.longFieldDegrees()) + " × " + Words.degrees(r.shortFieldDegrees()) + ", "
                        + Words.tenths(r.pixelScaleArcsec()) + " arcsec a pixel")
                .orElse("a part of it cannot be read");
    }

    /** Nothing where a part of it is not there or cannot be read. */
    Optional<Rig> rig(StandingRig s) {
        try {
            return whole(s);
        } catch (Unreadable e) {
            return Optional.empty();
        }
    }

    private Optional<Rig> whole(StandingRig s) {
        Optional<Camera> camera = kits.camera(s.cameraId()).map(Kept::it);
        Optional<Lens> lens = kits.lens(s.lensId()).map(Kept::it);
        Optional<Converter> converter = s.converterId().flatMap(kits::converter).map(Kept::it);
        return camera.flatMap(c -> lens.map(l -> Rig.of(c, l, converter, s.focalMm())));
    }

    /** What a rig sees, and how long stars stay round through it. */
    List<Line> derived(StandingRig s) {
        List<Line> lines = new ArrayList<>();
        rig(s).ifPresent(r -> {
            double crop = r.camera().sensor().cropFactor();
            lines.add(new Line(
                    "Field", Words.degrees(r.longFieldDegrees()) + " × " + Words.degrees(r.shortFieldDegrees())));
            lines.add(new Line("One pixel", Words.tenths(r.pixelScaleArcsec()) + " arcsec of sky"));
            lines.add(new Line(
                    "Crop factor",
                    Words.plain(crop) + ", as " + Words.plain(Math.rint(r.focalMm() * crop)) + " mm on full frame"));
            lines.add(new Line("Widest aperture", r.widestAperture().label()));
            for (School school : List.of(School.PIXEL_BUDGET, School.NPF_1, School.DIVIDE_500_EQUIVALENT)) {
                SharpTime t = sharp(school, r);
                lines.add(new Line(
                        "Longest by " + school(school),
                        Words.seconds(t.seconds()) + ", set " + t.dial().label() + ", really "
                                + Words.seconds(t.dial().realSeconds())));
            }
            lines.add(new Line(
                    "Hyperfocal wide open",
                    (Words.units().feet()
                            ? Words.metres(r.hyperfocalMetres(r.widestAperture()))
                            : Words.tenths(r.hyperfocalMetres(r.widestAperture())) + " m")));
        });
        return lines;
    }

    /** For stars on the equator, wide open. */
    private static SharpTime sharp(School school, Rig r) {
        Camera c = r.camera();
        StarTrails trails =
                new StarTrails.AllRolls(Trailing.of(r, 0), c.sensor().diagonalMm());
        School.Setup setup = School.Setup.of(r, trails, r.widestAperture(), Trailing.DEFAULT_BUDGET_PX);
        return SharpTime.of(
                school,
                setup,
                ShutterTime.available(
                        c.shutter().shortestSeconds(),
                        c.shutter().longestTimedSeconds(),
                        c.shutter().bulb()));
    }

    private static String school(School s) {
        return switch (s) {
            case PIXEL_BUDGET -> "2.6 px of trail";
            case NPF_1 -> "aperture and pixel (NPF)";
            default -> "500 over the full-frame length";
        };
    }

    private static String worm(PeriodicError e) {
        return e.arcsec() == 0
                ? ""
                : "; its worm sways " + Words.plain(e.arcsec()) + " arcsec in " + Words.plain(e.periodSeconds()) + " s";
    }
}
