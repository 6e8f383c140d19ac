package org.halfdusk.web.subject.words;

import java.time.ZoneId;
import org.halfdusk.shoot.search.EclipseInSight;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;

/** An eclipse that falls into what is planned for something else. */
public final class EclipseWords {
    private EclipseWords() {}

    /** "total eclipse of the moon, 21:55 to 01:29". */
    public static String line(EclipseInSight e, ZoneId zone) {
        return name(e) + ", " + Times.clock(e.seen().start(), zone) + " to "
                + Times.clock(e.seen().end(), zone);
    }

    /** "total eclipse of the moon". */
    public static String name(EclipseInSight e) {
        String kind = switch (e.kind()) {
            case PENUMBRAL -> "penumbral";
            case PARTIAL -> "partial";
            case TOTAL -> "total";
            case ANNULAR -> "annular";
        };
        return kind + " eclipse of the " + (e.ofTheMoon() ? "moon" : "sun");
    }

    /** What it does to the picture of whoever plans something else. */
    public static String sentence(EclipseInSight e, ZoneId zone) {
        String times = Words.capital(line(e, zone)) + ", greatest at " + Times.clock(e.greatest(), zone) + ".";
        return e.ofTheMoon()
                ? times + " The moon darkens, and the sky with it; settings on these pages follow."
                : times + " Never look at or photograph the sun without its filter.";
    }
}
