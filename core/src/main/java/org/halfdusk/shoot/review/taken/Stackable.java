package org.halfdusk.shoot.review.taken;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.review.taken.PlannedAndTaken.Taken;

/**
 * Which frames of a rig are made one picture.
 *
 * @param used in order of time
 * @param left light frames that are not in it, each with why
 * @param darks frames with the cap on of the same exposure
 * @param ground frames that were planned for the land
 */
public record Stackable(List<Taken> used, List<Left> left, List<Taken> darks, List<Taken> ground) {
    /** Why a frame is left out. */
    public enum Why {
        /** A person rejected it. */
        REJECTED,
        /** Something in it would stay in the picture. */
        SPOILT,
        /** Exposed otherwise than most. */
        OTHER_EXPOSURE,
        /** Neither stars nor bursts are in it. */
        SHOWS_NOTHING,
        /** Others were chosen. */
        NOT_CHOSEN
    }

    /** What a picture is made of frames for. */
    public enum As {
        /** The lightest pixel is kept, and with it what crosses a frame. */
        TRAILS,
        /** Values are compared or averaged: what blurs or hides stars does harm. */
        POINTS,
        /** The lightest pixel of chosen frames, each open as long as its burst needed; where none was chosen, of all. */
        BURSTS
    }

    /** @param fault what spoils it, where it is that */
    public record Left(Taken frame, Why why, Optional<FrameFault> fault) {}

    /** Of the lightest pixel each of these stays in the picture for good. */
    private static final Set<FrameFault.What> SHOWS =
            EnumSet.of(FrameFault.What.AIRCRAFT, FrameFault.What.SATELLITE, FrameFault.What.HEADLAMP);

    /** These blur or hide the stars whatever is done with them. */
    private static final Set<FrameFault.What> SPOILS = EnumSet.of(
            FrameFault.What.HEADLAMP,
            FrameFault.What.CLOUD,
            FrameFault.What.DEFOCUS,
            FrameFault.What.SHAKE,
            FrameFault.What.DEW,
            FrameFault.What.DARK);

    /** Two marks for one time, and a timer that is a little off, may differ by so much. */
    private static final double ALIKE = 0.04;

    /** The middle one of those in it, in order of time; nothing where there are none. */
    public Optional<Taken> middle() {
        return used.stream().skip(used.size() / 2).findFirst();
    }

    /** Sorts a night's frames into lights, darks and ground, as far as they are fit for it. */
    public static Stackable of(PlannedAndTaken both, As as) {
        List<Taken> lights = new ArrayList<>();
        List<Taken> caps = new ArrayList<>();
        List<Taken> ground = new ArrayList<>();
        for (Taken t : both.taken()) {
            Optional<Block.Kind> planned = both.slot(t).map(PlannedAndTaken.Slot::kind);
            boolean nothing = reading(t).kind() == FrameReading.Kind.NOTHING;
            if (reading(t).kind() == FrameReading.Kind.DARK_FRAME
                    || nothing
                            && planned.filter(k -> k == Block.Kind.DARK_FRAME).isPresent()) {
                caps.add(t);
            } else if (planned.filter(k -> k == Block.Kind.GROUND).isPresent()) {
                ground.add(t);
            } else {
                lights.add(t);
            }
        }
        double seconds = most(lights);
        List<Taken> used = new ArrayList<>();
        List<Left> left = new ArrayList<>();
        boolean chosen = as == As.BURSTS && lights.stream().anyMatch(t -> choice(t) == TakenFrame.Choice.KEEP);
        for (Taken t : lights) {
            Optional<Left> out = chosen && choice(t) == TakenFrame.Choice.OPEN
                    ? Optional.of(new Left(t, Why.NOT_CHOSEN, Optional.empty()))
                    : left(t, as == As.BURSTS ? Double.NaN : seconds, as == As.POINTS ? SPOILS : SHOWS);
            out.ifPresentOrElse(left::add, () -> used.add(t));
        }
        List<Taken> darks =
                caps.stream().filter(t -> alike(seconds(t), seconds)).toList();
        return new Stackable(List.copyOf(used), List.copyOf(left), darks, List.copyOf(ground));
    }

    private static TakenFrame.Choice choice(Taken t) {
        return t.frame().it().judgement().choice();
    }

    private static FrameReading reading(Taken t) {
        return t.frame().it().reading();
    }

    private static double seconds(Taken t) {
        return t.frame().it().file().shot().seconds().orElse(Double.NaN);
    }

    /** The exposure that most have, s; NaN where none says. */
    private static double most(List<Taken> lights) {
        Map<Double, Integer> counts = new HashMap<>();
        lights.forEach(t -> counts.merge(seconds(t), 1, Integer::sum));
        return counts.entrySet().stream()
                .max(Map.Entry.<Double, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse(Double.NaN);
    }

    private static boolean alike(double one, double other) {
        return Double.isNaN(one) || Double.isNaN(other) || Math.abs(one - other) <= ALIKE * other;
    }

    private static Optional<Left> left(Taken t, double seconds, Set<FrameFault.What> spoiling) {
        TakenFrame.Choice choice = choice(t);
        if (choice == TakenFrame.Choice.REJECT) {
            return Optional.of(new Left(t, Why.REJECTED, Optional.empty()));
        }
        if (!alike(seconds(t), seconds)) {
            return Optional.of(new Left(t, Why.OTHER_EXPOSURE, Optional.empty()));
        }
        // A person who keeps a frame knows what is in it.
        if (choice == TakenFrame.Choice.KEEP) {
            return Optional.empty();
        }
        if (reading(t).kind() == FrameReading.Kind.NOTHING) {
            return Optional.of(new Left(t, Why.SHOWS_NOTHING, Optional.empty()));
        }
        return reading(t).faults().stream()
                .filter(f -> f.likely() && spoiling.contains(f.what()))
                .findFirst()
                .map(f -> new Left(t, Why.SPOILT, Optional.of(f)));
    }
}
