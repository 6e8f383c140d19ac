package org.halfdusk.web.subject;

import java.util.List;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;

/**
 * A subject's Expose step.
 *
 * @param fragment template that draws the picture
 * @param answer the main number with its reason
 * @param table beside it
 * @param reasons of the other numbers
 * @param picture what it draws
 * @param asked which of the common wishes are
 * @param widest what an aperture that is not fixed is called
 */
public record ExposeStep(
        String fragment,
        Object picture,
        Because answer,
        Table table,
        List<Because> reasons,
        Asked asked,
        String widest) {
    /** Which of the common wishes the subject has a use for. */
    public record Asked(boolean budget, boolean skyPlacement) {}
}
