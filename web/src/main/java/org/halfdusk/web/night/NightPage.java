package org.halfdusk.web.night;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.shoot.NightsAhead;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.begin.EarlierHere;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.halfdusk.web.shoot.edit.WishForm;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.Subjects;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.weather.WeatherPart;

/** The Night step: the subject's part, and the form that moves it. */
record NightPage(
        NightStep step,
        WishForm wishes,
        WeatherPart weather,
        List<Line> skyline,
        Table neighbours,
        List<ShootEditing.Choice> places,
        String night,
        String nightError,
        String placeError,
        String notes,
        boolean everyNight,
        String before,
        String beforeWords,
        String after,
        String afterWords,
        List<EarlierHere.Visit> earlier) {

    static NightPage of(
            ShootDesk.Open open,
            Places places,
            Planner planner,
            Subjects subjects,
            EarlierHere earlier,
            Theme theme,
            FormErrors errors) {
        LocalDate date = open.shoot().it().night();
        return new NightPage(
                open.subject().night(open.plan(), open.at(), theme, open.address("night")),
                WishForm.of(open.shoot().it(), errors),
                WeatherPart.of(
                        open.forecast(),
                        open.plan(),
                        open.subject(),
                        open.shoot().it().placeId()),
                SkylineLines.of(open.plan()),
                neighbours(open, planner, subjects),
                ShootEditing.choices(
                        places.list(), Optional.of(open.shoot().it().placeId()), places::find, p -> p.name()),
                errors.of("NIGHT").isEmpty() ? date.toString() : errors.text("NIGHT"),
                errors.of("NIGHT"),
                errors.of("PLACE"),
                errors.of("NOTES").isEmpty() ? open.shoot().it().notes() : errors.text("NOTES"),
                NightsAhead.everyNight(open.shoot().it().subject()),
                date.minusDays(1).toString(),
                Times.shortDate(date.minusDays(1)),
                date.plusDays(1).toString(),
                Times.shortDate(date.plusDays(1)),
                earlier.at(open.shoot().it().placeId(), open.shoot().id()));
    }

    /** The nights either side, two each way, by the same wishes; each leads to itself. Eclipses have none. */
    private static Table neighbours(ShootDesk.Open open, Planner planner, Subjects subjects) {
        Shoot shoot = open.shoot().it();
        List<Table.Row> rows = new ArrayList<>();
        for (int i = -2; i <= 2 && NightsAhead.everyNight(shoot.subject()); i++) {
            LocalDate date = shoot.night().plusDays(i);
            if (date.isBefore(ShootField.FIRST_NIGHT) || date.isAfter(ShootField.LAST_NIGHT)) {
                continue;
            }
            SubjectNight n = planner.night(shoot.subject(), open.plan().place(), date, shoot.wish());
            rows.add(Table.Row.of(
                            i == 0,
                            Times.shortDate(date),
                            subjects.of(shoot.subject(), n).words().heading(),
                            Integer.toString(n.score().total()))
                    .to("/nights/" + date + "?subject=" + shoot.subject() + "&place=" + shoot.placeId()));
        }
        return Table.of("Nights either side", "", rows, "night", "window", "score#");
    }
}
