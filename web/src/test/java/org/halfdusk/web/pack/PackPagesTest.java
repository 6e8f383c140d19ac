package org.halfdusk.web.pack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.util.Map;
import java.util.Set;
import org.halfdusk.shoot.kept.done.PackLists;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The packing list over HTTP. */
@Tag("slow")
class PackPagesTest extends DemoPages {
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7})
    void everySubjectHasAList(long id) throws Exception {
        HttpResponse<String> r = app.get("/shoots/" + id + "/pack");
        assertEquals(200, r.statusCode());
        assertHas(r.body(), "0 of ");
    }

    @Test
    void placesCautionsStandOnTop() throws Exception {
        String page = app.get("/shoots/7/pack").body();
        assertHas(page, "Cliff edge to the north, no fence.");
        assertTrue(page.indexOf("Cliff edge") < page.indexOf("Solar film, density 5, one for every lens"));
        assertHas(page, "Never look at the sun");
    }

    @Test
    void ticksAndOwnThingsStayAndOthersTicksAreNotUndone() throws Exception {
        PackLists lists = app.bean(PackLists.class);
        app.post("/shoots/6/pack/ticks", Map.of("packed", "CAMERA,LENS"));
        // Another tab, opened before: it saw nothing ticked and ticks one more.
        app.post("/shoots/6/pack/ticks", Map.of("packed", "CARDS"));
        assertEquals(Set.of("CAMERA", "LENS", "CARDS"), lists.ticked(6));
        app.post("/shoots/6/pack/ticks", Map.of("was", "CAMERA,LENS", "packed", "LENS"));
        assertEquals(Set.of("LENS", "CARDS"), lists.ticked(6));
        assertEquals(
                302, app.post("/shoots/6/pack/own", Map.of("name", " Thermos ")).statusCode());
        String page = app.get("/shoots/6/pack").body();
        assertHas(page, "Thermos");
        assertHas(page, "2 of ");
        long own = lists.own(6).get(0).id();
        app.post("/shoots/6/pack/own/" + own + "/remove", Map.of());
        assertFalse(app.get("/shoots/6/pack").body().contains("Thermos"));
        assertHas(app.get("/shoots/6/pack?removed=" + own).body(), "It was taken off the list.");
        app.post("/shoots/6/pack/own/" + own + "/restore", Map.of());
        assertHas(app.get("/shoots/6/pack").body(), "Thermos");
    }

    @Test
    void anEmptyThingIsRefusedAndUnknownShootsToo() throws Exception {
        HttpResponse<String> r = app.post("/shoots/1/pack/own", Map.of("name", "  "));
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "Name of a thing to pack is empty; 1 to 120 characters are allowed.");
        HttpResponse<String> longName = app.post("/shoots/1/pack/own", Map.of("name", "x".repeat(121)));
        assertEquals(400, longName.statusCode());
        assertHas(longName.body(), "x".repeat(121));
        assertEquals(
                404,
                app.post("/shoots/99/pack/ticks", Map.of("packed", "CAMERA")).statusCode());
        assertEquals(404, app.get("/shoots/99/pack").statusCode());
    }
}
