package org.halfdusk.web.night;

import java.time.LocalDate;
import java.util.List;
import org.halfdusk.shoot.Places;
import org.halfdusk.shoot.Planner;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.shoot.NightsAhead;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.ShootEditing;
import org.halfdusk.web.shoot.WishForm;
import org.halfdusk.web.subject.NightStep;

/** The Night step: the subject's part, and the form that moves it. */
record NightPage(
        NightStep step,
        WishForm wishes,
        List<ShootEditing.Choice> places,
        String night,
        String nightError,
        String placeError,
        String notes,
        boolean everyNight,
        String before,
        String beforeWords,
        String after,
        String afterWords) {

    static NightPage of(ShootDesk.Open open, Places places, Planner planner, Theme theme, FormErrors errors) {
        LocalDate date = open.shoot().it().night();
        String selected = Long.toString(open.shoot().it().placeId());
        return new NightPage(
                open.subject().night(open.plan(), open.at(), theme, open.address("night")),
                WishForm.of(
                        planner.of(open.shoot().it().subject()).wishFields(),
                        open.shoot().it(),
                        errors),
                ShootEditing.choices(
                        places.list(), places.find(open.shoot().it().placeId()), p -> p.name(), selected),
                errors.of("NIGHT").isEmpty() ? date.toString() : errors.text("NIGHT"),
                errors.of("NIGHT"),
                errors.of("PLACE"),
                errors.of("NOTES").isEmpty() ? open.shoot().it().notes() : errors.text("NOTES"),
                NightsAhead.everyNight(open.shoot().it().subject()),
                date.minusDays(1).toString(),
                Words.shortDate(date.minusDays(1)),
                date.plusDays(1).toString(),
                Words.shortDate(date.plusDays(1)));
    }
}
