package org.halfdusk.web.town;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.web.App;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The town on film, the meter's field, light that is brought, marks of focus, dates of one's own. */
@Tag("slow")
class TownPagesTest {
    @TempDir
    static Path data;

    private static App app;
    private static long town;
    private static long keeper;

    @BeforeAll
    static void start() {
        app = App.demo(data);
        town = id("Harbour at blue hour");
        keeper = id("Keeper under the stars");
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static long id(String title) {
        return app.bean(Shoots.class).list("").stream()
                .filter(s -> s.it().title().equals(title))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private static Document page(String path) throws Exception {
        HttpResponse<String> r = app.get(path);
        assertEquals(200, r.statusCode(), path);
        return Jsoup.parse(r.body());
    }

    @Test
    void theRollIsCountedAndTheToneMapAddsUp() throws Exception {
        Document d = page("/shoots/" + town + "/expose");
        assertEquals(36, d.select("svg.roll rect").size());
        assertEquals(7, d.select("svg.roll rect[data-state=used]").size());
        assertEquals(3, d.select("svg.roll rect[data-state=planned]").size());
        double all = d.select("table.tones[aria-label] tr td:last-child").stream()
                .mapToDouble(e -> Double.parseDouble(e.text().replace(" %", "")))
                .sum();
        assertEquals(100, all, 0.3);
        String because = d.select("aside .because").text();
        Matcher seconds =
                Pattern.compile("slows: ([0-9.]+) s become ([0-9.]+) s").matcher(because);
        assertTrue(seconds.find(), because);
        assertEquals(
                Math.pow(Double.parseDouble(seconds.group(1)), 1.3),
                Double.parseDouble(seconds.group(2)),
                0.2,
                because);
        assertTrue(d.select("footer.caption, .caption").text().contains("film's own balance"));
    }

    @Test
    void nightsFrameProgrammePackAndJson() throws Exception {
        assertTrue(page("/shoots/" + town + "/night").select("svg.evening").size() > 0);
        assertTrue(page("/shoots/" + town + "/pack").text().contains("Lens hood"));
        assertTrue(page("/shoots/" + town + "/sequence").text().contains("3 frames"));
        page("/shoots/" + town + "/frame");
        page("/shoots/" + town + "/run");
        String nights = app.get(
                        "/api/v1/nights?lat=35.92&lon=-3.03&zone=Europe/Madrid&from=2027-06-11&to=2027-06-12&subject=TOWN")
                .body();
        assertTrue(nights.contains("\"windows\":[{"), nights);
        String plan = app.get("/api/v1/shoots/" + town + "/plan").body();
        assertTrue(plan.contains("\"aperture\":11") && plan.contains("\"iso\":400"), plan);
        assertTrue(plan.contains("\"reasons\":[{"), plan);
    }

    @Test
    void aReadingIsTakenAndNonsenseIsNamedAndKept() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        long id = shoots.duplicate(town).orElseThrow();
        String expose = "/shoots/" + id + "/expose";
        assertEquals(
                302,
                app.post(expose, Map.of("METER", "1/2 f/4 ISO 400", "was.METER", ""))
                        .statusCode());
        assertTrue(page(expose).text().contains("Your meter: EV 3.0"));
        HttpResponse<String> wrong = app.post(expose, Map.of("METER", "bright", "was.METER", "EV 3"));
        assertEquals(400, wrong.statusCode());
        Document d = Jsoup.parse(wrong.body());
        assertEquals("bright", d.select("#METER").val());
        assertTrue(d.select("#METER-wrong").text().contains("bright"));
        HttpResponse<String> plus = app.post(expose, Map.of("PLUS", "9", "was.PLUS", "0"));
        assertEquals(400, plus.statusCode());
        assertTrue(Jsoup.parse(plus.body()).select("#PLUS-wrong").text().contains("-5 to 5")
                || Jsoup.parse(plus.body()).select("#PLUS-wrong").text().contains("−5 to 5"));
        shoots.delete(id);
    }

    @Test
    void peopleAndAPaintedFace() throws Exception {
        String text = page("/shoots/" + keeper + "/expose").text();
        assertTrue(text.contains("Stars behind what is in focus at 1.6 m"), text);
        assertTrue(text.contains("kept out of the stack"));
        assertTrue(text.contains("The thing comes out"));
        String sequence = page("/shoots/" + keeper + "/sequence").text();
        assertTrue(sequence.contains("With people, not for the stack"));
        assertTrue(sequence.contains("×5 with people, then ×16"));
    }

    /** What was seen in a test frame is noted, and its one change made, by one button. */
    @Test
    void aTestFrameIsNoted() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        long id = shoots.duplicate(keeper).orElseThrow();
        Document advice = page("/shoots/" + id + "/expose/seen/THIN_CLOUD");
        Map<String, String> form = new java.util.HashMap<>();
        advice.select("form input").forEach(i -> form.put(i.attr("name"), i.val()));
        assertEquals("0.7", form.get("PLUS"));
        assertEquals(302, app.post("/shoots/" + id + "/expose", form).statusCode());
        var kept = shoots.find(id).orElseThrow().it();
        assertEquals(0.7, kept.rig().choices().scene().metered().plusStops(), 1e-9);
        assertTrue(kept.notes().contains("thin cloud lies over it, +0.7 stops"), kept.notes());
        assertTrue(kept.notes().startsWith("The keeper sits on the wall"), "what stood there stays");
        shoots.delete(id);
    }

