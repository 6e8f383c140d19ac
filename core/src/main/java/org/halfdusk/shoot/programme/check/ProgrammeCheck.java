package org.halfdusk.shoot.programme.check;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Skyline;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Plan;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.SkyEvents;
import org.halfdusk.time.Interval;

/**
 * Whether the blocks of one rig fit each other and the night.
 *
 * @param block its place in the list
 * @param by how long, where that says something
 */
public record ProgrammeCheck(int block, What what, Duration by) {
    /** What does not fit. */
    public enum What {
        /** It begins before the block before it is over. */
        CLASH,
        /** It goes on after the last window of the night, or begins before the first. */
        OUTSIDE_WINDOW,
        /** The sky is not dark for all of it. */
        NOT_DARK,
        /** The moon is up for some of it, more of it than the subject allows. */
        MOON,
        /** The core is down or behind the skyline for some of it. */
        CORE_HIDDEN
    }

    private static final Duration STEP = Duration.ofMinutes(5);

    /** In order of the blocks; frames with the cap on, pauses and ground need no sky. */
    public static List<ProgrammeCheck> of(Plan plan, List<Block> blocks) {
        List<ProgrammeCheck> found = new ArrayList<>();
        for (int i = 0; i < blocks.size(); i++) {
            Block b = blocks.get(i);
            if (i > 0
                    && b.start().isBefore(blocks.get(i - 1).end())
                    && !b.frames().isEmpty()) {
                found.add(new ProgrammeCheck(
                        i,
                        What.CLASH,
                        Duration.between(b.start(), blocks.get(i - 1).end())));
            }
            if (ofTheSky(b.kind())) {
                sky(plan, b, i, found);
            }
        }
        return found;
    }

    private static boolean ofTheSky(Block.Kind kind) {
        return switch (kind) {
            case STACK, TRAILS, PANORAMA -> true;
            default -> false;
        };
    }

    private static void sky(Plan plan, Block b, int number, List<ProgrammeCheck> found) {
        Sky sky = plan.night().sky();
        Skyline skyline = plan.place().skyline();
        Optional<Body> band = plan.night().followed().filter(Body::ofBand);
        Duration bright = Duration.ZERO;
        Duration moon = Duration.ZERO;
        Duration hidden = Duration.ZERO;
        Duration outside = Duration.ZERO;
        for (Instant t = b.start(); t.isBefore(b.end()); t = t.plus(STEP)) {
            Instant at = t;
            Duration left = Duration.between(t, b.end());
            Duration part = left.compareTo(STEP) < 0 ? left : STEP;
            boolean behind = band.map(f -> sky.at(f, at))
                    .filter(c -> c.seen().degrees() < 0 || c.degreesOver(skyline) < 0)
                    .isPresent();
            hidden = behind ? hidden.plus(part) : hidden;
            boolean inside = plan.night().windows().stream().anyMatch((Interval w) -> w.contains(at));
            outside = inside ? outside : outside.plus(part);
            // Inside a window its light and its moon are such as the subject allows.
            boolean lit = !inside && sky.at(Body.SUN, t).altitude().degrees() > SkyEvents.ASTRONOMICAL_ALTITUDE;
            bright = lit ? bright.plus(part) : bright;
            boolean moonlit = !inside && sky.at(Body.MOON, t).altitude().degrees() > 0;
            moon = moonlit ? moon.plus(part) : moon;
        }
        add(found, number, What.OUTSIDE_WINDOW, outside);
        add(found, number, What.NOT_DARK, bright);
        add(found, number, What.MOON, moon);
        add(found, number, What.CORE_HIDDEN, hidden);
    }

    private static void add(List<ProgrammeCheck> found, int block, What what, Duration by) {
        if (!by.isZero()) {
            found.add(new ProgrammeCheck(block, what, by));
        }
    }
}
