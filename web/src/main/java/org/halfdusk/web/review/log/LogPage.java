package org.halfdusk.web.review.log;

import java.util.List;
import org.halfdusk.shoot.review.Afterwards;

/**
 * The log of all shoots, or of those at a place, or in a night.
 *
 * @param query that was searched for
 * @param only what it is narrowed to, in words; empty for all
 * @param compared figures side by side, where it is narrowed
 */
record LogPage(
        String query,
        String only,
        String exported,
        List<Entry> entries,
        List<Compared> compared,
        Year year,
        int frames) {
    /** @param picture number of the frame that stands for it; 0 for none */
    record Entry(
            long id,
            String title,
            String href,
            String night,
            String place,
            String placeHref,
            String nightHref,
            String subject,
            String kit,
            String said,
            long picture,
            Afterwards afterwards,
            List<String> noted) {}

    /** One shoot's medians. */
    record Compared(String title, String href, String night, String sky, String star, String trail, String kept) {}

    /** A year in one picture: a row a month, a column a day. */
    record Year(int year, List<String> months, List<Cell> cells, String words, int before, int after) {}

    /** @param moon how much of the moon is lit, as the opacity of the cell */
    record Cell(String x, String y, String moon, String tone, String href, String title) {}
}