    @Test
    void marksOfFocusAreKeptWithTheLensAndComeBack() throws Exception {
        String marks = "/shoots/" + keeper + "/frame/marks";
        assertEquals(
                302,
                app.post(marks, Map.of("mark", "tape on the 4 of 24", "celsius", "9"))
                        .statusCode());
        HttpResponse<String> wrong = app.post(marks, Map.of("mark", "second", "celsius", "cold"));
        assertEquals(400, wrong.statusCode());
        assertEquals("second", Jsoup.parse(wrong.body()).select("#mark").val());
        assertTrue(Jsoup.parse(wrong.body()).select("#mark-wrong").text().contains("cold"));
        // Another shoot through the same lens offers it.
        assertTrue(page("/shoots/" + town + "/frame").select("#marks").text().contains("tape on the 4 of 24"));
        assertTrue(app.get("/backup.json").body().contains("tape on the 4 of 24"));
        String remove = page("/shoots/" + keeper + "/frame")
                .select("#marks form[action$=remove]")
                .attr("action");
        HttpResponse<String> gone = app.post(remove, Map.of());
        assertEquals(302, gone.statusCode());
        assertFalse(page("/shoots/" + town + "/frame").select("#marks").text().contains("tape on the 4 of 24"));
        assertEquals(
                302, app.post(remove.replace("/remove", "/restore"), Map.of()).statusCode());
        assertTrue(page("/shoots/" + town + "/frame").select("#marks").text().contains("tape on the 4 of 24"));
        assertEquals(404, app.post(marks + "/99999/remove", Map.of()).statusCode());
    }

    @Test
    void datesOfOnesOwnComeBackEachYear() throws Exception {
        Map<String, String> form = new java.util.HashMap<>();
        Document settings = page("/settings");
        settings.select("form[action=/settings] input, form[action=/settings] select, form[action=/settings] textarea")
                .forEach(i -> form.put(
                        i.attr("name"),
                        i.is("select") ? i.select("option[selected]").val() : i.is("textarea") ? i.text() : i.val()));
        form.values().removeIf(java.util.Objects::isNull);
        form.put("dates", "15 August Lantern night\nno date at all");
        HttpResponse<String> refused = app.post("/settings", form);
        assertEquals(400, refused.statusCode());
        assertTrue(Jsoup.parse(refused.body()).select("#dates-wrong").text().contains("no date at all"));
        form.put("dates", "15 August Lantern night");
        assertEquals(302, app.post("/settings", form).statusCode());
        Document nights = page("/nights?subject=FIREWORKS");
        assertTrue(nights.text().contains("Lantern night"));
        form.put("was.dates", "15 August Lantern night");
        form.put("dates", "");
        app.post("/settings", form);
    }

    /** Twelve or thirteen of each; the year's nearest and farthest full moon are named, once. */
    @Test
    void phasesOfAYear() throws Exception {
        Document d = page("/nights/phases?year=2027");
        assertTrue(d.select("tbody tr").size() >= 48);
        assertEquals(1, d.select("tbody tr:contains(nearest and largest)").size());
        assertEquals(1, d.select("tbody tr:contains(farthest and smallest)").size());
        assertTrue(d.select("tbody tr:contains(nearest and largest)").text().contains("22 Jan"));
        assertEquals(400, app.get("/nights/phases?year=1700").statusCode());
    }

    @Test
    void theMoonByItselfInTheHand() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        long id = shoots.duplicate(id("Moon behind the North Light")).orElseThrow();
        assertEquals(
                302,
                app.post(
                                "/shoots/" + id + "/night",
                                Map.of(
                                        "MOON_PICTURE", "ALONE",
                                        "was.MOON_PICTURE", "LAND",
                                        "MOON_SUPPORT", "HAND",
                                        "was.MOON_SUPPORT", "TRIPOD"))
                        .statusCode());
        Document d = page("/shoots/" + id + "/expose");
        assertEquals(3, d.select("figure:has(ellipse)").size(), "chosen, a stop over, what a meter asks for");
        assertTrue(d.select("figure:has(ellipse)").get(2).text().contains("white blob"));
        assertTrue(d.text().contains("1.4×") && d.text().contains("2×"));
        assertTrue(d.select("aside").text().contains("Averaging meter"));
        assertFalse(page("/shoots/" + id + "/pack").text().contains("Remote timer"), "in the hand nothing is released");
        shoots.delete(id);
    }
}
