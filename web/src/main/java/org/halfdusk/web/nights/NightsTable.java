package org.halfdusk.web.nights;

import java.time.ZoneId;
import java.util.List;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.search.Carpet;
import org.halfdusk.sky.events.Darkness;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.Rising;
import org.halfdusk.web.layout.words.Html;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.Subjects;
import org.halfdusk.web.subject.words.ReasonWords;

/** All nights of a carpet as rows of a table, the text that stands for the picture. */
final class NightsTable {
    private NightsTable() {}

    static String of(Carpet carpet, Subject subject, Subjects subjects, long placeId) {
        List<SubjectNight> nights =
                carpet.columns().stream().map(Carpet.Column::night).toList();
        int most = nights.stream().mapToInt(n -> n.score().total()).max().orElse(0);
        StringBuilder html = new StringBuilder(nights.size() * 320);
        for (SubjectNight n : nights) {
            boolean good = n.main().isPresent() && n.score().goodBeside(most);
            html.append(good ? "<tr data-good=\"true\"><td>" : "<tr><td>")
                    .append("<a href=\"/nights/")
                    .append(n.date())
                    .append("?subject=")
                    .append(subject)
                    .append("&amp;place=")
                    .append(placeId)
                    .append("\">")
                    .append(Times.shortDate(n.date()))
                    .append("</a></td>");
            for (String cell : cells(n, subjects.of(subject, n).words())) {
                html.append("<td>").append(Html.escaped(cell)).append("</td>");
            }
            html.append("</tr>");
        }
        return html.toString();
    }

    private static List<String> cells(SubjectNight n, NightWords words) {
        ZoneId zone = n.zone();
        String sunset = "";
        String dark = "";
        String moon = "";
        if (n instanceof AfterDark a) {
            Night night = a.night();
            sunset = sunset(night, zone);
            dark = night.darkness() instanceof Darkness.Dark d ? Times.span(d.interval(), zone) : "never dark";
            moon = Words.percent(night.moonPhase().illuminatedFraction());
        }
        return List.of(
                sunset,
                dark,
                n.main().map(w -> Times.span(w, zone)).orElse(""),
                ReasonWords.usable(n),
                words.best(),
                moon,
                Integer.toString(n.score().total()),
                words.whyNotMore());
    }

    private static String sunset(Night night, ZoneId zone) {
        if (night.sun() instanceof Rising.Crosses c) {
            return c.sets().map(t -> Times.clock(t, zone)).orElse("none");
        }
        return night.sun() instanceof Rising.AlwaysUp ? "never sets" : "never rises";
    }
}
