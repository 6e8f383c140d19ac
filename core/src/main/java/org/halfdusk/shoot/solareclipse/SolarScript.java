package org.halfdusk.shoot.solareclipse;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.exposure.EclipseGuide;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.CameraBuffer;
import org.halfdusk.sequence.Frame;
import org.halfdusk.time.Interval;

/**
 * The frame list of a solar eclipse for one rig: partials at a cadence through the filter; where this place has totality,
 * the filter off and on again as {@link org.halfdusk.eclipse.FilterGuard} allows, and between them runs from short to long and
 * back as often as they fit. Beads stand where sunlight still falls through the moon's valleys, outside what the guard lets be
 * bare: they are not taken. The second half mirrors the first.
 */
final class SolarScript {
    /** Batteries, cards and focus are seen to so long before the middle, not later. */
    private static final Duration PAUSE_BEGINS = Duration.ofMinutes(25);

    private static final Duration PAUSE_ENDS = Duration.ofMinutes(20);

    /** A remote needs so long to set another time†. */
    private static final Duration SETTING = Duration.ofMillis(600);

    /** A ring is taken every so often. */
    private static final Duration RING_CADENCE = Duration.ofSeconds(15);

    private static final List<EclipseGuide.Solar> RUN = List.of(
            EclipseGuide.Solar.PROMINENCES,
            EclipseGuide.Solar.CORONA_0_1_R,
            EclipseGuide.Solar.CORONA_0_2_R,
            EclipseGuide.Solar.CORONA_0_5_R,
            EclipseGuide.Solar.CORONA_1_R,
            EclipseGuide.Solar.CORONA_2_R,
            EclipseGuide.Solar.CORONA_4_R,
            EclipseGuide.Solar.CORONA_8_R);

    private final SolarEclipsePlan plan;
    private final List<Block> blocks = new ArrayList<>();

    SolarScript(SolarEclipsePlan plan) {
        this.plan = plan;
    }

    List<Block> blocks() {
        plan.night().eclipse().ifPresent(this::script);
        blocks.sort(Comparator.comparing(Block::start).thenComparing(Block::end));
        return blocks;
    }

    private void script(SolarEclipse e) {
        // Bare only in totality, and only as much of it as the Sun is up for.
        Optional<Interval> bare =
                plan.night().filter().off().flatMap(off -> inSight(off)).flatMap(SolarScript::wholeSeconds);
        Instant begin = Block.onTheSecond(e.central().map(Interval::start).orElse(e.maximum()));
        Instant end = Block.onTheSecond(
                e.central().map(Interval::end).orElse(e.maximum().plusSeconds(1)));
        partials(e, begin, end);
        Interval.between(begin.minus(PAUSE_BEGINS), begin.minus(PAUSE_ENDS))
                .filter(p -> p.start().isAfter(e.partial().start()))
                .ifPresent(p -> blocks.add(Block.pause(p.start(), p.end())));
        bare.ifPresent(this::totality);
        if (bare.isEmpty()) {
            e.central().flatMap(this::inSight).ifPresent(this::ring);
        }
    }

    /** The whole seconds inside, so that nothing is earlier or later than the guard has it. */
    private static Optional<Interval> wholeSeconds(Interval span) {
        return Interval.between(Block.onTheSecond(span.start()), span.end().truncatedTo(ChronoUnit.SECONDS));
    }

    private Optional<Interval> inSight(Interval span) {
        return plan.night().windows().stream()
                .flatMap(w -> w.intersect(span).stream())
                .findFirst();
    }

    private boolean inSight(Instant at) {
        return plan.night().windows().stream().anyMatch(w -> w.contains(at));
    }

    private void partials(SolarEclipse e, Instant begin, Instant end) {
        List<Frame> early = new ArrayList<>();
        List<Frame> before = new ArrayList<>();
        List<Frame> after = new ArrayList<>();
        // The last partial leaves a minute to lay a hand on the filter.
        for (Instant t = Block.onTheSecond(e.partial().start().plusSeconds(20));
                t.isBefore(begin.minusSeconds(60));
                t = t.plus(plan.cadence())) {
            Duration lead = Duration.between(t, begin);
            // The pause stands between two blocks: no frame is in it, and no block over it.
            if (lead.compareTo(PAUSE_BEGINS) > 0) {
                filtered(t).ifPresent(early::add);
            } else if (lead.compareTo(PAUSE_ENDS) < 0) {
                filtered(t).ifPresent(before::add);
            }
            Instant mirrored = end.plus(lead);
            if (mirrored.isBefore(e.partial().end())) {
                filtered(mirrored).ifPresent(f -> after.add(0, f));
            }
        }
        if (e.central().isEmpty()) {
            filtered(Block.onTheSecond(e.maximum())).ifPresent(before::add);
        }
        add(Block.Kind.PARTIAL_SUN, early);
        add(Block.Kind.PARTIAL_SUN, before);
        add(Block.Kind.PARTIAL_SUN, after);
    }

    private Optional<Frame> filtered(Instant at) {
        if (!inSight(at)) {
            return Optional.empty();
        }
        ShutterTime shutter = plan.exposure(plan.filter().partial(), at).shutter();
        return Optional.of(new Frame(at, shutter, plan.aperture().fNumber(), plan.iso()));
    }

    private void ring(Interval central) {
        List<Frame> frames = new ArrayList<>();
        for (Instant t = Block.onTheSecond(central.start().plusSeconds(1));
                t.isBefore(central.end());
                t = t.plus(RING_CADENCE)) {
            filtered(t).ifPresent(frames::add);
        }
        add(Block.Kind.RING, frames);
    }

    private void totality(Interval bare) {
        blocks.add(Block.step(Block.Kind.FILTER_OFF, bare.start()));
        blocks.add(Block.step(Block.Kind.FILTER_ON, bare.end()));
        CameraBuffer buffer = CameraBuffer.of(plan.rig().camera());
        add(Block.Kind.TOTALITY, runs(buffer, bare.start(), bare.end()));
    }

    /** Short to long and back, without the times that would smear, again until the time is over. */
    private List<Frame> runs(CameraBuffer buffer, Instant from, Instant to) {
        List<ShutterTime> up = RUN.stream()
                .map(p -> plan.exposure(p, from))
                .filter(x -> !x.tooLong())
                .map(SolarExposure::shutter)
                .distinct()
                .toList();
        List<ShutterTime> run = new ArrayList<>(up);
        for (int i = up.size() - 2; i > 0; i--) {
            run.add(up.get(i));
        }
        List<Frame> frames = new ArrayList<>();
        Instant ready = from;
        while (!run.isEmpty()) {
            for (ShutterTime t : run) {
                Frame f = buffer.next(ready, t, plan.setting(t));
                ready = f.close().plus(SETTING);
                if (f.close().isAfter(to)) {
                    return frames;
                }
                frames.add(f);
            }
        }
        return frames;
    }

    private void add(Block.Kind kind, List<Frame> frames) {
        if (!frames.isEmpty()) {
            blocks.add(Block.of(kind, frames));
        }
    }
}
