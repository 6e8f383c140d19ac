package org.halfdusk.web.settings;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.PackLists;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.web.App;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Settings hold everywhere at once; a backup goes out of one file and into another without doubles. */
@Tag("slow")
class SettingsPagesTest {
    private static final Instant NIGHT = Instant.parse("2027-06-05T00:10:00Z");

    @TempDir
    Path data;

    @TempDir
    Path other;

    private static Map<String, String> form(String... more) {
        Map<String, String> form = new HashMap<>(Map.of(
                "length",
                "metres",
                "temperature",
                "celsius",
                "clock",
                "24",
                "budget",
                "2.6",
                "isoSchool",
                "PROTECT_COLOURS",
                "lowestCore",
                "10",
                "place",
                "",
                "rig",
                ""));
        for (int i = 0; i < more.length; i += 2) {
            form.put(more[i], more[i + 1]);
        }
        return form;
    }

    private static void assertHas(String page, String text) {
        assertTrue(page.contains(text), () -> "no “" + text + "” in:\n" + page);
    }

    @Test
    void unitsSchoolsAndBeginningsHoldAtOnceAndAfterARestart() throws Exception {
        try (App app = App.demo(data)) {
            assertHas(app.get("/shoots/1/night").body(), "sunset 21:25");
            assertHas(app.get("/places/1").body(), "64 m");
            HttpResponse<String> saved = app.post(
                    "/settings",
                    form(
                            "length",
                            "feet",
                            "clock",
                            "12",
                            "budget",
                            "1,5",
                            "isoSchool",
                            "LIFT_AT_CAMERA",
                            "lowestCore",
                            "20",
                            "place",
                            "2",
                            "rig",
                            "1"));
            assertEquals(302, saved.statusCode());
            String night = app.get("/shoots/1/night").body();
            assertHas(night, "sunset 9:25 pm");
            assertHas(night, "type=\"time\" value=\"03:");
            assertHas(app.get("/places/1").body(), "210 ft");
            assertHas(app.get("/nights").body(), "<h1><span>When is it dark enough</span> at <span>Salt Pans");
            app.post("/nights/plan", Map.of("subject", "MILKY_WAY", "place", "2", "night", "2027-06-05"));
            Shoot fresh = app.bean(Shoots.class).list("").stream()
                    .max(Comparator.comparing(Kept::id))
                    .orElseThrow()
                    .it();
            assertEquals(1.5, fresh.rig().wishes().budgetPx());
            assertEquals(IsoSchool.LIFT_AT_CAMERA, fresh.rig().wishes().isoSchool());
            assertEquals(MilkyWayWish.core(20), fresh.wish());
        }
        try (App app = App.demo(data)) {
            assertHas(app.get("/shoots/1/night").body(), "sunset 9:25 pm");
        }
    }

    /** What the form with a field holds, as a browser would send it. */
    private static Map<String, String> fieldsAround(App app, String page, String name) throws Exception {
        Map<String, String> fields = new HashMap<>();
        Elements forms = Jsoup.parse(app.get(page).body()).select("form[method=post]:has([name='" + name + "'])");
        forms.select("input[name], select[name], textarea[name]")
                .forEach(e -> fields.put(e.attr("name"), e.is("textarea") ? e.wholeText() : value(e)));
        return fields;
    }

    private static String value(Element e) {
        Elements chosen = e.select("option[selected]");
        return e.is("select") && chosen.isEmpty() ? e.select("option").val() : e.is("select") ? chosen.val() : e.val();
    }

    /** In feet and °F a field says so, a bare number counts so, and a number that nobody touched stays to the last digit. */
    @Test
    void fieldsAreInTheUnitsThatAreSettled() throws Exception {
        try (App app = App.demo(data)) {
            Places places = app.bean(Places.class);
            Place before = places.find(1).orElseThrow().it();
            app.post("/settings", form("length", "feet", "temperature", "fahrenheit"));
            Map<String, String> place = fieldsAround(app, "/places/1", "elevation");
            assertEquals("203.41", place.get("elevation"));
            assertEquals(302, app.post("/places/1", place).statusCode());
            assertEquals(before, places.find(1).orElseThrow().it(), "nothing was touched");
            place = fieldsAround(app, "/places/1", "elevation");
            place.put("elevation", "200");
            place.put("object.0.height", "16 m");
            assertEquals(302, app.post("/places/1", place).statusCode());
            Place after = places.find(1).orElseThrow().it();
            assertEquals(60.96, after.observer().elevationMetres(), 1e-9);
            assertEquals(16, after.objects().get(0).heightMetres(), 1e-9);
            place = fieldsAround(app, "/places/1", "elevation");
            place.put("elevation", "high");
            HttpResponse<String> refused = app.post("/places/1", place);
            assertEquals(400, refused.statusCode());
            assertHas(refused.body(), "value=\"high\"");

            Map<String, String> air = fieldsAround(app, "/shoots/1/sequence", "CELSIUS");
            air.put("CELSIUS", "50");
            app.post("/shoots/1/sequence", air);
            assertEquals(
                    "50", fieldsAround(app, "/shoots/1/sequence", "CELSIUS").get("CELSIUS"));
            assertHas(app.get("/shoots/1/sequence").body(), "50 °F");
            app.post("/settings", form());
            assertEquals(
                    "10", fieldsAround(app, "/shoots/1/sequence", "CELSIUS").get("CELSIUS"));

            Map<String, String> fireworks = fieldsAround(app, "/shoots/2/night", "FIREWORKS_DISTANCE");
            String metres = fireworks.get("FIREWORKS_DISTANCE");
            app.post("/settings", form("length", "feet"));
            fireworks = fieldsAround(app, "/shoots/2/night", "FIREWORKS_DISTANCE");
            assertEquals(
                    Double.parseDouble(metres) / 0.3048, Double.parseDouble(fireworks.get("FIREWORKS_DISTANCE")), 0.01);
        }
    }

