package org.halfdusk.sequence;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.typed.Range;

/**
 * A frame of a computed script as a person has it: set by them, or taken away. A frame that is moved is taken away where it was and
 * set where it goes.
 *
 * @param at when it opens
 * @param set nothing where the frame that opens then is taken away
 */
public record ScriptRow(Block.Kind kind, Instant at, Optional<Shot> set) {
    /** How a frame is set. @param seconds nominal */
    public record Shot(double seconds, FNumber fNumber, Iso iso) {
        public Shot {
            BlockSpec.SECONDS.check(seconds);
            FNumber.RANGE.check(fNumber.value());
            Iso.RANGE.check(iso.value());
        }
    }

    /** So many rows of a script a person can change. */
    public static final Range MOST = Range.of("changed rows", 0, 400);

    /** @throws IllegalArgumentException for what is no row of a script */
    public ScriptRow {
        if (!PhaseChoice.of(kind)) {
            throw new IllegalArgumentException(
                    "row of “" + kind + "” is not one of a script; allowed are rows of its phases");
        }
        BlockSpec.checkStart(at);
    }

    /** As the camera fires it; nothing where it is taken away. */
    public Optional<Frame> frame(List<ShutterTime> times) {
        return set.map(s -> new Frame(at, BlockSpec.shutter(s.seconds(), times), s.fNumber(), s.iso()));
    }

    /** In order of time, each moment of a phase once: what comes later in the list counts. */
    public static List<ScriptRow> inOrder(List<ScriptRow> rows) {
        List<ScriptRow> next = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (int i = rows.size() - 1; i >= 0; i--) {
            ScriptRow r = rows.get(i);
            if (seen.add(r.kind() + " " + r.at())) {
                next.add(r);
            }
        }
        MOST.check(next.size());
        next.sort(Comparator.comparing(ScriptRow::at).thenComparing(ScriptRow::kind));
        return List.copyOf(next);
    }
}
