package org.halfdusk.shoot.ruler;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.SharpTime;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.Zone;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.typed.Range;

/**
 * One of time, aperture and ISO as a ruler: so many stops long, more light to the right.
 *
 * @param from and to: ends on the scale of {@link Part}, whole stops
 * @param marks that the kit has, from little light to much
 * @param zones in order, without gaps
 * @param ticks of schools and limits, those inside
 * @param at where the setting stands
 */
public record Ruler(
        Part part,
        double from,
        double to,
        List<Mark> marks,
        List<Span> zones,
        List<Tick> ticks,
        double at,
        State state) {
    /** How long every ruler is, stops: as far as from f/16 to f/1. */
    public static final int STOPS = 8;

    /** Steps of a stop: the thirds of a dial. */
    public static final int THIRDS = 3;

    /** A place on a ruler, in thirds from its left end. */
    public static final Range NOTCH = Range.of("place on the ruler", 0, STOPS * THIRDS);

    /** Where a ruler can begin on the scale of stops. */
    public static final Range FROM = Range.of("left end of the ruler", -40, 40);

    /** A value that can be set. @param value nominal @param whole whether a whole stop, which is labelled */
    public record Mark(double stops, double value, String label, boolean whole) {}

    /** A zone between two places of the scale. */
    public record Span(double from, double to, Zone.Kind kind) {}

    /** Where a rule or a limit stands. @param value seconds, f-number or ISO */
    public record Tick(double stops, What what, double value) {}

    /** What a tick stands for. */
    public enum What {
        NPF_1,
        NPF_2,
        NPF_3,
        RULE_500,
        PERSON,
        HAND,
        HAND_STABILISED,
        MOTION,
        SHARPEST,
        TARGET,
        LIFT
    }

    /** Whether a person holds it, the plan has computed it, or it follows the other two. */
    public enum State {
        HELD,
        COMPUTED,
        FOLLOWS
    }

    /** An Airy disc of more pixels than this is seen as softness†; 2.44 · 0.55 µm across at f/1. */
    private static final double SOFT_PIXELS = 2.5;

    /** From this f-number on the edges of an iris draw rays that are seen†. */
    public static final double RAYS_FROM = 8;

    private static final double AIRY_MICROMETRES = 2.44 * 0.55;

    /** Lenses soften in the corners within so many stops of wide open†, and never before the stop over their sharpest. */
    private static final double SOFT_CORNER_STOPS = 2;

    /** About the target so many stops below and above are right; for stars how far below it lifting costs noise†. */
    private static final double RIGHT_BELOW = 1.5;

    private static final double RIGHT_ABOVE = 0.7;
    private static final double STARS_BELOW = 2;
    private static final double STARS_ABOVE = 0.35;

    /** Timers count in minutes: these are a stop apart and stand for the dial's 64 s, 128 s and so on. */
    private static final Set<Double> MINUTES_OF_WHOLE_STOPS = Set.of(1.0, 2.0, 4.0, 8.0, 15.0, 30.0, 60.0);

    /** Stops that count as none: a place on the scale, a nominal mark. */
    private static final double SAME = 0.01;

    private static final double NEARLY = 0.05;

    /** A mark still belongs to what ends at it. */
    private static final double FORGIVEN = 1.01;

    /** The three of a plan as it is set at its moment. */
    public static List<Ruler> of(Plan plan) {
        return List.of(time(plan), aperture(plan), iso(plan));
    }

    /** All values of a part that the kit has, from little light to much. */
    public static List<Mark> marks(Plan plan, Part part) {
        Rig rig = plan.rig();
        return switch (part) {
            case TIME ->
                ExposurePlan.times(rig).stream()
                        .sorted(Comparator.naturalOrder())
                        .map(t -> new Mark(part.stops(t.realSeconds()), t.nominalSeconds(), t.label(), whole(t)))
                        .toList();
            case APERTURE ->
                rig.apertures().stream()
                        .sorted(Comparator.reverseOrder())
                        .map(n -> new Mark(part.stops(n.value()), n.value(), n.label(), n.fullStop()))
                        .toList();
            case ISO ->
                rig.camera().isos().stream()
                        .map(i -> new Mark(part.stops(i.value()), i.value(), i.toString(), whole(i)))
                        .toList();
        };
    }

    /** The mark that stands nearest to a place of the scale; nothing where there are none. */
    public static Optional<Mark> nearest(List<Mark> marks, double stops) {
        return marks.stream().min(Comparator.comparing(m -> Math.abs(m.stops() - stops)));
    }

    private static Ruler time(Plan plan) {
        Rig rig = plan.rig();
        List<Mark> marks = marks(plan, Part.TIME);
        List<Tick> ticks = new ArrayList<>();
        plan.pointStars()
                .ifPresent(e ->
                        e.sharp().forEach(s -> what(s).ifPresent(w -> ticks.add(tick(Part.TIME, w, s.seconds())))));
        if (plan.pointStars().isPresent() && plan.wishes().limits().personStands()) {
            ticks.add(tick(Part.TIME, What.PERSON, ExposureLimits.PERSON_SECONDS));
        }
        plan.timeLimits()
                .forEach(l -> ticks.add(tick(
                        Part.TIME,
                        switch (l.kind()) {
                            case HAND -> What.HAND;
                            case HAND_STABILISED -> What.HAND_STABILISED;
                            case MOTION -> What.MOTION;
                        },
                        l.seconds())));
        List<Zone> zones = new ArrayList<>(plan.timeZones());
        // Of stars a bulb's times are for the ground; trails and all else may use them.
        double dial = ShutterTime.nearest(rig.camera().shutter().longestTimedSeconds(), ExposurePlan.times(rig))
                .realSeconds();
        double last = marks.get(marks.size() - 1).stops();
        boolean forGround =
                plan.pointStars().isPresent() && rig.camera().shutter().bulb();
        double ends = forGround ? dial * FORGIVEN : Math.pow(2, last) * FORGIVEN;
        List<Zone> cut = new ArrayList<>();
        for (Zone z : zones) {
            cut.add(new Zone(Math.min(z.until(), ends), z.kind()));
        }
        cut.add(new Zone(Double.POSITIVE_INFINITY, forGround ? Zone.Kind.BULB : Zone.Kind.OUT_OF_REACH));
        return ruler(plan, Part.TIME, marks, cut, ticks);
    }

    private static boolean whole(ShutterTime t) {
        double stops = Part.TIME.stops(t.realSeconds());
        return t.bulb()
                ? MINUTES_OF_WHOLE_STOPS.contains(t.nominalSeconds() / 60)
                : Math.abs(stops - Math.rint(stops)) < NEARLY;
    }

    private static Optional<What> what(SharpTime s) {
        return switch (s.school()) {
            case NPF_1 -> Optional.of(What.NPF_1);
            case NPF_2 -> Optional.of(What.NPF_2);
            case NPF_3 -> Optional.of(What.NPF_3);
            case DIVIDE_500_EQUIVALENT -> Optional.of(What.RULE_500);
            default -> Optional.empty();
        };
    }

    private static Ruler aperture(Plan plan) {
        Rig rig = plan.rig();
        List<Mark> marks = marks(plan, Part.APERTURE);
        FNumber widest = rig.widestAperture();
        FNumber sharpest = rig.sharpestAperture();
        double pitch = rig.camera().sensor().pixelPitchMicrometres();
        double corners = Math.max(
                widest.value(),
                Math.min(
                        widest.stoppedDown(SOFT_CORNER_STOPS).value(),
                        sharpest.stoppedDown(-1).value()));
        double soft = Math.max(corners, SOFT_PIXELS * pitch / AIRY_MICROMETRES);
        List<Zone> zones = List.of(
                new Zone(rig.smallestAperture().value(), Zone.Kind.OUT_OF_REACH),
                new Zone(soft, Zone.Kind.SOFTENED),
                new Zone(plan.drawsRays() ? Math.max(corners, RAYS_FROM) : soft, Zone.Kind.RAYS),
                new Zone(corners, Zone.Kind.SHARP_LENS),
                new Zone(widest.value(), Zone.Kind.SOFT_CORNERS),
                new Zone(0, Zone.Kind.OUT_OF_REACH));
        return ruler(plan, Part.APERTURE, marks, zones, List.of(tick(Part.APERTURE, What.SHARPEST, sharpest.value())));
    }

    private static Ruler iso(Plan plan) {
        List<Iso> isos = plan.rig().camera().isos();
        List<Mark> marks = marks(plan, Part.ISO);
        double now = plan.setting().iso().value();
        double target = now / Math.pow(2, plan.stopsOff());
        double clips = now * Math.pow(2, plan.exposed().stopsUnderClipping());
        List<Tick> ticks = new ArrayList<>(List.of(tick(Part.ISO, What.TARGET, target)));
        List<Zone> zones = new ArrayList<>();
        double lowest = isos.get(0).value() / FORGIVEN;
        zones.add(new Zone(lowest, Zone.Kind.OUT_OF_REACH));
        if (plan.traits().stars()) {
            IsoSchool school = plan.wishes().isoSchool();
            double safe = target * IsoSchool.PROTECT_COLOURS.lightOver(school);
            double lift = target * IsoSchool.LIFT_AT_CAMERA.lightOver(school);
            if (school != IsoSchool.LIFT_AT_CAMERA) {
                ticks.add(tick(Part.ISO, What.LIFT, lift));
            }
            zones.add(new Zone(safe / Math.pow(2, STARS_BELOW), Zone.Kind.LIFTED));
            zones.add(new Zone(safe * Math.pow(2, STARS_ABOVE), Zone.Kind.COLOURS_SAFE));
            zones.add(new Zone(clips, Zone.Kind.CORES_CLIP));
        } else {
            zones.add(new Zone(target / Math.pow(2, RIGHT_BELOW), Zone.Kind.DARK));
            zones.add(new Zone(Math.min(clips, target * Math.pow(2, RIGHT_ABOVE)), Zone.Kind.RIGHT));
            zones.add(new Zone(clips, Zone.Kind.BRIGHT));
        }
        double highest = isos.get(isos.size() - 1).value() * FORGIVEN;
        List<Zone> cut = new ArrayList<>();
        zones.forEach(z -> cut.add(new Zone(Math.min(z.until(), highest), z.kind())));
        cut.add(new Zone(highest, Zone.Kind.CLIPPED));
        cut.add(new Zone(Double.POSITIVE_INFINITY, Zone.Kind.OUT_OF_REACH));
        return ruler(plan, Part.ISO, marks, cut, ticks);
    }

    private static boolean whole(Iso iso) {
        double stops = Part.ISO.stops(iso.value());
        return Math.abs(stops - Math.rint(stops)) < NEARLY;
    }

    private static Tick tick(Part part, What what, double value) {
        return new Tick(part.stops(value), what, value);
    }

    private static Ruler ruler(Plan plan, Part part, List<Mark> marks, List<Zone> zones, List<Tick> ticks) {
        Setting s = plan.setting();
        double at = part.stops(part.value(s));
        double first = Math.floor(marks.get(0).stops() + SAME);
        double last = Math.ceil(marks.get(marks.size() - 1).stops() - SAME);
        double from = from(part, at, first, last);
        double to = from + STOPS;
        List<Span> spans = new ArrayList<>();
        double begin = from;
        for (Zone z : zones) {
            double until = z.until() == 0 ? to : part.stops(z.until());
            double end = Math.max(begin, Math.min(to, Double.isNaN(until) ? to : until));
            if (end - begin > SAME) {
                spans.add(new Span(begin, end, z.kind()));
                begin = end;
            }
        }
        return new Ruler(
                part,
                from,
                to,
                marks.stream()
                        .filter(m -> m.stops() > from - SAME && m.stops() < to + SAME)
                        .toList(),
                spans,
                ticks.stream()
                        .filter(t -> t.stops() >= from && t.stops() <= to)
                        .sorted(Comparator.comparing(Tick::stops))
                        .toList(),
                at,
                state(plan, part));
    }

    /** All that the kit has where it is short enough, an aperture with a stop that the lens has not; else that about the setting. */
    private static double from(Part part, double at, double first, double last) {
        if (last - first <= STOPS) {
            return part == Part.APERTURE ? last + 1 - STOPS : first;
        }
        return Math.max(first, Math.min(last - STOPS, Math.floor(at) - STOPS / 2.0));
    }

    private static State state(Plan plan, Part part) {
        if (part.held(plan.fixedNow())) {
            return State.HELD;
        }
        return Follow.of(plan).filter(p -> p == part).isPresent() ? State.FOLLOWS : State.COMPUTED;
    }
}
