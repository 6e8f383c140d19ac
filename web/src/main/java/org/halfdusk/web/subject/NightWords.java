package org.halfdusk.web.subject;

/**
 * A night in a list.
 *
 * @param heading the window, or that there is none
 * @param answer the step's few words
 * @param sentence the window with what made it
 * @param whyNotMore the one thing that costs the night most
 * @param best the subject at its best, for a narrow column
 * @param parts of the score
 */
public record NightWords(String heading, String answer, String sentence, String whyNotMore, String best, String parts) {
    /** The same with one more reason. */
    NightWords because(String more) {
        return new NightWords(
                heading, answer, sentence, whyNotMore.isEmpty() ? more : whyNotMore + "; " + more, best, parts);
    }
}
