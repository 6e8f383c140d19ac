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
 * @param block that it begins; nothing where it begins none
 * @param setting that the camera has from then on; nothing where it stays as it is
 * @param timer what is typed into it; nothing where frames are let go otherwise
 * @param degrees by how much the camera is turned
 */
public record Hand(
        String id,
        int rig,
        Kind kind,
        Instant at,
        Instant until,
        Optional<Block> block,
        Optional<Setting> setting,
        Optional<Timer> timer,
        OptionalDouble degrees) {
    /** What is done. */
    public enum Kind {
        /** What an eye or a sensor is hurt without comes before all else of its moment. */
        FILTER_OFF,
        FILTER_ON,
        /** Frames begin: the timer's key, or the release. */
        START,
        /** The cap goes on for frames of the dark. */
        CAP_ON,
        /** Nothing is taken: time for battery, focus, cloth. */
        PAUSE,
        /** The camera is turned back to what moves. */
        TURN,
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
            String id = "turn-" + t.at().getEpochSecond();
            all.add(alone(id, rig, Kind.TURN, t.at(), t.until(), OptionalDouble.of(t.degrees())));
        }
        lastClose(programme).ifPresent(end -> all.add(alone("over", rig, Kind.OVER, end, end, OptionalDouble.empty())));
        all.sort(Comparator.comparing(Hand::at).thenComparing(Hand::kind));
        return List.copyOf(all);
    }

    /** Frames that are taken until it is over. */
    public int frames() {
        return block.map(b -> b.frames().size()).orElse(0);
    }

    /** One that begins no block. */
    private static Hand alone(String id, int rig, Kind kind, Instant at, Instant until, OptionalDouble degrees) {
        return new Hand(id, rig, kind, at, until, Optional.empty(), Optional.empty(), Optional.empty(), degrees);
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
                Optional.of(b),
                setting,
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
