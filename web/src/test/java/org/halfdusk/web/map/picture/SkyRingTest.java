package org.halfdusk.web.map.picture;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The sky as a ring about a place on the map. */
@Tag("slow")
class SkyRingTest extends DemoPages {
    private static final Pattern CORE =
            Pattern.compile("<circle r=\"6\" class=\"ring-core\" cx=\"([\\d.]+)\" cy=\"([\\d.]+)\"");

    /** At 03:01 the core stands due south, 25° up: 150 · 65/90 under the middle of the sheet, 620, 260. */
    @Test
    void theCoreStandsWhereItIs() throws Exception {
        String page = app.get("/map?place=1&night=2027-06-05&hour=3:01%20am").body();
        Matcher m = CORE.matcher(page);
        assertTrue(m.find(), "no core");
        assertEquals(620, Double.parseDouble(m.group(1)), 3);
        assertEquals(260 + 150 * 65 / 90.0, Double.parseDouble(m.group(2)), 2);
        assertHas(page, "core 25° up");
        assertHas(page, "sunset 21:26");
        assertHas(page, "value=\"03:01\"");
        assertFalse(page.contains("map-ray"), "no rays");
    }

    /** By evening the core is down: its place is empty and the words say so. */
    @Test
    void whatIsDownIsNotDrawn() throws Exception {
        String page = app.get("/map?place=1&night=2027-06-05&hour=20:00").body();
        assertFalse(CORE.matcher(page).find());
        assertHas(page, "The sky over Old Watchtower at 20:00");
    }

    @Test
    void anHourThatIsNoneIsSaid() throws Exception {
        for (String hour : List.of("late", "25:00", "%3Cb%3E")) {
            HttpResponse<String> answer = app.get("/map?place=1&night=2027-06-05&hour=" + hour);
            assertEquals(400, answer.statusCode());
            assertHas(answer.body(), "is no time of this night");
        }
    }
}
