package org.halfdusk.web.frame;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.util.Map;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The Frame step over HTTP: drawn for every subject, aimed, and the year searched. */
class FramePagesTest extends DemoPages {
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7})
    void everySubjectHasItsFrame(long id) throws Exception {
        HttpResponse<String> r = app.get("/shoots/" + id + "/frame");
        assertEquals(200, r.statusCode());
        assertHas(r.body(), "class=\"frame-edge\"");
        assertEquals(200, app.get("/shoots/" + id + "/alignments").statusCode());
    }

    @Test
    void starsShowAtNightAndNotByDay() throws Exception {
        assertTrue(app.get("/shoots/1/frame?at=02:30").body().split("<circle cx=").length > 60);
        assertTrue(app.get("/shoots/1/frame?at=20:40").body().split("<circle cx=").length < 10);
    }

    @Test
    void anAimIsKeptChangesTheExposureAndCanBeUndone() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        HttpResponse<String> saved = app.post(
                "/shoots/1/frame", Map.of("was.AIM", "", "azimuth", "171,2", "altitude", "40", "roll", "0", "at", ""));
        assertEquals(302, saved.statusCode());
        assertEquals("171.2 40 0", shoots.fields(1).get(ShootField.AIM.name()));
        assertHas(app.get("/shoots/1/frame").body(), "As the subject asks");
        assertHas(app.get("/shoots/1/expose").body(), "18 mm level");
        assertTrue(shoots.undo(1));
        assertEquals("", shoots.fields(1).get(ShootField.AIM.name()));
    }

    @Test
    void nonsenseIsSaidAndKept() throws Exception {
        HttpResponse<String> r =
                app.post("/shoots/1/frame", Map.of("was.AIM", "", "azimuth", "south", "altitude", "40", "roll", "0"));
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "“south”");
        assertHas(r.body(), "value=\"south\"");
        HttpResponse<String> wide = app.get("/shoots/1/alignments?sideways=0.1&over=5&body=MOON&object=0&light=ANY");
        assertEquals(400, wide.statusCode());
        assertHas(wide.body(), "is outside 0.5 to 45");
    }

    @Test
    void theSeasonOfTheCoreOverTheTower() throws Exception {
        assertHas(app.get("/shoots/1/frame").body(), "Within 2° over Watchtower from");
        String season = app.get("/shoots/1/alignments").body();
        assertHas(season, "nights of 2027, the first");
        assertHas(season, "Fri 4 Jun");
        assertHas(season, ">Core over the watchtower</a>");
        assertHas(app.get("/shoots/2/alignments").body(), "nothing before the sky yet");
    }
}
