package org.halfdusk.web.fireworks;

import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.fireworks.FireworksNight;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.events.DayPart;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.words.ReasonWords;

/** What lists of nights say of a show. */
final class FireworksNightWords {
    private FireworksNightWords() {}

    static NightWords of(FireworksNight n) {
        double sun = n.sky().at(Body.SUN, n.show().start()).altitude().degrees();
        return new NightWords(
                "Show " + Times.span(n.show(), n.zone()),
                "show at " + Times.clock(n.show().start(), n.zone()),
                sentence(n, sun),
                switch (DayPart.of(sun)) {
                    case DAY, CIVIL_TWILIGHT -> "the sky is not dark yet";
                    case NAUTICAL_TWILIGHT -> "the sky is still blue";
                    case ASTRONOMICAL_TWILIGHT, NIGHT -> moonShortly(n);
                },
                Words.wholeDegrees(sun),
                ReasonWords.parts(n.score(), "dark while it lasts", "depth of night", "no moon"));
    }

    private static String moonShortly(FireworksNight n) {
        HorizontalPosition moon = n.sky().at(Body.MOON, n.show().middle());
        return moon.altitude().degrees() < 0
                ? "moon down"
                : "moon " + Words.percent(n.night().moonPhase().illuminatedFraction()) + " lit";
    }

    static String sentence(FireworksNight n, double sun) {
        HorizontalPosition moon = n.sky().at(Body.MOON, n.show().middle());
        String sky = switch (DayPart.of(sun)) {
            case DAY -> "The sun is still up when it begins: sparks hardly draw.";
            case CIVIL_TWILIGHT -> "The sky is bright when it begins: the first bursts have a blue ground.";
            case NAUTICAL_TWILIGHT -> "The sky is a deep blue when it begins.";
            case ASTRONOMICAL_TWILIGHT, NIGHT -> "The sky is dark.";
        };
        String lit = Words.percent(n.night().moonPhase().illuminatedFraction()) + " lit";
        return sky + " The moon, " + lit + ", "
                + (moon.altitude().degrees() < 0
                        ? "is down."
                        : "stands " + ReasonWords.place(moon) + "; it does not hurt sparks.");
    }
}
