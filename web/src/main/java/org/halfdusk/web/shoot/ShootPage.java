package org.halfdusk.web.shoot;

import java.util.List;
import java.util.Map;
import org.halfdusk.web.layout.NightStrip;

/**
 * What stands on every page of a shoot: its name, the seven steps with their answers, the night strip, the caption.
 *
 * @param was the fields' texts as this page shows them, sent back with every edit so that others' changes are noticed
 */
public record ShootPage(
        long id,
        String title,
        String place,
        String night,
        String saved,
        int undoable,
        String step,
        List<Step> steps,
        NightStrip strip,
        String at,
        String atClock,
        String nextGoodNight,
        List<String> caption,
        String captionText,
        String verdict,
        Map<String, String> was) {

    /** A tab: its answer, and where it leads; no link where the step is not built yet. */
    public record Step(String name, String answer, String href, boolean current) {}
}
