package org.halfdusk.web.subject.words;

import java.time.ZoneId;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.halfdusk.time.Interval;
import org.halfdusk.weather.Clearness;
import org.halfdusk.weather.Dew;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.Spell;
import org.halfdusk.weather.WeatherHour;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Table;

/** What a forecast says of a night, in words. */
public final class WeatherWords {
    private WeatherWords() {}

    /** "cloud 8 %, wind up to 3 m/s, 17.2 °C at the coldest". */
    public static String answer(Spell s) {
        return "cloud " + Words.percent(s.cover()) + ", wind up to " + Words.tenths(s.mostWindMetresPerSecond())
                + " m/s, " + Words.celsius(s.coldestCelsius()) + " at the coldest";
    }

    /** One word for a list. */
    public static String sky(double clear) {
        return switch (Clearness.of(clear)) {
            case CLEAR -> "forecast clear";
            case PART -> "forecast part cloudy";
            case CLOUDY -> "forecast cloudy";
        };
    }

    /** What hurts and what to do against it; where nothing does, that. */
    public static List<String> warnings(Spell s, ZoneId zone) {
        List<Spell.Warning> warnings = s.warnings();
        return warnings.isEmpty()
                ? List.of("Nothing in it to hurt a picture.")
                : warnings.stream().map(w -> warning(w, zone)).toList();
    }

    private static String warning(Spell.Warning w, ZoneId zone) {
        String from = Times.clock(w.from(), zone);
        return switch (w.trouble()) {
            case CLOUD ->
                "Cloud from " + from + ", up to " + Words.percent(w.worst())
                        + " of the sky: even a little spoils stars.";
            case RAIN ->
                "Rain from " + from + ", up to " + Words.tenths(w.worst())
                        + " mm an hour: cover for the kit, or another night.";
            case DEW -> dew(w, from);
            case WIND ->
                "Wind from " + from + ", up to " + Words.tenths(w.worst()) + " m/s, where a tripod shakes from "
                        + Words.plain(Spell.SHAKY_METRES_PER_SECOND)
                        + ": hang the bag on it, keep the column down, stand in the lee.";
            case HAZE ->
                "Haze from " + from + ", sight down to " + Words.plain(w.worst()) + " km: what stands low fades.";
            case TURBULENCE ->
                "Unsteady air from " + from + ", stars blurred to " + Words.tenths(w.worst())
                        + " arcsec: through a long lens the moon swims.";
        };
    }

    private static String dew(Spell.Warning w, String from) {
        String glass = "glass cools about " + Words.degreesWarmer(Dew.GLASS_COOLING_CELSIUS)
                + " under the air and then lies " + Words.degreesWarmer(Math.abs(w.worst()))
                + (w.worst() <= 0 ? " under" : " over") + " the dew point";
        return "Dew " + (w.worst() <= 0 ? "" : "possible ") + "from " + from + ": " + glass
                + ". Warmer band on before that.";
    }

    /** Where it comes from, always said; made-up weather is called so. */
    public static String source(Forecast f, ZoneId zone) {
        String when = Times.shortDate(f.issued().atZone(zone).toLocalDate()) + " " + Times.clock(f.issued(), zone);
        return f.simulated()
                ? "Simulated forecast of " + when + ": made up by the demo, no service was asked."
                : "From " + f.source() + ", brought in " + when + ".";
    }

    private static final double MOST_HOURLY = 24;

    /** A row an hour of a night, each third hour of a longer time. */
    public static Table hours(String title, Forecast f, Interval time, ZoneId zone) {
        List<Forecast.Part> parts = f.parts(time);
        boolean days = time.hours() > MOST_HOURLY;
        Stream<Forecast.Part> shown =
                parts.stream().filter(p -> !days || p.hour().at().atZone(zone).getHour() % 3 == 0);
        return Table.of(
                title,
                "Cloud in % of the sky, low, middle, high. Dew: by how much bare glass stays over the dew point, "
                        + Words.degreesWarmer(Dew.GLASS_COOLING_CELSIUS) + " of cooling counted.",
                shown.map(p -> row(p.hour(), zone, days)).toList(),
                "time",
                "cloud#",
                "wind m/s#",
                "air#",
                "dew#",
                "sight km#",
                "blur arcsec#",
                "rain mm#");
    }

    private static Table.Row row(WeatherHour h, ZoneId zone, boolean days) {
        String time = Times.clock(h.at(), zone);
        return Table.Row.of(
                        false,
                        days ? Times.shortDate(h.at().atZone(zone).toLocalDate()) + " " + time : time,
                        whole(h.lowCloud()) + " " + whole(h.midCloud()) + " " + whole(h.highCloud()),
                        Words.tenths(h.windMetresPerSecond()),
                        Words.celsius(h.celsius()),
                        Words.degreesWarmer(h.dewMarginCelsius()),
                        or(h.visibilityKm()),
                        or(h.turbulenceArcsec()),
                        h.precipitationMm() == 0 ? "" : Words.tenths(h.precipitationMm()))
                .toned(h.clear() >= 0.5 ? "" : "caution");
    }

    private static String whole(double share) {
        return Long.toString(Math.round(100 * share));
    }

    private static String or(OptionalDouble value) {
        return value.isPresent() ? Words.plain(value.getAsDouble()) : "";
    }
}
