package org.halfdusk.shoot.review.taken;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.programme.Programme;

/**
 * The frames of a programme beside those that were taken: each taken one is the planned one that lies nearest in time, where it lies within
 * half of the way to the next; of two that could be, the one set as planned. What is left over is missing here, extra there.
 *
 * @param planned in order of time
 * @param taken in order of time, those without a time last
 * @param clock by how much all are off alike, where moving the camera's clock by that brings far more of them to their places
 */
public record PlannedAndTaken(List<Slot> planned, List<Taken> taken, Optional<Proposal> clock) {
    /**
     * A planned frame.
     *
     * @param number of its block, from 1
     * @param taken number of the frame that was taken for it
     */
    public record Slot(String block, Block.Kind kind, int number, Frame frame, Optional<Long> taken) {}

    /** What can be set otherwise than planned. */
    public enum What {
        SHUTTER,
        APERTURE,
        ISO,
        FOCAL_LENGTH,
        /** The cap was on, or off, against the plan. */
        CAP
    }

    /** @param planned and taken: seconds, f-number, ISO, mm; of a cap 1 for on */
    public record Wrong(What what, double planned, double taken) {}

    /**
     * A frame that was taken.
     *
     * @param slot of {@link #planned}, for which it was taken; nothing for an extra one
     * @param late by how much it opened after its plan; nothing without a slot
     */
    public record Taken(
            Kept<TakenFrame> frame,
            Optional<Instant> opened,
            Optional<Integer> slot,
            Optional<Duration> late,
            List<Wrong> wrong) {}

    /**
     * A clock that seems to be off.
     *
     * @param seconds by which frames seem late: the camera's clock is ahead by so much more than was thought
     * @param frames that come to their places by it
     */
    public record Proposal(double seconds, int frames) {}

    /** Frames that were planned and are not there. */
    public long missing() {
        return planned.stream().filter(s -> s.taken().isEmpty()).count();
    }

    /** Frames that are there and were not planned. */
    public long extra() {
        return taken.stream().filter(t -> t.slot().isEmpty()).count();
    }

    /** The planned frame that a taken one is; nothing for an extra one. */
    public Optional<Slot> slot(Taken t) {
        return t.slot().map(planned::get);
    }

    private static final double MOST_OFF_SECONDS = 60;
    private static final double LEAST_OFF_SECONDS = 1;

    /** A setting that is off by less is rounding: a twelfth of a stop; of a focal length so much of it. */
    private static final double STOPS = 0.13;

    private static final double FOCAL = 0.04;

    /** Nearer than this a clock is fair enough. */
    private static final double FAIR_SECONDS = 2;

    /** Fewer may fall on their places by chance†. */
    private static final int LEAST_FRAMES = 5;

    private static final double MOST_FRAMES_SHARE = 0.6;
    private static final int MOST_TRIED = 250;
    private static final double A_DAY_SECONDS = 86_400;

    /**
     * Puts them side by side.
     *
     * @param focalMm of the plan's rig
     * @param zone of the place
     * @param ahead by how many seconds the camera's clock is known to be ahead
     */
    public static PlannedAndTaken of(
            Programme programme, double focalMm, List<Kept<TakenFrame>> frames, ZoneId zone, double ahead) {
        List<Slot> slots = slots(programme);
        List<Kept<TakenFrame>> inOrder = frames.stream()
                .sorted(Comparator.comparing((Kept<TakenFrame> f) ->
                                f.it().file().shot().opened(zone, ahead).orElse(Instant.MAX))
                        .thenComparing(f -> f.it().file().name())
                        .thenComparing(Kept::id))
                .toList();
        double[] planned =
                slots.stream().mapToDouble(s -> seconds(s.frame().open())).toArray();
        double[] opened = inOrder.stream()
                .mapToDouble(f -> f.it().file()
                        .shot()
                        .opened(zone, ahead)
                        .map(PlannedAndTaken::seconds)
                        .orElse(Double.NaN))
                .toArray();
        double[] reach = reach(planned);
        Matching m = new Matching(slots, inOrder, planned, reach, focalMm);
        int[] of = m.matched(opened);
        List<Taken> taken = new ArrayList<>();
        Map<Integer, Long> takenOf = new HashMap<>();
        for (int i = 0; i < of.length; i++) {
            int slot = of[i];
            Kept<TakenFrame> f = inOrder.get(i);
            boolean there = slot >= 0;
            if (there) {
                takenOf.put(slot, f.id());
            }
            taken.add(new Taken(
                    f,
                    f.it().file().shot().opened(zone, ahead),
                    there ? Optional.of(slot) : Optional.empty(),
                    there
                            ? Optional.of(Duration.ofMillis(Math.round((opened[i] - planned[slot]) * 1000)))
                            : Optional.empty(),
                    there ? wrong(slots.get(slot), f.it(), focalMm) : List.of()));
        }
        List<Slot> filled = new ArrayList<>();
        for (int i = 0; i < slots.size(); i++) {
            Slot s = slots.get(i);
            filled.add(new Slot(s.block(), s.kind(), s.number(), s.frame(), Optional.ofNullable(takenOf.get(i))));
        }
        return new PlannedAndTaken(List.copyOf(filled), List.copyOf(taken), proposal(m, opened, of));
    }

