package org.halfdusk.shoot.running;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.Setting;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.Timer;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.programme.Turn;

/**
 * Something that a hand has to do at a rig during the night.
 *
 * @param id the same for as long as the programme says the same: block and kind
 * @param rig counted from 0
 * @param at when the hand does it: of a timer when its key is pressed, its delay before the first frame opens
 * @param until when what it begins is over: a block's last close, a pause's end; itself where nothing lasts
 * @param block in which it stands
 * @param setting that the camera has from then on; nothing where it stays as it is
 * @param frames that are taken until then
 * @param timer what is typed into it; nothing where frames are let go otherwise
 * @param degrees by how much the camera is turned
 */
public record Hand(
        String id,
        int rig,
        Kind kind,
        Instant at,
        Instant until,
        Block.Kind block,
        Optional<Setting> setting,
        int frames,
        Optional<Timer> timer,
        OptionalDouble degrees) {
    /** What is done. */
    public enum Kind {
        /** Frames begin: the timer's key, or the release. */
        START,
        /** The cap goes on for frames of the dark. */
        CAP_ON,
        /** Nothing is taken: time for battery, focus, cloth. */
        PAUSE,
        /** The camera is turned back to what moves. */
        TURN,
        FILTER_OFF,
        FILTER_ON,
        /** The last frame of all is over. */
        OVER
    }

    /** All of a rig's in order of time; empty where its programme has no frames. */
    public static List<Hand> of(int rig, Plan plan, Programme programme) {
        List<Hand> all = new ArrayList<>();
        for (Programme.Planned p : programme.planned()) {
            all.add(of(rig, plan, p));
        }
        for (Turn t : programme.turns()) {
            all.add(new Hand(
                    "turn-" + t.at().getEpochSecond(),
                    rig,
                    Kind.TURN,
                    t.at(),
                    t.until(),
                    Block.Kind.PAUSE,
                    Optional.empty(),
                    0,
                    Optional.empty(),
                    OptionalDouble.of(t.degrees())));
        }
        lastClose(programme)
                .ifPresent(end -> all.add(new Hand(
                        "over",
                        rig,
                        Kind.OVER,
                        end,
                        end,
                        Block.Kind.PAUSE,
                        Optional.empty(),
                        0,
                        Optional.empty(),
                        OptionalDouble.empty())));
        all.sort(Comparator.comparing(Hand::at).thenComparing(Hand::kind));
        return List.copyOf(all);
    }

    private static Optional<Instant> lastClose(Programme programme) {
        return programme.blocks().stream()
                .filter(b -> !b.frames().isEmpty())
                .map(Block::end)
                .max(Instant::compareTo);
    }

    private static Hand of(int rig, Plan plan, Programme.Planned p) {
        Block b = p.block();
        Optional<Timer> timer = p.timer(plan);
        Optional<Setting> setting = b.frames().stream().findFirst().map(f -> setting(f, plan));
        Kind kind = kind(b);
        // What is taken by hand opens when the hand does it; a timer waits its delay.
        Instant at = timer.map(t -> b.start().minusMillis(Math.round(t.delaySeconds() * 1000)))
                .orElse(b.start());
        return new Hand(
                p.id() + "-" + kind.name().toLowerCase(Locale.ROOT),
                rig,
                kind,
                at,
                b.end(),
                b.kind(),
                setting,
                b.frames().size(),
                timer,
                OptionalDouble.empty());
    }

    private static Setting setting(Frame f, Plan plan) {
        return new Setting(f.shutter(), f.fNumber(), f.iso(), plan.setting().kelvin());
    }

    private static Kind kind(Block b) {
        return switch (b.kind()) {
            case PAUSE -> Kind.PAUSE;
            case DARK_FRAME -> Kind.CAP_ON;
            case FILTER_OFF -> Kind.FILTER_OFF;
            case FILTER_ON -> Kind.FILTER_ON;
            default -> Kind.START;
        };
    }
}
