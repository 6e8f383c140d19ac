package org.halfdusk.web.trails;

import org.halfdusk.shoot.trails.TrailsNight;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.words.ReasonWords;

/** What lists of nights say of star trails. */
final class TrailsNightWords {
    private TrailsNightWords() {}

    static NightWords of(TrailsNight n) {
        String heading = n.main().map(w -> Times.span(w, n.zone())).orElseGet(() -> Words.capital(shortly(n)));
        String answer =
                n.main().map(w -> Times.duration(w.duration()) + " dark").orElseGet(() -> shortly(n));
        return new NightWords(
                heading,
                answer,
                TrailsView.sentence(n),
                whyNotMore(n),
                n.main().isPresent() ? Words.degrees(n.pole().altitude().degrees()) : "",
                ReasonWords.parts(n.score(), "hours", "pole", "moonlight"));
    }

    private static String shortly(TrailsNight n) {
        return n.obstacle()
                .map(o -> o == TrailsNight.Obstacle.NEVER_DARK ? "never dark" : "too much moonlight")
                .orElse("no window");
    }

    private static String whyNotMore(TrailsNight n) {
        if (n.main().isEmpty()) {
            return TrailsView.sentence(n);
        }
        double dark = Interval.hours(n.night().dark());
        return !Words.told(dark - n.windowHours())
                ? "all of the dark is usable"
                : "moonlight takes " + Times.duration(dark - n.windowHours()) + " of the dark";
    }
}
