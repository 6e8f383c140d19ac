package org.halfdusk.web.subject;

import java.util.List;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;

/**
 * A subject's Sequence step, beside the list of its blocks.
 *
 * @param checks gap, card, battery and the like, each with a verdict
 * @param timer what to set on it
 */
public record SequenceStep(Because answer, Table checks, List<Line> timer) {}
