package org.halfdusk.web.sequence.block;

import java.time.ZoneId;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.time.CivilTime;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Words;

/**
 * A laid block as its form shows it.
 *
 * @param other what the plan says by now where it was made for something else
 */
public record BlockForm(
        int number,
        String id,
        String other,
        boolean pause,
        String start,
        String amount,
        String by,
        String seconds,
        String gap,
        String aperture,
        String iso,
        boolean lapse,
        boolean followsLight,
        boolean bracket,
        boolean bracketed,
        String thirds,
        String each,
        String apart,
        String files) {
    /** As it was typed, where that is refused. */
    BlockForm typed(FormErrors errors) {
        return new BlockForm(
                number,
                id,
                other,
                pause,
                errors.text("start"),
                errors.text("amount"),
                errors.text("by"),
                errors.text("seconds"),
                errors.text("gap"),
                errors.text("aperture"),
                errors.text("iso"),
                lapse,
                followsLight,
                bracket,
                bracketed,
                errors.text("thirds"),
                errors.text("each"),
                errors.text("apart"),
                errors.text("files"));
    }

    static final BlockForm NONE =
            new BlockForm(-1, "", "", false, "", "", "", "", "", "", "", false, false, false, false, "", "", "", "");

    static BlockForm of(int number, BlockSpec s, String other, ZoneId zone, FormErrors errors) {
        boolean pause = s.kind() == Block.Kind.PAUSE;
        BlockForm kept = new BlockForm(
                number,
                s.id(),
                other,
                pause,
                CivilTime.textSeconds(s.start(), zone),
                pause ? TypedNumber.plain(Math.rint(s.seconds() / 60 * 10) / 10) : Integer.toString(s.frames()),
                pause ? "minutes" : "frames",
                TypedNumber.plain(s.seconds()),
                TypedNumber.plain(s.gapSeconds()),
                TypedNumber.plain(Math.rint(s.fNumber().value() * 100) / 100),
                s.iso().toString(),
                s.kind() == Block.Kind.TIME_LAPSE,
                Programme.followsLight(s),
                s.kind() == Block.Kind.BRACKET,
                BlockSpec.BRACKETED.contains(s.kind()),
                Integer.toString(s.thirds()),
                s.how().bracket().map(l -> Integer.toString(l.count())).orElse("1"),
                Integer.toString(s.how().bracket().orElse(Ladder.USUAL).thirds()),
                s.how().jpeg().map(PhaseChoice.FILES::write).orElse(""));
        boolean refused = !errors.of("BLOCKS").isEmpty() && errors.text("block").equals(s.id());
        return refused ? kept.typed(errors) : kept;
    }

    /** What the plan says by now where a block was made for something else: "Made for 8 s f/2 ISO 1250; the plan now says …". */
    static String other(Programme.Planned planned, Plan plan) {
        return planned.madeForOther(plan)
                .map(now -> "Made for "
                        + set(planned.laid().flatMap(BlockSpec::made).orElseThrow()) + ". The plan now says " + set(now)
                        + ".")
                .orElse("");
    }

    static String set(BlockSpec.Made m) {
        return Words.seconds(m.seconds()) + " " + m.fNumber().label() + " ISO " + m.iso();
    }
}
