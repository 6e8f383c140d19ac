package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.planning.Planner;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Every subject's pages: the demo's own shoots, odd places and dates, wishes that are refused, the way to a new shoot. */
@Tag("slow")
class SubjectPagesTest {
    private static final List<String> STEPS = List.of("night", "expose", "sequence");
    private static final Pattern NO_NUMBER = Pattern.compile("NaN|Infinity|>null<|Optional\\[");

    @TempDir
    static Path data;

    private static App app;
    private static Map<Subject, Long> demo;

    @BeforeAll
    static void start() {
        app = App.demo(data);
        demo = new HashMap<>();
        for (Kept<Shoot> s : app.bean(Shoots.class).list("")) {
            demo.put(s.it().subject(), s.id());
        }
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static long demo(Subject subject) {
        return demo.getOrDefault(subject, 0L);
    }

    private static String good(String path) throws Exception {
        HttpResponse<String> r = app.get(path);
        assertEquals(200, r.statusCode(), () -> path + " answers\n" + r.body());
        assertFalse(NO_NUMBER.matcher(r.body()).find(), () -> path + " shows no number:\n" + r.body());
        assertFalse(r.body().contains("style=\""), path + " has inline style");
        return r.body();
    }

    private static void has(String body, String text) {
        assertTrue(body.contains(text), () -> "no “" + text + "” in:\n" + body);
    }

    @ParameterizedTest
    @EnumSource(Subject.class)
    void theDemoHasAShootOfEachAndAllItsPages(Subject subject) throws Exception {
        for (String step : STEPS) {
            String page = good("/shoots/" + demo(subject) + "/" + step);
            has(page, "class=\"because");
            has(page, "class=\"caption\"");
        }
        good("/nights?subject=" + subject);
        has(good("/shoots/new?subject=" + subject), "best first");
    }

    private static final List<String> ODD_DATES = List.of("1950-01-01", "2028-02-29", "2100-12-30");

    /** All pairs of place and subject, and of subject and date, each date at two of the places. @param first date of the first subject */
    @ParameterizedTest
    @CsvSource({
        "78.2,15.6,Arctic/Longyearbyen,0",
        "-77.8,166.7,Antarctica/McMurdo,1",
        "0,-78.5,America/Guayaquil,2",
        "-33.9,18.4,Africa/Johannesburg,0",
        "1.9,-157.4,Pacific/Kiritimati,1",
        "90,0,UTC,2"
    })
    void oddPlacesAndDates(double latitude, double longitude, String zone, int first) throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        Planner planner = app.bean(Planner.class);
        long place = app.bean(Places.class)
                .add(new Place(
                        "Far",
                        Observer.of(latitude, longitude, 0),
                        ZoneId.of(zone),
                        SkyBrightness.of(21.5),
                        List.of(),
                        ""));
        Kept<Place> kept = app.bean(Places.class).find(place).orElseThrow();
        for (Subject subject : Subject.values()) {
            good("/nights?subject=" + subject + "&place=" + place + "&from=2027-06-01");
            good("/shoots/new?subject=" + subject + "&place=" + place + "&from=2100-11-01");
            String date = ODD_DATES.get((first + subject.ordinal()) % ODD_DATES.size());
            long id = shoots.add(planner.newShoot(
                    subject, kept, planner.suggestedRig(subject), LocalDate.parse(date), Instant.EPOCH));
            for (String step : STEPS) {
                good("/shoots/" + id + "/" + step);
            }
            shoots.delete(id);
        }
    }

    @Test
    void theFilterBannerSaysTheTruthOfThePlace() throws Exception {
        has(good("/shoots/" + demo(Subject.SOLAR_ECLIPSE) + "/expose"), "except 10:48:12 to 10:52:57.");
        Planner planner = app.bean(Planner.class);
        Shoots shoots = app.bean(Shoots.class);
        Kept<Place> place = app.bean(Places.class).list().get(0);
        long partial = shoots.add(planner.newShoot(
                Subject.SOLAR_ECLIPSE,
                place,
                planner.suggestedRig(Subject.SOLAR_ECLIPSE),
                LocalDate.of(2028, 1, 26),
                Instant.EPOCH));
        for (String step : STEPS) {
            String page = good("/shoots/" + partial + "/" + step);
            has(page, "Filter on every lens, finder and eye, all the time.");
            assertFalse(page.contains("Filter off"), step);
        }
        shoots.delete(partial);
    }

