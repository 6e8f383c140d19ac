package org.halfdusk.shoot.running;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.programme.Laying;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.time.Interval;
import org.halfdusk.typed.Range;

/**
 * What can be made of the rest of a programme when time or frames are lost. Nothing is changed until one is chosen.
 *
 * @param kind which of the three ways
 * @param laid the rig's blocks by it
 * @param frames of the block that was met, all in all, those that were taken among them
 * @param lost how many fewer than planned
 * @param end of that block
 * @param plannedEnd as it was
 * @param time of the frames still to come
 * @param iso of them
 * @param outside whether the end lies behind the subject's window
 */
public record WayOut(
        Kind kind,
        Laying laid,
        int frames,
        int lost,
        Instant end,
        Instant plannedEnd,
        ShutterTime time,
        Iso iso,
        boolean outside) {
    public enum Kind {
        /** The end stays, frames are given up. */
        LOSE,
        /** All frames are taken, the end moves. */
        LATER,
        /** End and number stay, each frame is shorter and its ISO higher. */
        SHORTER
    }

    /**
     * What went wrong.
     *
     * @param at when
     * @param lost for how long nothing is taken from then on: a late start, cloud, a battery that is changed; 0 to 8 h
     * @param spoilt how many frames that were taken are of no use, 0 to 20,000
     */
    public record Trouble(Instant at, Duration lost, int spoilt) {
        public static final Range MINUTES = new Range("minutes lost", 0, 480, "min");
        public static final Range SPOILT = Range.of("frames spoilt", 0, BlockSpec.MOST_FRAMES);

        public Trouble {
            MINUTES.check(lost.toSeconds() / 60.0);
            SPOILT.check(spoilt);
        }

        Instant back() {
            return Block.onTheSecond(at.plus(lost));
        }
    }

    /** Times are not cut to less than a quarter: two stops of ISO more cost as much as the frames†. */
    private static final double LEAST_SHARE = 0.25;

    /**
     * The ways out, those first that keep most. Empty where nothing that can be laid otherwise is running or to come: scripts of eclipses
     * and shows follow the sky's clock, what is lost of them is lost.
     */
    public static List<WayOut> of(Plan plan, RigChoices choices, Trouble trouble) {
        if (!Programme.replaces(plan) && choices.blocks().isEmpty()) {
            return List.of();
        }
        Laying laying = Programme.laid(plan, choices);
        return laying.blocks().stream()
                .filter(s -> s.frames() > 0 && s.block(laying.timing()).end().isAfter(trouble.at()))
                .findFirst()
                .map(met -> Met.of(plan, laying, met, trouble).ways())
                .orElse(List.of());
    }

    /**
     * The block that the trouble meets.
     *
     * @param taken how many of its frames are over by then
     */
    private record Met(Plan plan, Laying laying, BlockSpec spec, Trouble trouble, int taken, Instant plannedEnd) {
        static Met of(Plan plan, Laying laying, BlockSpec spec, Trouble trouble) {
            int taken = spec.taken(trouble.at(), laying.timing());
            return new Met(plan, laying, spec, trouble, taken, end(spec, laying));
        }

        private static Instant end(BlockSpec s, Laying laying) {
            return s.block(laying.timing()).end();
        }

        private boolean inTime(BlockSpec s) {
            return !end(s, laying).isAfter(plannedEnd.plusMillis(1));
        }

        List<WayOut> ways() {
            int good = Math.max(0, taken - trouble.spoilt());
            int missing = spec.frames() - good;
            Instant from = trouble.back().isAfter(spec.start()) ? trouble.back() : spec.start();
            boolean untouched = trouble.spoilt() == 0 && (trouble.lost().isZero() || !from.isAfter(spec.start()));
            if (missing == 0 || untouched) {
                return List.of();
            }
            List<WayOut> ways = new ArrayList<>();
            ways.add(way(Kind.LATER, good, Optional.of(rest(from, missing))));
            shorter(from, missing).ifPresent(s -> ways.add(way(Kind.SHORTER, good, Optional.of(s))));
            int fit = fitting(from);
            if (fit < missing) {
                ways.add(way(Kind.LOSE, good, fit == 0 ? Optional.empty() : Optional.of(rest(from, fit))));
            }
            return ways;
        }

        private BlockSpec rest(Instant from, int frames) {
            return spec.with(frames).at(from);
        }

        /** How many whole frames fit between the return and the planned end. */
        private int fitting(Instant from) {
            double left = Duration.between(from, plannedEnd).toMillis() / 1000.0;
            if (left <= 0) {
                return 0;
            }
            BlockSpec most = spec.lasting(left, laying.timing()).at(from);
            return inTime(most) ? Math.min(most.frames(), spec.frames()) : 0;
        }

        /** The longest mark at which all that is missing ends as planned, with what light is lost made up by ISO. */
        private Optional<BlockSpec> shorter(Instant from, int missing) {
            BlockSpec rest = rest(from, missing);
            List<Iso> isos = plan.rig().camera().isos();
            for (ShutterTime t : laying.timing().times()) {
                boolean less = t.nominalSeconds() < spec.seconds() - 1e-9;
                if (!less || t.nominalSeconds() < spec.seconds() * LEAST_SHARE) {
                    continue;
                }
                Iso iso = spec.iso().times(spec.seconds() / t.nominalSeconds()).nearest(isos);
                BlockSpec other = rest.taking(new BlockSpec.Made(t.nominalSeconds(), spec.fNumber(), iso));
                if (inTime(other)) {
                    return Optional.of(other);
                }
            }
            return Optional.empty();
        }

        /** The blocks with what was taken, nothing until the return, and the rest. */
        private WayOut way(Kind kind, int good, Optional<BlockSpec> rest) {
            Optional<BlockSpec> first = taken > 0 ? Optional.of(spec.with(taken)) : Optional.empty();
            Optional<BlockSpec> second = taken > 0 ? rest.map(r -> r.named("")) : rest;
            List<BlockSpec> next = laying.blocks().stream()
                    .flatMap(s -> s.equals(spec) ? Stream.concat(first.stream(), second.stream()) : Stream.of(s))
                    .toList();
            Laying laid = new Laying(next, laying.timing()).settled();
            Optional<BlockSpec> last = rest.or(() -> first);
            Instant end = last.map(s -> end(s, laying)).orElse(trouble.at());
            int all = good + rest.map(BlockSpec::frames).orElse(0);
            boolean outside = plan.night().windows().stream()
                    .filter(w -> w.contains(spec.start()))
                    .map(Interval::end)
                    .anyMatch(end::isAfter);
            return new WayOut(
                    kind,
                    laid,
                    all,
                    spec.frames() - all,
                    end,
                    plannedEnd,
                    ShutterTime.nearest(
                            last.orElse(spec).seconds(), laying.timing().times()),
                    last.orElse(spec).iso(),
                    outside);
        }
    }
}