    private static double seconds(Instant at) {
        return at.getEpochSecond() + at.getNano() * 1e-9;
    }

    private static List<Slot> slots(Programme programme) {
        List<Slot> slots = new ArrayList<>();
        for (Programme.Planned p : programme.planned()) {
            int number = 1;
            for (Frame f : p.block().frames()) {
                slots.add(new Slot(p.id(), p.block().kind(), number++, f, Optional.empty()));
            }
        }
        slots.sort(Comparator.comparing(s -> s.frame().open()));
        return slots;
    }

    /** How far in time each may be off: half the way to its nearer neighbour. */
    private static double[] reach(double[] planned) {
        double[] reach = new double[planned.length];
        for (int i = 0; i < planned.length; i++) {
            double before = i == 0 ? Double.MAX_VALUE : planned[i] - planned[i - 1];
            double after = i + 1 == planned.length ? Double.MAX_VALUE : planned[i + 1] - planned[i];
            reach[i] = Math.max(LEAST_OFF_SECONDS, Math.min(MOST_OFF_SECONDS, Math.min(before, after) / 2));
        }
        return reach;
    }

    private record Matching(
            List<Slot> slots, List<Kept<TakenFrame>> frames, double[] planned, double[] reach, double focalMm) {
        private record Pair(int frame, int slot, double cost) {}

        /** The slot of each frame; −1 for none. */
        int[] matched(double[] opened) {
            List<Pair> pairs = new ArrayList<>();
            for (int i = 0; i < opened.length; i++) {
                if (Double.isNaN(opened[i])) {
                    continue;
                }
                for (int k = first(opened[i] - MOST_OFF_SECONDS);
                        k < planned.length && planned[k] <= opened[i] + MOST_OFF_SECONDS;
                        k++) {
                    double off = Math.abs(opened[i] - planned[k]);
                    if (off <= reach[k]) {
                        // As far as it can be off for each setting that is not as planned.
                        int others =
                                wrong(slots.get(k), frames.get(i).it(), focalMm).size();
                        pairs.add(new Pair(i, k, off + others * reach[k]));
                    }
                }
            }
            pairs.sort(Comparator.comparingDouble(Pair::cost));
            int[] of = new int[opened.length];
            Arrays.fill(of, -1);
            boolean[] full = new boolean[planned.length];
            for (Pair p : pairs) {
                if (of[p.frame()] < 0 && !full[p.slot()]) {
                    of[p.frame()] = p.slot();
                    full[p.slot()] = true;
                }
            }
            return of;
        }

        /** How many find a place by time alone, when all are moved. */
        int placed(double[] opened, double by) {
            boolean[] full = new boolean[planned.length];
            int n = 0;
            for (double o : opened) {
                if (Double.isNaN(o)) {
                    continue;
                }
                int nearest = nearest(o - by);
                if (nearest >= 0
                        && !full[nearest]
                        && Math.abs(o - by - planned[nearest]) <= Math.min(FAIR_SECONDS, reach[nearest])) {
                    full[nearest] = true;
                    n++;
                }
            }
            return n;
        }

        int nearest(double at) {
            int k = first(at);
            if (planned.length == 0) {
                return -1;
            }
            if (k == planned.length) {
                return k - 1;
            }
            return k > 0 && at - planned[k - 1] < planned[k] - at ? k - 1 : k;
        }

        private int first(double from) {
            int k = Arrays.binarySearch(planned, from);
            return k >= 0 ? k : -k - 1;
        }
    }

