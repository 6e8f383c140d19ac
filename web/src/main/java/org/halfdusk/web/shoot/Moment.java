package org.halfdusk.web.shoot;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.Setting;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Plan;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.subject.words.ReasonWords;

/**
 * How what is shown at the playhead stands to what the programme will use.
 *
 * @param own whether the setting is the programme's
 * @param sentence empty where the playhead stands on the programme's own moment
 * @param href back to that moment
 */
public record Moment(boolean own, String sentence, String href) {
    /** @param shown what is photographed. @param cause what is different there, as a part of a sentence; empty where nothing is to be said */
    static Moment of(ShootDesk.Open open, String step, String shown, String cause) {
        Plan programme = open.plan();
        Plan now = open.now();
        String back = open.address(step) + "?at=" + programme.moment();
        ZoneId zone = programme.place().zone();
        String skipped = open.skipped().isEmpty()
                ? ""
                : "Clocks skip " + open.skipped() + " in this night; " + Times.clock(now.moment(), zone)
                        + " is shown. ";
        if (now.moment().equals(programme.moment())) {
            return new Moment(true, skipped.trim(), back);
        }
        boolean same = now.setting().equals(programme.setting());
        List<String> parts = new ArrayList<>();
        if (!now.exposed().visible() && programme.exposed().visible()) {
            parts.add(shown + " does not show");
        }
        if (!cause.isEmpty()) {
            parts.add(cause);
        }
        String why = parts.isEmpty() ? "" : String.join(", ", parts) + ": ";
        String setting = same
                ? "the programme's own setting"
                : differing(now.setting(), programme.setting()) + " instead of "
                        + differing(programme.setting(), now.setting());
        return new Moment(
                same, "At " + Times.clock(now.moment(), zone) + " " + why + setting + begins(open, zone) + ".", back);
    }

    private static String begins(ShootDesk.Open open, ZoneId zone) {
        return Block.firstFrame(open.blocks())
                .map(t -> "; the programme starts at " + Times.clock(t, zone))
                .orElse("; there is no programme");
    }

    /** Of a setting, what is not the same in another. */
    private static String differing(Setting a, Setting b) {
        List<String> parts = new ArrayList<>();
        if (!a.shutter().equals(b.shutter())) {
            parts.add(a.shutter().label());
        }
        if (!a.fNumber().same(b.fNumber())) {
            parts.add(a.fNumber().label());
        }
        if (!a.iso().equals(b.iso())) {
            parts.add("ISO " + a.iso());
        }
        return parts.isEmpty() ? ReasonWords.line(a) : String.join(" ", parts);
    }
}