    @Test
    void nonsenseIsNamedAndKept() throws Exception {
        try (App app = App.demo(data)) {
            HttpResponse<String> r = app.post("/settings", form("budget", "wide", "lowestCore", "80", "place", "77"));
            assertEquals(400, r.statusCode());
            assertHas(r.body(), "Trail budget “wide” is not a number");
            assertHas(r.body(), "value=\"80\"");
            assertHas(r.body(), "Place number “77” is not known");
        }
    }

    @Test
    void aBackupMergesWithoutDoubles() throws Exception {
        String backup;
        try (App app = App.demo(data)) {
            app.bean(PackLists.class).tick(1, "CAMERA", true);
            long own = app.bean(PackLists.class).add(1, "Thermos");
            app.bean(PackLists.class).tick(1, "own." + own, true);
            app.bean(RunLog.class)
                    .merge(1, List.of(new RunEntry("phone-0001", NIGHT, 0, RunEntry.Kind.NOTE, "", "dew at two")));
            long camera =
                    app.bean(Shoots.class).find(1).orElseThrow().it().rig().cameraId();
            app.bean(RunLog.class).clock(camera, new ClockOffset(1.2, NIGHT));
            backup = app.get("/backup.json").body();
            HttpResponse<String> again = app.upload("/backup", "file", "b.json", backup);
            assertEquals(200, again.statusCode());
            assertHas(again.body(), "0 things were added");
        }
        try (App app = App.empty(other)) {
            // Something is there already, so that the numbers differ.
            app.post("/places", Map.of("name", "Home", "latitude", "40", "longitude", "-3", "elevation", "600"));
            HttpResponse<String> r = app.upload("/backup", "file", "b.json", backup);
            assertEquals(200, r.statusCode(), r.body());
            assertEquals(6, app.bean(Places.class).list().size());
            assertEquals(11, app.bean(Shoots.class).list("").size());
            assertEquals(4, app.bean(Kits.class).cameras().size());
            assertEquals(2, app.bean(Rigs.class).rigs().size());
            long core = app.bean(Shoots.class).list("Core over").get(0).id();
            Shoot shoot = app.bean(Shoots.class).find(core).orElseThrow().it();
            assertHas(
                    app.bean(Places.class)
                            .find(shoot.placeId())
                            .orElseThrow()
                            .it()
                            .name(),
                    "Old Watchtower");
            assertEquals(2, app.bean(PackLists.class).ticked(core).size());
            assertHas(app.get("/shoots/" + core + "/pack").body(), "2 of ");
            app.upload("/backup", "file", "b.json", backup);
            assertEquals(
                    List.of("dew at two"),
                    app.bean(RunLog.class).entries(core).stream()
                            .map(RunEntry::text)
                            .toList());
            assertEquals(
                    new ClockOffset(1.2, NIGHT),
                    app.bean(RunLog.class).clocks().get(shoot.rig().cameraId()));
            assertEquals(6, app.bean(Places.class).list().size());
            assertEquals(11, app.bean(Shoots.class).list("").size());
        }
    }

    @Test
    void whatIsNoBackupChangesNothing() throws Exception {
        try (App app = App.demo(data)) {
            for (String text : new String[] {
                "",
                "{}",
                "{\"format\": \"half-dusk backup\", \"version\": 9}",
                "not json",
                app.get("/backup.json").body().replace("\"skyBrightness\" : 21.4", "\"skyBrightness\" : 99"),
                app.get("/backup.json").body().replace("\"placeId\" : 1", "\"placeId\" : 4711")
            }) {
                HttpResponse<String> r = app.upload("/backup", "file", "b.json", text);
                assertEquals(400, r.statusCode());
                assertHas(r.body(), "Nothing was changed.");
                assertFalse(r.body().contains("Exception"));
            }
            assertEquals(11, app.bean(Shoots.class).list("").size());
        }
    }
}
