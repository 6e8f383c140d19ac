package org.halfdusk.web.layout;

import org.halfdusk.web.layout.words.Words;

/**
 * One page of a long list.
 *
 * @param counted which of how many stand on it; empty where all do, or none
 * @param before the page before, and after that behind it; 0 where there is none
 */
public record PageOfList(String counted, int before, int after) {
    /** @param number of the page, from 1 @param rows of a full page @param of how many the whole list has */
    public static PageOfList of(int number, int rows, int of) {
        int first = (number - 1) * rows + 1;
        int last = Math.min(of, number * rows);
        return new PageOfList(
                of <= rows || last < first ? "" : first + " to " + last + " of " + Words.thousands(of),
                number - 1,
                last < of ? number + 1 : 0);
    }

    /** @throws IllegalArgumentException where there is no page of that number */
    public static void check(int number, int last) {
        if (number < 1 || number > last) {
            throw new IllegalArgumentException("page " + number + " is outside 1 to " + last);
        }
    }
}
