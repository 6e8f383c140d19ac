package org.halfdusk.web.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Kit over HTTP: every kind, presets, rigs and what they are used by. */
@Tag("slow")
class KitPagesTest extends DemoPages {
    @ParameterizedTest
    @EnumSource(KitKind.class)
    void everyKindHasItsFormsAndRefusesEmptyOnes(KitKind kind) throws Exception {
        assertEquals(200, app.get("/kit/" + kind.path() + "/new").statusCode());
        assertEquals(404, app.get("/kit/" + kind.path() + "/99").statusCode());
        HttpResponse<String> r = app.post("/kit/" + kind.path(), Map.of());
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "Name is empty; 1 to 80 characters are allowed.");
    }

    @Test
    void aRigFromTypicalFiguresInOneStep() throws Exception {
        int before = app.bean(Kits.class).cameras().size();
        Map<String, String> choice = Map.of("camera", "7", "lens", "11");
        assertEquals(302, app.post("/kit/preset", choice).statusCode());
        assertEquals(302, app.post("/kit/preset", choice).statusCode());
        assertEquals(before + 1, app.bean(Kits.class).cameras().size());
        assertHas(app.get("/kit").body(), "Phone main camera 50 MP, Phone main lens 6.8 mm f/1.8");
        assertEquals(
                404,
                app.post("/kit/preset", Map.of("camera", "99", "lens", "0")).statusCode());
    }

    /** Also what is wrong between two figures that are each right. */
    @Test
    void everyFaultOfACameraIsToldAtOnce() throws Exception {
        HttpResponse<String> r = app.post(
                "/kit/cameras",
                Map.ofEntries(
                        Map.entry("name", "Film"),
                        Map.entry("width", "36"),
                        Map.entry("height", "24"),
                        Map.entry("across", "6000"),
                        Map.entry("down", "4000"),
                        Map.entry("lowIso", "100"),
                        Map.entry("highIso", "400"),
                        Map.entry("film", "1.3"),
                        Map.entry("shortest", "0"),
                        Map.entry("longest", "30"),
                        Map.entry("raw", "many"),
                        Map.entry("jpeg", "10"),
                        Map.entry("buffer", "20"),
                        Map.entry("write", "100"),
                        Map.entry("frames", "0"),
                        Map.entry("minutes", "200")));
        assertEquals(400, r.statusCode());
        for (String fault : List.of(
                "ISO 100 to 400 is a range; for a film one ISO is allowed",
                "Shortest time, 1 over 0 is outside",
                "Raw file “many”",
                "Battery 0 frames is outside")) {
            assertHas(r.body(), fault);
        }
        assertHas(r.body(), "value=\"many\"");
    }

    @Test
    void aRigSaysWhatFollowsFromIt() throws Exception {
        String page = app.get("/kit/rigs/1").body();
        assertHas(page, "58.7 arcsec of sky");
        assertHas(page, "10.1 s, set 10 s, really 10.1 s");
        HttpResponse<String> wrong =
                app.post("/kit/rigs", Map.of("name", "odd", "camera", "1", "lens", "1", "focal", "50"));
        assertEquals(400, wrong.statusCode());
        assertHas(wrong.body(), "Focal length 50 mm is outside this lens&#39;s 18 to 18 mm.");
    }

    @Test
    void aMountHasItsRates() throws Exception {
        assertEquals(
                302,
                app.post("/kit/supports", Map.of("name", "Barn door", "sidereal", "on", "alignment", "30"))
                        .statusCode());
        Support s = app.bean(Rigs.class).accessories().stream()
                .map(k -> k.it())
                .filter(a -> a.name().equals("Barn door"))
                .map(Support.class::cast)
                .findFirst()
                .orElseThrow();
        assertEquals(Set.of(Support.Rate.SIDEREAL), s.rates());
        assertHas(app.get("/kit").body(), "turns sidereal; axis 30 arcmin off drifts 0.131 arcsec a second");
    }

    @Test
    void whatARigUsesIsNotDeletedAndARigComesBack() throws Exception {
        HttpResponse<String> r = app.post("/kit/supports/3/delete", Map.of());
        assertEquals(409, r.statusCode());
        assertHas(r.body(), "used by the rig Wide sky");
        assertEquals(302, app.post("/kit/rigs/2/delete", Map.of()).statusCode());
        assertTrue(app.bean(Rigs.class).rigs().stream().noneMatch(k -> k.id() == 2));
        assertHas(app.get("/kit?deleted=rigs&number=2").body(), "It was deleted.");
        assertEquals(302, app.post("/kit/rigs/2/restore", Map.of()).statusCode());
        assertTrue(app.bean(Rigs.class).rigs().stream().anyMatch(k -> k.id() == 2));
    }

    @Test
    void aShootTakesAStandingRigAndGivesItBack() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        String before = ShootField.LENS.text(shoots.find(1).orElseThrow().it());
        assertEquals(302, app.post("/shoots/1/rig", Map.of("rig", "2")).statusCode());
        assertEquals(400, shoots.find(1).orElseThrow().it().rig().focalMm());
        assertHas(app.get("/shoots/1/expose").body(), "Long reach on the mount");
        assertTrue(shoots.undo(1));
        assertEquals(before, ShootField.LENS.text(shoots.find(1).orElseThrow().it()));
        assertEquals(404, app.post("/shoots/1/rig", Map.of("rig", "99")).statusCode());
    }

    @Test
    void aSecondRigHasItsOwnPagesAndIsPacked() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        String page = app.get("/shoots/7/rig2/expose").body();
        assertHas(page, "Full frame 33 MP, 24 mm");
        assertHas(page, "href=\"/shoots/7/rig2/sequence?at=");
        assertHas(app.get("/shoots/7/pack").body(), "Full frame 33 MP with 24–70 mm f/2.8");
        HttpResponse<String> saved = app.post(
                "/shoots/7/rig2/expose",
                Map.of(
                        "was.FOCAL",
                        ShootField.FOCAL.text(shoots.find(7, 1).orElseThrow().it()),
                        "FOCAL",
                        "35"));
        assertEquals(302, saved.statusCode());
        assertTrue(saved.headers().firstValue("Location").orElseThrow().endsWith("/shoots/7/rig2/expose"));
        assertEquals(35, shoots.find(7, 1).orElseThrow().it().rig().focalMm());
        assertEquals(400, shoots.find(7).orElseThrow().it().rig().focalMm());
        assertEquals(
                302, app.post("/shoots/7/rigs", Map.of("of", "0", "rig", "1")).statusCode());
        assertEquals(18, shoots.find(7, 2).orElseThrow().it().rig().focalMm());
        assertEquals(302, app.post("/shoots/7/rigs/2/remove", Map.of()).statusCode());
        assertEquals(404, app.get("/shoots/7/rig3/expose").statusCode());
        assertHas(app.get("/shoots/7/expose?removed=2").body(), "The rig was taken off.");
        assertEquals(302, app.post("/shoots/7/rigs/2/restore", Map.of()).statusCode());
        assertEquals(200, app.get("/shoots/7/rig3/night").statusCode());
        assertEquals(404, app.post("/shoots/7/rigs/0/remove", Map.of()).statusCode());
    }
}
