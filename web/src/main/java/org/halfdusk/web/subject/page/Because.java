package org.halfdusk.web.subject.page;

/** An answer and its reason. */
public record Because(String heading, String answer, String reason) {
    /** The same with more of a reason, as a sentence after a space; or nothing. */
    public Because and(String more) {
        return new Because(heading, answer, reason + more);
    }
}
