package org.halfdusk.shoot.lunareclipse;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Apparent;
import org.halfdusk.eclipse.EarthShadow;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.exposure.discs.EclipsedMoon;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.setting.Exposed;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.Recentring;
import org.halfdusk.shoot.setting.Zone;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.time.Interval;

/**
 * A shoot of a lunar eclipse answered.
 *
 * @param danjon the darkness of totality that is planned for, 0 very dark to 4 bright
 * @param cadence from one frame (or bracket) to the next
 * @param moment the best moment at which the Moon stands out from the sky; the night's best where it never does
 * @param blocks the programme, made once: a hundred exposures and more
 * @param changeOver share of the Moon's diameter covered from which one exposes for the shadow, 0.5 to 1
 * @param own the phase of the programme's own moment: a time or ISO that is fixed holds for it alone, or the full moon would be given
 *     twelve stops too much
 */
public record LunarEclipsePlan(
        Place place,
        LunarEclipseNight night,
        Rig rig,
        Framing framing,
        Wishes wishes,
        int danjon,
        Duration cadence,
        double changeOver,
        Instant moment,
        EclipsedMoon.Phase own,
        List<Block> blocks)
        implements Plan {

    /**
     * The exposure at a moment.
     *
     * @param surface of what is exposed for, as it is seen through the air
     * @param sky behind it without the Moon's own light
     */
    public record Step(
            Instant at,
            EclipsedMoon.Phase phase,
            double umbralMagnitude,
            HorizontalPosition moon,
            LunarExposure exposure,
            SkyBrightness surface,
            SkyBrightness sky) {
        /** Whether it stands out: brighter than the sky before which it hangs. */
        public boolean visible() {
            return moon.seen().up() && sky.atLeastAsDarkAs(surface);
        }
    }

    /** For a night's eclipse. @param danjon how dark its totality is counted, 0 (darkest) to 4 */
    public static LunarEclipsePlan of(
            Place place,
            LunarEclipseNight night,
            Rig rig,
            Optional<Framing> framing,
            Wishes wishes,
            int danjon,
            Duration cadence,
            double changeOver) {
        Instant best = night.bestMoment();
        LunarEclipsePlan plan = bare(place, night, rig, framing, wishes, danjon, cadence, changeOver, best);
        Instant seen = plan.step(best).visible() ? best : plan.nearestSeen(best);
        LunarEclipsePlan bare = bare(place, night, rig, framing, wishes, danjon, cadence, changeOver, seen);
        return bare.with(seen, bare.programme());
    }

    /** Without its programme, for its own moment. */
    private static LunarEclipsePlan bare(
            Place place,
            LunarEclipseNight night,
            Rig rig,
            Optional<Framing> framing,
            Wishes wishes,
            int danjon,
            Duration cadence,
            double changeOver,
            Instant at) {
        EclipsedMoon.Phase own =
                EclipsedMoon.of(night.shadow().at(at), changeOver, danjon).phase();
        return new LunarEclipsePlan(
                place, night, rig, aim(night, at, framing), wishes, danjon, cadence, changeOver, at, own, List.of());
    }

    private LunarEclipsePlan with(Instant at, List<Block> programme) {
        return new LunarEclipsePlan(
                place, night, rig, framing, wishes, danjon, cadence, changeOver, at, own, programme);
    }

    /** What is fixed for a phase. */
    private Wishes wishes(EclipsedMoon.Phase phase) {
        return (phase == own ? wishes : wishes.withoutFixedLight()).in(chosen(phase));
    }

    @Override
    public Optional<Block.Kind> phaseNow() {
        return Optional.of(kind(step(moment).phase()));
    }

    @Override
    public Wishes fixedNow() {
        return wishes(step(moment).phase());
    }

    private PhaseChoice chosen(EclipsedMoon.Phase phase) {
        return wishes.phases().of(kind(phase));
    }

    @Override
    public LunarEclipsePlan at(Instant other) {
        return with(night.whole().nearest(other), blocks);
    }

    /** The part that is exposed for, with the sky's light before it. */
    @Override
    public Exposed exposed() {
        Step s = step(moment);
        return Exposed.of(s.sky(), s.surface().with(s.sky()), setting(), rig, s.visible());
    }

    private static Framing aim(LunarEclipseNight night, Instant at, Optional<Framing> framing) {
        HorizontalPosition moon = night.sky().at(Body.MOON, at);
        return framing.orElseGet(() -> new Framing(
                moon.azimuth(), Altitude.ofDegrees(Math.max(-10, moon.altitude().degrees())), 0));
    }

    /** The minute of what is up of the eclipse, nearest to a moment, at which the Moon stands out; the moment itself where none. */
    private Instant nearestSeen(Instant best) {
        Instant nearest = best;
        Duration least = null;
        for (Interval seen : night.seen()) {
            for (Instant t = seen.start(); t.isBefore(seen.end()); t = t.plusSeconds(60)) {
                Duration apart = Duration.between(t, best).abs();
                if ((least == null || apart.compareTo(least) < 0) && step(t).visible()) {
                    nearest = t;
                    least = apart;
                }
            }
        }
        return nearest;
    }

    /** The exposure at any moment of the night. */
    public Step step(Instant at) {
        EarthShadow.State s = night.shadow().at(at);
        EclipsedMoon eclipsed = EclipsedMoon.of(s, changeOver, danjon);
        HorizontalPosition moon = night.sky().at(Body.MOON, at);
        double q = eclipsed.guide();
        Apparent apparent = moon.seen();
        SkyBrightness sky = night.light().at(at).behindMoon();
        return new Step(
                at,
                eclipsed.phase(),
                s.umbralMagnitude(),
                moon,
                LunarExposure.of(rig, q, apparent, wishes(eclipsed.phase()), limitSeconds(at), sky),
                EclipseGuide.lunarSurface(q).darkerBy(LunarExposure.airMagnitudes(apparent)),
                sky);
    }

    /** Longest time by the Moon's motion over the sensor at a moment. */
    public double limitSeconds(Instant at) {
        return LunarExposure.limitSeconds(rig, wishes, speedArcsec(at));
    }

    /** How fast the Moon crosses the sensor, arcsec per second: what a turning mount leaves, with its axis and its worm. */
    public double speedArcsec(Instant at) {
        return wishes.limits().speedArcsec(night.sky(), Body.MOON, at);
    }

    /** The first moment of what is up of the eclipse at which the Moon stands out from the sky; nothing where it never does. */
    public Optional<Instant> visibleFrom() {
        for (Interval seen : night.seen()) {
            for (Instant t = seen.start(); t.isBefore(seen.end()); t = t.plusSeconds(60)) {
                if (step(t).visible()) {
                    return Optional.of(t);
                }
            }
        }
        return Optional.empty();
    }

    /** The course in a few lines: before the shadow, by share covered on the way in, totality, and out again. */
    public List<Step> course() {
        return night.eclipse()
                .map(e -> courseTimes(e).stream().map(this::step).toList())
                .orElseGet(List::of);
    }

    private List<Instant> courseTimes(LunarEclipse e) {
        List<Instant> times = new ArrayList<>();
        times.add(e.penumbra().start().minusSeconds(600));
        times.add(middle(e.penumbra().start(), e.umbra().map(Interval::start).orElse(e.greatest())));
        e.umbra().ifPresent(u -> {
            covered(u.start(), e.greatest(), times, 0.3, 0.6, 0.75, 0.9);
            times.add(e.greatest());
            List<Instant> out = new ArrayList<>();
            covered(u.end(), e.greatest(), out, 0.3, 0.6, 0.75, 0.9);
            for (int i = out.size() - 1; i >= 0; i--) {
                times.add(out.get(i));
            }
        });
        if (e.umbra().isEmpty()) {
            times.add(e.greatest());
        }
        times.add(middle(
                e.umbra().map(Interval::end).orElse(e.greatest()), e.penumbra().end()));
        return times;
    }

    private static Instant middle(Instant a, Instant b) {
        return a.plus(Duration.between(a, b).dividedBy(2));
    }

    /** Moments between a contact with the umbra and greatest at which given shares are covered, where they are reached. */
    private void covered(Instant contact, Instant greatest, List<Instant> times, double... shares) {
        double most = night.shadow().at(greatest).umbralMagnitude();
        for (double share : shares) {
            if (share < most) {
                Instant lo = contact;
                Instant hi = greatest;
                for (int i = 0; i < 20; i++) {
                    Instant mid = middle(lo, hi);
                    boolean reached = night.shadow().at(mid).umbralMagnitude() >= share;
                    hi = reached ? mid : hi;
                    lo = reached ? lo : mid;
                }
                times.add(hi);
            }
        }
    }

    @Override
    public Traits traits() {
        return LunarEclipsePlanner.TRAITS;
    }

    @Override
    public double stopsOff() {
        LunarExposure e = step(moment).exposure();
        Setting s = e.setting();
        double wanted = EclipseGuide.seconds(
                s.fNumber(), s.iso(), e.q() - e.airStops() - wishes.metered().plusStops() + e.skyStops());
        return Stops.between(s.shutter().realSeconds(), wanted);
    }

    @Override
    public List<Zone> timeZones() {
        return Zone.sharpUntil(limitSeconds(moment));
    }

    @Override
    public Setting setting() {
        return step(moment).exposure().setting();
    }

    /** Frames at the cadence while the Moon is up and stands out from the sky; brackets of a stop and a half each way while the shadow is exposed for. */
    private List<Block> programme() {
        List<Block> blocks = new ArrayList<>();
        for (Interval seen : night.seen()) {
            List<Frame> frames = new ArrayList<>();
            EclipsedMoon.Phase before = null;
            Instant t = Block.onTheSecond(seen.start());
            while (t.isBefore(seen.end())) {
                Step step = step(t);
                Duration every = chosen(step.phase()).cadence(cadence);
                t = t.plus(every);
                if (!step.visible()) {
                    continue;
                }
                if (step.phase() != before && !frames.isEmpty() && before != null) {
                    blocks.add(Block.of(kind(before), frames));
                    frames = new ArrayList<>();
                }
                frames.addAll(frames(step, every));
                before = step.phase();
            }
            if (!frames.isEmpty() && before != null) {
                blocks.add(Block.of(kind(before), frames));
            }
        }
        return blocks;
    }

    private List<Frame> frames(Step step, Duration every) {
        Setting setting = step.exposure().setting();
        List<Setting> bracket = bracket(step.phase(), setting, step.exposure().limitSeconds());
        double length =
                bracket.stream().mapToDouble(s -> s.shutter().realSeconds()).sum() + bracket.size();
        return length < every.toMillis() / 1000.0
                ? Block.row(step.at(), bracket, Duration.ofSeconds(1))
                : Block.row(step.at(), List.of(setting.shutter()), Duration.ZERO, setting);
    }

    /** A stop and a half each way while the shadow is exposed for, unless another bracket is wished. */
    private List<Setting> bracket(EclipsedMoon.Phase phase, Setting setting, double limitSeconds) {
        PhaseChoice chosen = chosen(phase);
        boolean fixed = wishes(phase).pinnedIso().isPresent();
        List<ShutterTime> marks = ExposurePlan.times(rig);
        List<Iso> isos = rig.camera().isos();
        if (chosen.ladder().isPresent()) {
            return chosen.ladder().get().settings(setting, limitSeconds, marks, isos, fixed);
        }
        if (phase != EclipsedMoon.Phase.SHADOW || chosen.frames().isPresent()) {
            return List.of(setting);
        }
        return DoubleStream.of(1 / BRACKET, 1, BRACKET)
                .mapToObj(k -> Ladder.spread(setting, k, limitSeconds, marks, isos, fixed))
                .distinct()
                .toList();
    }

    /** A stop and a half: nobody knows how dark a shadow will be. */
    private static final double BRACKET = Math.pow(2, 1.5);

    private static Block.Kind kind(EclipsedMoon.Phase phase) {
        return switch (phase) {
            case FULL -> Block.Kind.FULL_MOON;
            case PENUMBRA -> Block.Kind.PENUMBRA;
            case LIT_PART -> Block.Kind.PARTIAL_MOON;
            case SHADOW -> Block.Kind.SHADOW;
        };
    }

    @Override
    public List<Symptom> symptoms() {
        return Symptom.OF_DISCS;
    }

    @Override
    public Optional<Recentring> recentring() {
        return Recentring.of(rig, wishes.limits(), night.sky(), Body.MOON, moment);
    }

    @Override
    public boolean readingCounts() {
        return false;
    }
}
