package org.halfdusk.web.subject;

import java.util.List;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;

/**
 * A subject's Night step.
 *
 * @param window the answer, large
 * @param sentences what made it
 * @param fragment template that draws the picture
 * @param picture what it draws
 * @param times of this night
 * @param course a table through the night
 * @param cautions that stand on this page
 */
public record NightStep(
        String window,
        List<String> sentences,
        String fragment,
        Object picture,
        List<Line> times,
        Table course,
        At at,
        List<String> cautions) {
    /** What is so at the playhead's time. */
    public record At(String heading, String sentence, List<Line> lines) {}
}