    @Test
    void fireworksAtZeroDistanceKeepWhatWasTyped() throws Exception {
        long id = demo(Subject.FIREWORKS);
        HttpResponse<String> r = app.post(
                "/shoots/" + id + "/night", Map.of("FIREWORKS_DISTANCE", "0", "was.FIREWORKS_DISTANCE", "420"));
        assertEquals(400, r.statusCode());
        has(r.body(), "Distance to the launching site 0 m is outside 1 to 50000 m.");
        has(r.body(), "name=\"FIREWORKS_DISTANCE\" value=\"0\"");
        HttpResponse<String> time = app.post(
                "/shoots/" + id + "/expose", Map.of("FIREWORKS_START", "late", "was.FIREWORKS_START", "22:30"));
        assertEquals(400, time.statusCode());
        has(time.body(), "write it as 22:30");
    }

    @Test
    void standingTooNearIsSaidInRed() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        long id = shoots.duplicate(demo(Subject.FIREWORKS)).orElseThrow();
        assertEquals(
                302,
                app.post(
                                "/shoots/" + id + "/night",
                                Map.of("FIREWORKS_DISTANCE", "90", "was.FIREWORKS_DISTANCE", "420"))
                        .statusCode());
        String page = good("/shoots/" + id + "/night");
        has(page, "Too near: go back behind the organiser");
        has(page, "data-tone=\"stop\"");
        shoots.delete(id);
    }

    @Test
    void aWishInTwoTabsIsAskedAbout() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        long id = shoots.duplicate(demo(Subject.STAR_TRAILS)).orElseThrow();
        Map<String, String> one = Map.of("TRAILS_MINUTES", "90", "was.TRAILS_MINUTES", "120");
        assertEquals(302, app.post("/shoots/" + id + "/sequence", one).statusCode());
        HttpResponse<String> r =
                app.post("/shoots/" + id + "/sequence", Map.of("TRAILS_MINUTES", "60", "was.TRAILS_MINUTES", "120"));
        assertEquals(409, r.statusCode());
        has(r.body(), "length of the trails");
        has(r.body(), "90 min");
        assertEquals(
                302,
                app.post("/shoots/" + id + "/undo", Map.of("step", "sequence")).statusCode());
        has(good("/shoots/" + id + "/sequence"), "79 frames");
        shoots.delete(id);
    }

    @Test
    void aNewShootOfASubjectIsMadeFromItsBestNight() throws Exception {
        String page = good("/shoots/new?subject=LUNAR_ECLIPSE&place=1&from=2029-01-01");
        has(page, "Thu 20 December 2029");
        HttpResponse<String> r = app.post(
                "/shoots/new",
                Map.of("subject", "LUNAR_ECLIPSE", "place", "1", "camera", "2", "lens", "4", "night", "2029-12-20"));
        assertEquals(302, r.statusCode());
        String made = r.headers().firstValue("Location").orElse("").replaceAll("^http://[^/]*", "");
        String shoot = good(made);
        has(shoot, "Lunar eclipse from Old Watchtower");
        has(shoot, "U1, shadow");
        app.post(made.replace("/night", "/delete"), Map.of());
    }

    @Test
    void anotherSubjectSuggestsItsOwnLens() throws Exception {
        String page = good("/shoots/new?subject=MOON&was=MILKY_WAY&place=1&camera=1&lens=1");
        has(page, "400 mm, 5.1° × 3.4° of sky");
        has(good("/shoots/new?subject=MOON&was=MOON&place=1&camera=1&lens=1"), "18 mm,");
    }

    @Test
    void unknownSubjectsAndKitAreExplained() throws Exception {
        assertEquals(400, app.get("/nights?subject=COMET").statusCode());
        assertEquals(404, app.get("/shoots/new?lens=99").statusCode());
        assertEquals(404, app.get("/shoots/new?place=99").statusCode());
        assertEquals(400, app.get("/shoots/new?from=yesterday").statusCode());
    }
}
