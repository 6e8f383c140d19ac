package org.halfdusk.web.sequence;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.programme.check.ProgrammeCheck;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.sequence.block.BlockPart;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.words.BlockWords;
import org.halfdusk.web.subject.words.ClockWords;

/** What is checked about a night's blocks, in words. */
final class SequenceChecks {
    private SequenceChecks() {}

    /**
     * What is wrong, and how many blocks were made for another setting than the plan gives by now.
     *
     * @param over of each block, see {@link BlockPart#over}
     */
    static List<String> checks(
            ShootDesk.Open open,
            List<ShootDesk.Open> rigs,
            List<ProgrammeCheck> found,
            List<List<OptionalDouble>> over,
            ZoneId zone) {
        List<String> checks = new ArrayList<>(FocusAnew.clashes(open, rigs));
        long other = open.programme().planned().stream()
                .filter(p -> p.madeForOther(open.plan()).isPresent())
                .count();
        if (other > 0) {
            checks.add(Words.count(other, "block") + (other == 1 ? " was" : " were")
                    + " made for another setting than the plan gives now: open "
                    + (other == 1 ? "it" : "each") + " to take the new one or keep it.");
        }
        found.stream().map(c -> words(c, open, zone)).forEach(checks::add);
        for (int i = 0; i < over.size(); i++) {
            moving(open.blocks().get(i), over.get(i), open.plan()).ifPresent(checks::add);
        }
        open.programme()
                .leftOut()
                .forEach(
                        r -> checks.add(
                                "Your " + BlockWords.name(r.kind()) + " frame of "
                                        + Times.clockSeconds(r.at(), zone)
                                        + " has no place in the script as it is now, and is left out: move it, or let the phase be computed."));
        if (!open.plan().rig().lens().electronicAperture()) {
            checks.addAll(ring(open, zone));
        }
        open.clock().filter(c -> !c.fair()).map(ClockWords::caution).ifPresent(checks::add);
        return checks;
    }

    private static String words(ProgrammeCheck c, ShootDesk.Open open, ZoneId zone) {
        Block b = open.blocks().get(c.block());
        String which = BlockWords.name(b.kind()) + " of " + Times.clock(b.start(), zone);
        String by = Times.minutes(c.by());
        return switch (c.what()) {
            case CLASH ->
                which + " begins " + by
                        + " before the block before it is over: start it later, or take fewer frames there.";
            case OUTSIDE_WINDOW ->
                which + " stands outside the night's window for " + by + ": move it, or take fewer frames.";
            case NOT_DARK ->
                which + ": the sky is not dark for " + by + " of it. Move it into the dark, or lower the ISO there.";
            case MOON -> which + ": the moon is up for " + by + " of it. Move it, or take it as light for the ground.";
            case CORE_HIDDEN ->
                which + ": " + open.subject().shown(open.plan()) + " is down or behind the skyline for " + by
                        + " of it.";
        };
    }

    /** How many frames move farther than the plan allows, and the farthest of them; for the list of checks. */
    private static Optional<String> moving(Block b, List<OptionalDouble> over, Plan plan) {
        double[] px = over.stream()
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .toArray();
        return px.length == 0
                ? Optional.empty()
                : Optional.of(BlockWords.name(b.kind()) + " of "
                        + Times.clock(b.start(), plan.place().zone()) + ": "
                        + Words.count(px.length, "frame") + " move" + (px.length == 1 ? "s" : "") + " up to "
                        + Words.tenths(Arrays.stream(px).max().orElse(0)) + " px, "
                        + Words.plain(plan.mostMotionPx())
                        + " px is the limit: raise the ISO or open the aperture first.");
    }

    /** The camera cannot set this lens: where its ring has to be turned by hand. */
    private static List<String> ring(ShootDesk.Open open, ZoneId zone) {
        List<String> turns = new ArrayList<>();
        String set = "";
        for (Block b : open.blocks()) {
            for (Frame f : b.frames()) {
                String wanted = f.fNumber().label();
                if (!set.isEmpty() && !wanted.equals(set)) {
                    turns.add("Turn the lens's ring from " + set + " to " + wanted + " by hand before "
                            + Times.clockSeconds(f.open(), zone) + ": the camera cannot set this lens.");
                }
                set = wanted;
            }
        }
        return turns.size() > MOST_TURNS
                ? List.of(turns.get(0), (turns.size() - 1) + " more turns of the ring follow: fix one aperture.")
                : turns;
    }

    /** More turns than these nobody does in the dark. */
    private static final int MOST_TURNS = 3;
}
