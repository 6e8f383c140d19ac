package org.halfdusk.web.expose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.exposure.Ground;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.exposure.Triangle;
import org.halfdusk.exposure.Vignetting;
import org.halfdusk.exposure.lamps.PointLight;
import org.halfdusk.exposure.noise.Noise;
import org.halfdusk.light.SkyLight;
import org.halfdusk.optics.DepthOfField;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.trailing.FrameTrails;
import org.halfdusk.trailing.Mount;
import org.halfdusk.trailing.TrailMap;
import org.halfdusk.web.expose.drawing.FilmPicture;
import org.halfdusk.web.expose.drawing.TrailMapPicture;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/**
 * What stands below the subject's own picture: trails over the whole frame, light and noise, other ways to the same light, the
 * ground, a bracket.
 *
 * @param stars whether the subject exposes for stars, so that all of it applies
 */
record ExposeDetail(
        boolean stars,
        Optional<TrailMapPicture> map,
        List<Line> mount,
        List<Line> light,
        Table triangle,
        Optional<GroundPart> ground,
        Optional<NoisePart> noise,
        ScenePart scene,
        String look,
        List<TestFrameWords.Seen> symptoms,
        String bracket,
        Optional<FilmPicture> film) {
    private static final int COLUMNS = 9;
    private static final int ROWS = 7;

    static ExposeDetail of(ShootDesk.Open open, Theme theme) {
        Plan plan = open.now();
        boolean stars = plan.traits().stars();
        Optional<ExposurePlan> e = plan.pointStars();
        SkyLight.At light = plan.night().light().at(open.at());
        return new ExposeDetail(
                stars,
                e.map(x -> map(plan, x, theme)),
                e.filter(x -> x.wishes().limits().mount().turns())
                        .map(x -> mount(plan, x))
                        .orElse(List.of()),
                stars ? light(plan, light, open.air()) : List.of(),
                triangle(plan),
                stars ? Optional.of(GroundPart.of(plan, open.at())) : Optional.empty(),
                stars && !plan.rig().camera().film()
                        ? Optional.of(NoisePart.of(
                                plan, light.towards(plan.framing().direction()).total(), open.air()))
                        : Optional.empty(),
                ScenePart.of(open),
                TestFrameWords.look(plan.symptoms()),
                TestFrameWords.seen(plan.symptoms()),
                bracket(open),
                FilmPicture.of(plan));
    }

    private static TrailMapPicture map(Plan plan, ExposurePlan e, Theme theme) {
        TrailMap map = e.trails().map(e.shutter().realSeconds(), COLUMNS, ROWS);
        return TrailMapPicture.of(map, plan.framing().upright(), e.wishes().budgetPx(), theme);
    }

    private static Vector pole(Plan plan) {
        return plan.night().sky().pole().direction();
    }

    /** Sky against ground on a turning mount. */
    private static List<Line> mount(Plan plan, ExposurePlan e) {
        Mount mount = e.wishes().limits().mount();
        double seconds = e.shutter().realSeconds();
        double ground = FrameTrails.ofGround(plan.framing(), plan.rig(), pole(plan), mount)
                .middlePx(seconds);
        double aligned = trails(plan, mount, 0, PeriodicError.NONE).middlePx(seconds);
        double swayed = trails(plan, mount, 0, e.wishes().limits().periodic()).middlePx(seconds);
        double axis = trails(plan, mount, e.wishes().limits().polarErrorArcmin(), PeriodicError.NONE)
                .middlePx(seconds);
        double sky = e.trails().middlePx(seconds);
        double drift = Math.sqrt(Math.max(0, axis * axis - aligned * aligned));
        return List.of(
                new Line("Sky", Words.tenths(sky) + " px in the middle third"),
                new Line("of it from the axis off the pole, at most", Words.tenths(drift) + " px"),
                new Line("of it from its worm, at most", Words.tenths(swayed - aligned) + " px"),
                new Line("Ground", Words.tenths(ground) + " px: its own frames with the mount stopped"));
    }

    private static FrameTrails trails(Plan plan, Mount mount, double polarErrorArcmin, PeriodicError periodic) {
        return FrameTrails.of(plan.framing(), plan.rig(), pole(plan), mount, polarErrorArcmin, periodic);
    }

    /** What the lens does to a picture's corners and to a star, by its figures and by its frames. */
    private static List<Line> lens(Rig rig) {
        List<Line> lines = new ArrayList<>();
        double corner = Math.toRadians(rig.cornerDegrees());
        lines.add(new Line(
                "Corner darker by geometry alone",
                Words.stops(Vignetting.stops(corner, rig.lens().imaging()))
                        + rig.measured()
                                .fall()
                                .map(m -> ", this lens " + Words.signedStops(m.value()) + " more by "
                                        + Words.count(m.frames(), "frame") + " of yours")
                                .orElse(", real lenses differ")));
        double pitch = rig.camera().sensor().pixelPitchMicrometres();
        rig.measured()
                .starMicrons()
                .ifPresent(m -> lines.add(new Line(
                        "A star in the middle",
                        Words.tenths(m.value() / pitch) + " px wide by " + Words.count(m.frames(), "frame")
                                + " of yours")));
        return lines;
    }

    private static List<Line> light(Plan plan, SkyLight.At at, Air air) {
        Rig rig = plan.rig();
        Setting s = plan.setting();
        double pitch = rig.camera().sensor().pixelPitchMicrometres();
        SkyLight.Brightness b = at.towards(plan.framing().direction());
        SkyExposure sky = SkyExposure.of(b.total(), s, rig);
        SkyExposure shadow = SkyExposure.of(b.total().darkerByStops(Ground.SHADOW_STOPS), s, rig);
        Noise noise = new Noise(
                pitch, air.celsius(), s.iso(), rig.camera().sensitivity().readNoise());
        double one = noise.ratio(shadow.exposureLuxSeconds(), s.shutter().realSeconds());
        double many = noise.ratio(shadow.exposureLuxSeconds(), s.shutter().realSeconds(), Noise.USUAL_STACK);
        double trail = plan.trails().middlePx(s.shutter().realSeconds());
        double clips = PointLight.clippingMagnitude(rig.focalMm(), s.fNumber(), pitch, sky.seconds(), s.iso(), trail);
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(
                "Sky towards the frame now",
                Words.tenths(b.magnitude()) + " mag/arcsec², " + Words.percent(sky.histogramPosition())
                        + " across the raw file, "
                        + Words.percent(sky.picturePosition())
                        + " across the camera's own picture"
                        + (rig.measured().camera().isPresent() ? "" : "; frames of yours on Review calibrate it")));
        lines.add(new Line("Stars whose cores clip", "brighter than " + Words.tenths(clips) + " mag"));
        lines.addAll(lens(rig));
        if (!rig.camera().film()) {
            lines.add(new Line(
                    "Signal to noise of a patch three stops under the sky",
                    Words.tenths(one) + " in one frame, " + Words.tenths(many) + " in the mean of " + Noise.USUAL_STACK
                            + ", at " + ReasonWords.air(air)));
            lines.add(new Line(
                    "Noise reduction in the camera",
                    "doubles each frame to "
                            + Words.plain(Math.rint(2 * s.shutter().realSeconds()))
                            + " s; one frame with the cap on at the end does the same"));
        }
        return lines;
    }

    private static Table triangle(Plan plan) {
        Rig rig = plan.rig();
        Setting s = plan.setting();
        Triangle same = Triangle.of(rig, s.shutter().realSeconds(), s.fNumber(), s.iso());
        double circle = rig.camera().sensor().circleOfConfusionMm();
        boolean trails = plan.pointStars().isPresent();
        List<Table.Row> rows = new ArrayList<>();
        for (FNumber n : same.apertures(s.fNumber())) {
            Triangle.Answer a = same.iso(s.shutter(), n);
            Triangle.Answer t = same.time(n, s.iso());
            double near = new DepthOfField(rig.focalMm(), n, circle).hyperfocalMetres();
            List<String> cells = new ArrayList<>(List.of(
                    n.label(),
                    a.limit() ? a.iso() + ", " + off(a.stopsOff()) : a.iso().toString()));
            if (plan.timeBrightens()) {
                cells.add(
                        t.limit()
                                ? t.time().label() + ", " + off(t.stopsOff())
                                : t.time().label());
            }
            if (trails) {
                cells.add(Words.tenths(plan.trails().middlePx(t.time().realSeconds())) + " px");
            }
            cells.add(Words.distance(near));
            rows.add(Table.Row.of(n.same(s.fNumber()), cells.toArray(String[]::new)));
        }
        boolean time = plan.timeBrightens();
        return Table.of(
                "The same light by other means",
                time
                        ? "Each row: what ISO keeps " + s.shutter().label() + ", or what time keeps ISO " + s.iso()
                                + ". Smaller apertures bring depth, shorter times stop motion."
                        : "Each row draws sparks as bright: only aperture and ISO do that, time draws more of their way.",
                rows,
                heads(s, time, trails).toArray(String[]::new));
    }

    private static List<String> heads(Setting s, boolean time, boolean trails) {
        List<String> heads = new ArrayList<>(
                List.of("aperture", time ? "ISO for " + s.shutter().label() + "#" : "ISO then#"));
        if (time) {
            heads.add("time for ISO " + s.iso() + "#");
        }
        if (trails) {
            heads.add("trail then#");
        }
        heads.add("sharp from#");
        return heads;
    }

    private static String off(double stops) {
        return Words.stops(stops) + (stops > 0 ? " bright" : " dark");
    }

    private static String bracket(ShootDesk.Open open) {
        return open.shoot()
                .it()
                .rig()
                .choices()
                .bracket()
                .map(l -> bracket(open.now(), l))
                .orElse("");
    }

    private static String bracket(Plan plan, Ladder ladder) {
        List<ShutterTime> times = ladder.times(plan.setting().shutter(), ExposurePlan.times(plan.rig()));
        return Words.count(times.size(), "frame") + " at "
                + plan.setting().fNumber().label() + " ISO "
                + plan.setting().iso() + ": "
                + String.join(", ", times.stream().map(ShutterTime::label).toList())
                + (times.size() < ladder.count() ? ". The camera has no further times." : ".");
    }
}
