package org.halfdusk.shoot.solareclipse;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.camera.CameraBuffer;
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

    /** A bracket through the filter is over by then: the filter's hand comes a minute after the last partial. */
    private static final Duration MOST_OF_A_BRACKET = Duration.ofSeconds(40);

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
        Duration every = every(Block.Kind.PARTIAL_SUN, plan.cadence());
        // The last partial leaves a minute to lay a hand on the filter.
        for (Instant t = Block.onTheSecond(e.partial().start().plusSeconds(20));
                t.isBefore(begin.minusSeconds(60));
                t = t.plus(every)) {
            Duration lead = Duration.between(t, begin);
            // The pause stands between two blocks: no frame is in it, and no block over it.
            if (lead.compareTo(PAUSE_BEGINS) > 0) {
                early.addAll(filtered(t, every));
            } else if (lead.compareTo(PAUSE_ENDS) < 0) {
                before.addAll(filtered(t, every));
            }
            Instant mirrored = end.plus(lead);
            if (mirrored.isBefore(e.partial().end())) {
                after.addAll(0, filtered(mirrored, every));
            }
        }
        if (e.central().isEmpty()) {
            maximum(Block.onTheSecond(e.maximum()), before, after, every);
        }
        add(Block.Kind.PARTIAL_SUN, early);
        add(Block.Kind.PARTIAL_SUN, before);
        add(Block.Kind.PARTIAL_SUN, after);
    }

    /** The maximum of a partial eclipse, unless a frame or a bracket is being taken then. */
    private void maximum(Instant at, List<Frame> before, List<Frame> after, Duration every) {
        List<Frame> frames = filtered(at, every);
        boolean free = frames.isEmpty()
                || (before.isEmpty() || !before.get(before.size() - 1).close().isAfter(at))
                        && (after.isEmpty()
                                || !frames.get(frames.size() - 1)
                                        .close()
                                        .isAfter(after.get(0).open()));
        if (free) {
            before.addAll(frames);
        }
    }

    private Duration every(Block.Kind kind, Duration usual) {
        return plan.wishes().phases().of(kind).cadence(usual);
    }

    /** Through the filter at a moment: one frame, or the wished bracket where it is over before the next and the filter's hand. */
    private List<Frame> filtered(Instant at, Duration every) {
        if (!inSight(at)) {
            return List.of();
        }
        Setting setting = plan.setting(plan.filter().partial(), at);
        Block.Kind kind = plan.kind(plan.filter().partial(), at);
        List<Frame> one = Block.row(at, List.of(setting), SETTING);
        return plan.wishes()
                .phases()
                .of(kind)
                .ladder()
                .map(l -> Block.row(at, plan.bracket(setting, l, at), SETTING))
                .filter(row -> row.get(row.size() - 1).close().isBefore(at.plus(least(every, MOST_OF_A_BRACKET))))
                .orElse(one);
    }

    private static Duration least(Duration a, Duration b) {
        return a.compareTo(b) < 0 ? a : b;
    }

    private void ring(Interval central) {
        List<Frame> frames = new ArrayList<>();
        Duration every = every(Block.Kind.RING, RING_CADENCE);
        for (Instant t = Block.onTheSecond(central.start().plusSeconds(1));
                t.isBefore(central.end());
                t = t.plus(every)) {
            frames.addAll(filtered(t, every));
        }
        add(Block.Kind.RING, frames);
    }

    private void totality(Interval bare) {
        blocks.add(Block.step(Block.Kind.FILTER_OFF, bare.start()));
        blocks.add(Block.step(Block.Kind.FILTER_ON, bare.end()));
        CameraBuffer buffer = CameraBuffer.of(plan.rig(), plan.wishes().phases().jpeg(Block.Kind.TOTALITY));
        add(Block.Kind.TOTALITY, runs(buffer, bare.start(), bare.end()));
    }

    /** Short to long and back, without the times that would smear, again until the time is over. */
    private List<Frame> runs(CameraBuffer buffer, Instant from, Instant to) {
        List<Setting> up = up(from);
        List<Setting> run = new ArrayList<>(up);
        for (int i = up.size() - 2; i > 0; i--) {
            run.add(up.get(i));
        }
        List<Frame> frames = new ArrayList<>();
        Instant ready = from;
        while (!run.isEmpty()) {
            for (Setting s : run) {
                Frame f = buffer.next(ready, s);
                ready = f.close().plus(SETTING);
                if (f.close().isAfter(to)) {
                    return frames;
                }
                frames.add(f);
            }
        }
        return frames;
    }

    /** The settings of a run, short to long: one for each part of the corona, or what a person has chosen. */
    private List<Setting> up(Instant at) {
        PhaseChoice chosen = plan.wishes().phases().of(Block.Kind.TOTALITY);
        Setting middle = plan.setting(EclipseGuide.Solar.CORONA_0_5_R, at);
        if (chosen.ladder().isPresent()) {
            return plan.bracket(middle, chosen.ladder().get(), at);
        }
        if (chosen.seconds().isPresent() || chosen.frames().isPresent()) {
            return List.of(middle);
        }
        return RUN.stream()
                .filter(p -> !plan.exposure(p, at).tooLong())
                .map(p -> plan.setting(p, at))
                .distinct()
                .toList();
    }

    private void add(Block.Kind kind, List<Frame> frames) {
        if (!frames.isEmpty()) {
            blocks.add(Block.of(kind, frames));
        }
    }
}
