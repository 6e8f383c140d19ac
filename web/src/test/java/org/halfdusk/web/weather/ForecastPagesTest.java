package org.halfdusk.web.weather;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.Map;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The forecast over HTTP: made-up weather is named so, a file replaces it, what cannot be read changes nothing. */
@Tag("slow")
class ForecastPagesTest extends DemoPages {
    /** Hours of one sky for the night of 31 May 2027. */
    private static String csv(int cloud) {
        StringBuilder csv = new StringBuilder("time,cloud,wind,temperature,dew_point\n");
        Instant start = Instant.parse("2027-05-31T18:00:00Z");
        for (int i = 0; i < 14; i++) {
            csv.append(start.plusSeconds(i * 3600L)).append(',').append(cloud).append(",9,14,12.5\n");
        }
        return csv.toString();
    }

    private static String nightPage() throws Exception {
        HttpResponse<String> planned =
                app.post("/nights/plan", Map.of("subject", "MILKY_WAY", "place", "1", "night", "2027-05-31"));
        return app.get(planned.headers()
                        .firstValue("Location")
                        .orElseThrow()
                        .substring(app.url("").length()))
                .body();
    }

    @Test
    void aFileScoresTheNightAndWarns() throws Exception {
        String before = nightPage();
        assertHas(before, "Simulated forecast of");
        assertHas(before, "cloud, simulated");
        assertEquals(
                302,
                app.upload("/places/1/forecast", "file", "mine.csv", csv(80)).statusCode());
        String page = nightPage();
        assertFalse(page.contains("imulated forecast"));
        assertHas(page, "From mine.csv, brought in Mon 24 May");
        assertHas(page, "Forecast cloudy: cloud 80");
        assertHas(page, "up to 9.0 m/s, where a tripod shakes from 8");
        assertHas(page, "1.5 °C under the dew point. Warmer band on before that.");
        assertHas(app.get("/nights").body(), "forecast cloudy");
        assertEquals(302, app.post("/places/1/forecast/forget", Map.of()).statusCode());
        assertHas(nightPage(), "Simulated forecast of");
    }

    @Test
    void whatCannotBeReadIsSaidAndKept() throws Exception {
        HttpResponse<String> r = app.post("/places/2/forecast", Map.of("text", "time,cloud\n2027-06-04T22:00,5"));
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "Row 1: temperature is missing.");
        assertHas(r.body(), "2027-06-04T22:00,5");
        HttpResponse<String> huge = app.upload("/places/2/forecast", "file", "huge.csv", "x".repeat(1_200_000));
        assertEquals(400, huge.statusCode());
        assertHas(huge.body(), "The file has 1200 kB; up to 1000 kB are allowed");
        assertEquals(404, app.get("/places/99/forecast").statusCode());
    }

    @Test
    void anEclipseYearsAheadHasNone() throws Exception {
        assertHas(app.get("/shoots/4/night").body(), "No forecast reaches this night.");
    }
}
