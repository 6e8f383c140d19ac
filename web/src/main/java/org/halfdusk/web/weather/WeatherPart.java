package org.halfdusk.web.weather;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.Plan;
import org.halfdusk.time.Interval;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.Spell;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.Subjects;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.WeatherWords;

/**
 * The weather of a shoot's night.
 *
 * @param source where it comes from, or that nothing is known
 */
public record WeatherPart(String answer, List<String> warnings, Table hours, String source, String address) {
    /** An hour before the window and after it, in which people walk and set up. */
    private static final int AROUND_SECONDS = 3600;

    /** How much there is to heed, for the top of the page. */
    public String hint() {
        return warnings.size() == 1 ? warnings.get(0) : warnings.size() + " warnings below.";
    }

    public static WeatherPart of(Optional<Forecast> forecast, Plan plan, Subjects.Bound<?, ?> subject, long placeId) {
        String address = "/places/" + placeId + "/forecast";
        Interval window = plan.night().main().orElse(plan.night().axis());
        Interval shown = Interval.of(
                window.start().minusSeconds(AROUND_SECONDS), window.end().plusSeconds(AROUND_SECONDS));
        Optional<Spell> spell = forecast.flatMap(f -> f.during(window));
        if (forecast.isEmpty() || spell.isEmpty()) {
            return new WeatherPart(
                    "No forecast reaches this night.",
                    List.of(),
                    Table.of("", "", List.of(), "time"),
                    forecast.map(f -> "The one at hand ends "
                                    + Times.shortDate(f.hours()
                                            .get(f.hours().size() - 1)
                                            .at()
                                            .atZone(plan.place().zone())
                                            .toLocalDate())
                                    + ".")
                            .orElse("None was brought in for this place."),
                    address);
        }
        Forecast f = forecast.orElseThrow();
        Spell s = spell.orElseThrow();
        List<String> warnings =
                new ArrayList<>(WeatherWords.warnings(s, plan.place().zone()));
        warnings.addAll(subject.weather(plan, s));
        return new WeatherPart(
                Words.capital(WeatherWords.sky(s.clear())) + ": " + WeatherWords.answer(s) + ".",
                warnings,
                WeatherWords.hours("Hour by hour", f, shown, plan.place().zone()),
                WeatherWords.source(f, plan.place().zone()),
                address);
    }
}
