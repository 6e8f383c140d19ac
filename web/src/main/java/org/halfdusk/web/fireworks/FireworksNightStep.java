package org.halfdusk.web.fireworks;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.fireworks.FireworksNight;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Show;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Night step says of a show. */
final class FireworksNightStep {
    private FireworksNightStep() {}

    static NightStep of(FireworksPlan plan, Instant at, Theme theme, String address) {
        FireworksNight n = plan.night();
        Show show = plan.show();
        List<Line> times = new ArrayList<>();
        times.add(new Line("Show", Times.span(n.show(), n.zone())));
        times.add(new Line("Finale from", Times.clock(n.show().end().minus(show.finale()), n.zone())));
        times.add(new Line("Direction of the site", Words.azimuth(show.azimuth().degrees())));
        times.add(new Line("Distance", Words.metres(show.distanceMetres())));
        times.add(new Line("Sound arrives after", Words.seconds(show.soundLagSeconds())));
        times.addAll(ReasonWords.sunAndDark(n.night()));
        times.addAll(ReasonWords.moon(n.night()));
        return new NightStep(
                FireworksNightWords.of(n).heading(),
                List.of(
                        FireworksNightWords.sentence(
                                n,
                                n.sky()
                                        .at(Body.SUN, n.show().start())
                                        .altitude()
                                        .degrees()),
                        view(plan)),
                "fireworks/pictures",
                BurstsPicture.of(plan),
                times,
                Table.of(
                        "Shells",
                        "Working figures of the field; wide-opening shells reach the larger width.",
                        FireworksView.shells(show),
                        "calibre",
                        "breaks at#",
                        "up#",
                        "opens to#",
                        "wide#"),
                at(plan, at),
                List.of(
                        "Stand upwind, so that smoke drifts off. Come early, own a clear line of sight; take chair, water, lamp "
                                + "and ear protection.",
                        "Never return to a dud. Organiser, fire service and local rules come first."));
    }

    private static String view(FireworksPlan plan) {
        FireworksPlan.View v = plan.suggested();
        String wish = "The show fits " + Math.round(v.focalMm()) + " mm " + (v.upright() ? "upright" : "level")
                + " at the longest";
        return plan.held()
                ? wish + "; your " + Words.plain(plan.rig().focalMm()) + " mm holds it up to "
                        + Words.wholeDegrees(plan.upperEdgeDegrees()) + "."
                : wish + "; your " + Words.plain(plan.rig().focalMm())
                        + " mm cuts the largest bursts: shorter lens, or farther back.";
    }

    private static NightStep.At at(FireworksPlan plan, Instant at) {
        FireworksNight n = plan.night();
        Interval show = n.show();
        Instant finale = plan.finaleBegins();
        String heading = at.isBefore(show.start())
                ? "Before the show"
                : !at.isBefore(show.end()) ? "After the show" : at.isBefore(finale) ? "The show" : "Finale";
        String sentence = at.isBefore(show.start())
                ? "Take the town alone, focus on a far lamp, tape the ring."
                : !at.isBefore(show.end())
                        ? "Look at the frames before you pack; never go near duds."
                        : at.isBefore(finale)
                                ? "Open on the climbing spark, close as it fades: "
                                        + ReasonWords.line(plan.setting(FireworksPlan.Scene.BREAK)) + "."
                                : "Shorter and a stop less: "
                                        + ReasonWords.line(plan.setting(FireworksPlan.Scene.FINALE)) + ".";
        return new NightStep.At(
                heading,
                sentence,
                List.of(
                        ReasonWords.body("Sun", n.sky(), Body.SUN, at),
                        ReasonWords.body("Moon", n.sky(), Body.MOON, at)));
    }
}