    /** Looked for among the distances of all pairs: that by which most frames fall on a planned one, of equals the smallest. */
    private static Optional<Proposal> proposal(Matching m, double[] opened, int[] matched) {
        double[] known = Arrays.stream(opened).filter(o -> !Double.isNaN(o)).toArray();
        if (known.length < LEAST_FRAMES || m.planned().length == 0) {
            return Optional.empty();
        }
        double best = 0;
        int most = m.placed(known, 0);
        int step = Math.max(1, known.length / MOST_TRIED);
        int stepPlanned = Math.max(1, m.planned().length / MOST_TRIED);
        for (int i = 0; i < known.length; i += step) {
            for (int k = 0; k < m.planned().length; k += stepPlanned) {
                double by = known[i] - m.planned()[k];
                if (Math.abs(by) > A_DAY_SECONDS) {
                    continue;
                }
                int n = m.placed(known, by);
                if (n > most || n == most && Math.abs(by) < Math.abs(best) - FAIR_SECONDS) {
                    most = n;
                    best = by;
                }
            }
        }
        double by = best;
        OptionalDouble fine = median(Arrays.stream(known)
                .map(o -> o - m.planned()[Math.max(0, m.nearest(o - by))])
                .filter(d -> Math.abs(d - by) <= FAIR_SECONDS)
                .sorted()
                .toArray());
        boolean worth = most >= LEAST_FRAMES
                && most >= MOST_FRAMES_SHARE * known.length
                && Math.abs(fine.orElse(0)) > FAIR_SECONDS
                && most > placedNow(matched, m, opened);
        return worth ? Optional.of(new Proposal(Math.round(fine.getAsDouble() * 10) / 10.0, most)) : Optional.empty();
    }

    /** Of those that have their place now, how many fairly at its time. */
    private static long placedNow(int[] matched, Matching m, double[] opened) {
        long n = 0;
        for (int i = 0; i < matched.length; i++) {
            n += matched[i] >= 0 && Math.abs(opened[i] - m.planned()[matched[i]]) <= FAIR_SECONDS ? 1 : 0;
        }
        return n;
    }

    private static OptionalDouble median(double[] sorted) {
        return sorted.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(sorted[sorted.length / 2]);
    }

    /** What of a taken frame is not as planned; what its file does not say counts as planned. */
    static List<Wrong> wrong(Slot slot, TakenFrame taken, double focalMm) {
        List<Wrong> wrong = new ArrayList<>();
        Shot s = taken.file().shot();
        Frame f = slot.frame();
        double nominal = f.shutter().nominalSeconds();
        double real = f.shutter().realSeconds();
        s.seconds().ifPresent(v -> {
            // Cameras write the mark or the time that it stands for.
            if (apart(v, nominal) && apart(v, real)) {
                wrong.add(new Wrong(What.SHUTTER, nominal, v));
            }
        });
        s.aperture().ifPresent(v -> {
            if (apart(v, f.fNumber().value())) {
                wrong.add(new Wrong(What.APERTURE, f.fNumber().value(), v));
            }
        });
        s.iso().ifPresent(v -> {
            if (apart(v, f.iso().value())) {
                wrong.add(new Wrong(What.ISO, f.iso().value(), v));
            }
        });
        s.focalMm().ifPresent(v -> {
            if (Math.abs(v - focalMm) > FOCAL * focalMm) {
                wrong.add(new Wrong(What.FOCAL_LENGTH, focalMm, v));
            }
        });
        boolean capPlanned = slot.kind() == Block.Kind.DARK_FRAME;
        boolean cap = taken.reading().kind() == FrameReading.Kind.DARK_FRAME;
        if (capPlanned != cap && (cap || taken.reading().kind() == FrameReading.Kind.STARS)) {
            wrong.add(new Wrong(What.CAP, capPlanned ? 1 : 0, cap ? 1 : 0));
        }
        return List.copyOf(wrong);
    }

    private static boolean apart(double a, double b) {
        return Math.abs(Stops.between(a, b)) > STOPS;
    }
}
