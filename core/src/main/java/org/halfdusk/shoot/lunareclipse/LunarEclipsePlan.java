package org.halfdusk.shoot.lunareclipse;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.halfdusk.angle.Altitude;
import org.halfdusk.eclipse.EarthShadow;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.EclipseGuide;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Framing;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.ExposurePlan;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Wishes;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.time.Interval;

/**
 * A shoot of a lunar eclipse answered.
 *
 * @param danjon the darkness of totality that is planned for, 0 very dark to 4 bright
 * @param cadence from one frame (or bracket) to the next
 */
public record LunarEclipsePlan(
        Place place,
        LunarEclipseNight night,
        Rig rig,
        Framing framing,
        Wishes wishes,
        int danjon,
        LunarExposure.Mount mount,
        Duration cadence)
        implements Plan {
    /** From this share covered on one exposes for the shadow instead of the lit part: between 75 and 80 %. */
    public static final double SWITCH_MAGNITUDE = 0.78;

    /** What is exposed for. */
    public enum Phase {
        FULL,
        PENUMBRA,
        LIT_PART,
        SHADOW
    }

    /** The exposure at a moment. */
    public record Step(
            Instant at, Phase phase, double umbralMagnitude, HorizontalPosition moon, LunarExposure exposure) {}

    public static LunarEclipsePlan of(
            Place place,
            LunarEclipseNight night,
            Rig rig,
            Optional<Framing> framing,
            Wishes wishes,
            int danjon,
            LunarExposure.Mount mount,
            Duration cadence) {
        HorizontalPosition moon = night.sky().at(Body.MOON, night.bestMoment());
        Framing aim = framing.orElseGet(() -> new Framing(
                moon.azimuth(), Altitude.ofDegrees(Math.max(-10, moon.altitude().degrees())), 0));
        return new LunarEclipsePlan(place, night, rig, aim, wishes, danjon, mount, cadence);
    }

    /** The exposure at any moment of the night. */
    public Step at(Instant at) {
        EarthShadow.State s = night.shadow().at(at);
        double umbral = s.umbralMagnitude();
        Phase phase = night.eclipse().isEmpty() || s.penumbralMagnitude() <= 0
                ? Phase.FULL
                : umbral <= 0 ? Phase.PENUMBRA : umbral < SWITCH_MAGNITUDE ? Phase.LIT_PART : Phase.SHADOW;
        HorizontalPosition moon = night.sky().at(Body.MOON, at);
        double q = guide(phase, umbral, s.penumbralMagnitude());
        return new Step(
                at,
                phase,
                umbral,
                moon,
                LunarExposure.of(rig, q, moon.altitude().degrees(), wishes, mount));
    }

    private double guide(Phase phase, double umbral, double penumbral) {
        return switch (phase) {
            case FULL -> EclipseGuide.fullMoon();
            case PENUMBRA ->
                EclipseGuide.fullMoon()
                        + Math.min(1, Math.max(0, penumbral)) * (EclipseGuide.penumbra() - EclipseGuide.fullMoon());
            case LIT_PART -> EclipseGuide.lunarPartial(umbral);
            case SHADOW -> EclipseGuide.lunarTotality(danjon);
        };
    }

    /** The course in a few lines: before the shadow, by share covered on the way in, totality, and out again. */
    public List<Step> course() {
        return night.eclipse()
                .map(e -> courseTimes(e).stream().map(this::at).toList())
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
    public Setting setting() {
        return at(night.bestMoment()).exposure().setting();
    }

    /** Frames at the cadence while the Moon is up; brackets of a stop and a half each way while the shadow is exposed for. */
    @Override
    public List<Block> blocks() {
        List<Block> blocks = new ArrayList<>();
        for (Interval seen : night.seen()) {
            List<Frame> frames = new ArrayList<>();
            Phase before = null;
            for (Instant t = seen.start(); t.isBefore(seen.end()); t = t.plus(cadence)) {
                Step step = at(t);
                if (step.phase() != before && !frames.isEmpty() && before != null) {
                    blocks.add(Block.of(kind(before), frames));
                    frames = new ArrayList<>();
                }
                frames.addAll(frames(step));
                before = step.phase();
            }
            if (!frames.isEmpty() && before != null) {
                blocks.add(Block.of(kind(before), frames));
            }
        }
        return blocks;
    }

    private List<Frame> frames(Step step) {
        Setting setting = step.exposure().setting();
        if (step.phase() != Phase.SHADOW) {
            return Block.row(step.at(), List.of(setting.shutter()), Duration.ZERO, setting);
        }
        List<ShutterTime> times = ExposurePlan.times(rig);
        List<ShutterTime> bracket = DoubleStream.of(1 / 2.83, 1, 2.83)
                .mapToObj(k -> ShutterTime.nearest(setting.shutter().realSeconds() * k, times))
                .distinct()
                .toList();
        double length = bracket.stream().mapToDouble(ShutterTime::realSeconds).sum() + bracket.size();
        return length < cadence.toSeconds()
                ? Block.row(step.at(), bracket, Duration.ofSeconds(1), setting)
                : Block.row(step.at(), List.of(setting.shutter()), Duration.ZERO, setting);
    }

    private static Block.Kind kind(Phase phase) {
        return switch (phase) {
            case FULL -> Block.Kind.FULL_MOON;
            case PENUMBRA -> Block.Kind.PENUMBRA;
            case LIT_PART -> Block.Kind.PARTIAL_MOON;
            case SHADOW -> Block.Kind.SHADOW;
        };
    }
}
