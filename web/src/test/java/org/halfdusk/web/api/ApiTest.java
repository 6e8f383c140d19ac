package org.halfdusk.web.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import org.halfdusk.web.App;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The JSON contract over HTTP. */
@Tag("slow")
class ApiTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @TempDir
    static Path data;

    private static App app;

    @BeforeAll
    static void start() {
        app = App.demo(data);
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static JsonNode get(String path) throws Exception {
        HttpResponse<String> r = app.get("/api/v1" + path);
        assertEquals(200, r.statusCode(), r.body());
        assertTrue(r.headers().firstValue("Content-Type").orElse("").startsWith("application/json"));
        return JSON.readTree(r.body());
    }

    private static JsonNode refused(String path) throws Exception {
        HttpResponse<String> r = app.get("/api/v1" + path);
        assertEquals(400, r.statusCode(), r.body());
        assertEquals(
                "application/problem+json",
                r.headers().firstValue("Content-Type").orElse(""));
        return JSON.readTree(r.body());
    }

    @Test
    void workedExposure() throws Exception {
        JsonNode e = get("/exposure/sky?skyBrightness=21.4&aperture=2&seconds=20&iso=2500");
        assertEquals(5.01, e.get("stopsUnderClipping").asDouble(), 0.005);
        assertEquals(0.206, e.get("histogramPosition").asDouble(), 0.0005);
    }

    @Test
    void workedSharpness() throws Exception {
        JsonNode s = get("/sharpness?focalLength=18&aperture=2&pixelPitch=5.12&crop=1&declination=0")
                .get("schools");
        assertEquals("NPF_1", s.get(2).get("name").asString());
        assertEquals(5.87, s.get(2).get("seconds").asDouble(), 0.005);
        assertEquals(25, s.get(0).get("dial").asDouble());
        assertEquals(25.4, s.get(0).get("realSeconds").asDouble(), 0.01);
    }

    /** The first row of the reference positions: Lisbon, 2026-04-09. */
    @Test
    void sunOfTheReference() throws Exception {
        JsonNode sun = get("/sky?lat=38.72&lon=-9.14&at=2026-04-09T13:58:52.081Z&deltaT=68.8678")
                .get("sun");
        assertEquals(54.0539705, sun.get("altitude").asDouble(), 0.5 / 3600);
        assertEquals(215.6497848, sun.get("azimuth").asDouble(), 0.5 / 3600);
        assertEquals(18.2100177, sun.get("rightAscension").asDouble(), 0.5 / 3600);
        assertTrue(sun.get("refractedAltitude").asDouble() > sun.get("altitude").asDouble());
    }

    @Test
    void eventsOfOneDayInOrderAndByType() throws Exception {
        String day = "/events?lat=35.95&lon=-3.05&from=2027-06-04T12:00:00Z&to=2027-06-05T12:00:00Z";
        JsonNode all = get(day).get("events");
        String before = "";
        for (JsonNode e : all) {
            assertTrue(before.compareTo(e.get("at").asString()) <= 0);
            before = e.get("at").asString();
        }
        // All but the moon's transit, which falls before noon and after the next.
        assertEquals(13, all.size());
        JsonNode two = get(day + "&types=SUNSET,SUNRISE").get("events");
        assertEquals(2, two.size());
        assertEquals(-50 / 60.0, two.get(0).get("altitude").asDouble(), 0.5 / 3600);
    }

    @Test
    void everyWrongParameterIsNamed() throws Exception {
        JsonNode p = refused("/sky?lat=97&lon=x&at=2200&deltaT=999").get("parameters");
        Set<String> names = new TreeSet<>();
        p.forEach(w -> names.add(w.get("name").asString() + "=" + w.get("value").asString()));
        assertEquals(Set.of("lat=97", "lon=x", "at=2200", "deltaT=999"), names);
        refused("/events?lat=1&lon=1&from=2027-01-01T00:00:00Z&to=2029-01-01T00:00:00Z");
        refused("/events?lat=1&lon=1&from=2027-01-01T00:00:00Z&to=2027-02-01T00:00:00Z&types=BREAKFAST");
        refused("/sharpness?focalLength=18&aperture=0&pixelPitch=5&crop=1&declination=NaN");
        refused("/exposure/sky?skyBrightness=21&aperture=2&seconds=1&iso=-100");
    }

    @Test
    void starsByName() throws Exception {
        JsonNode stars = get("/sky?lat=35.95&lon=-3.05&at=2027-06-04T22:00:00Z").get("stars");
        assertTrue(stars.size() >= 16);
        assertEquals(35.95, stars.get("Polaris").get("altitude").asDouble(), 0.7);
    }

    @Test
    void nightsWithTheirWindowsAndScores() throws Exception {
        JsonNode a =
                get("/nights?lat=35.95&lon=-3.05&zone=Europe/Madrid&from=2027-06-04&to=2027-06-18&subject=MILKY_WAY");
        assertEquals("Europe/Madrid", a.get("zone").asString());
        assertEquals(15, a.get("nights").size());
        JsonNode newMoon = a.get("nights").get(0);
        assertEquals(1, newMoon.get("windows").size());
        assertTrue(newMoon.get("score").asInt() > 90);
        assertTrue(newMoon.get("sunsetWhy").isNull());
        JsonNode fullMoon = a.get("nights").get(14);
        assertEquals(0, fullMoon.get("windows").size());
        assertEquals(0, fullMoon.get("score").asInt());
        assertTrue(fullMoon.get("why").asString().contains("is up for all of the dark"));
    }

    @Test
    void polarNightsSayWhyATimeIsMissing() throws Exception {
        JsonNode june = get("/nights?lat=70&lon=25&from=2027-06-21&to=2027-06-21")
                .get("nights")
                .get(0);
        assertTrue(june.get("sunset").isNull() && june.get("darkFrom").isNull());
        assertTrue(june.get("darkFromWhy").asString().contains("never dark"));
        JsonNode december = get("/nights?lat=70&lon=25&from=2027-12-21&to=2027-12-21")
                .get("nights")
                .get(0);
        assertTrue(december.get("sunriseWhy").asString().contains("stays down"));
        refused("/nights?lat=70&lon=25&from=2027-01-01&to=2029-01-01");
        refused("/nights?lat=70&lon=25&from=2027-01-01&to=2027-01-02&zone=Mars/Base&subject=BREAKFAST");
    }

    @Test
    void phasesOfAMonth() throws Exception {
        JsonNode m = get("/moon/phases?from=2027-06-01T00:00:00Z&to=2027-07-01T00:00:00Z");
        assertEquals(4, m.get("phases").size());
        assertEquals("NEW", m.get("phases").get(0).get("phase").asString());
        assertTrue(m.get("phases").get(0).get("at").asString().startsWith("2027-06-04T19:"));
        assertTrue(m.get("apsides").get(0).get("distanceKm").asDouble() > 356_000);
    }

    @Test
    void eclipsesOfTheMoonWithAPlace() throws Exception {
        JsonNode e = get("/eclipses/lunar?from=2028-12-01T00:00:00Z&to=2029-12-31T00:00:00Z&lat=35.95&lon=-3.05")
                .get("eclipses");
        // 31 December 2028, total, rises eclipsed; 26 June and 20 December 2029, total.
        assertEquals(3, e.size());
        assertEquals("TOTAL", e.get(0).get("type").asString());
        assertTrue(e.get(0).get("moonAltitude").get("p1").asDouble() < 0);
        assertTrue(e.get(2).get("moonAltitude").get("greatest").asDouble() > 60);
        JsonNode placeless = get("/eclipses/lunar?from=2029-12-01T00:00:00Z&to=2029-12-31T00:00:00Z")
                .get("eclipses");
        assertTrue(placeless.get(0).get("moonAltitude").isNull());
    }

    @Test
    void theEclipseOfAugust2027() throws Exception {
        JsonNode e = get("/eclipses/solar?lat=35.978&lon=-3.041&from=2027-01-01T00:00:00Z&to=2028-01-01T00:00:00Z")
                .get("eclipses");
        JsonNode total = e.get(e.size() - 1);
        assertEquals("TOTAL", total.get("type").asString());
        assertTrue(total.get("durationSeconds").asDouble() > 200);
        assertTrue(total.get("sun").get("c2").get("altitude").asDouble() > 30);
        refused("/eclipses/solar?lat=35.978&lon=-3.041&from=2028-01-01T00:00:00Z&to=2027-01-01T00:00:00Z");
    }

    @Test
    void answersAtThePoleAreNumbers() throws Exception {
        String body = get("/sharpness?focalLength=8&aperture=2&pixelPitch=5&crop=1&declination=90")
                        .toString()
                + get("/sky?lat=90&lon=0&at=2027-06-04T00:00:00Z");
        assertTrue(!body.contains("NaN") && !body.contains("Infinity"), body);
    }

    @Test
    void theDescriptionHasEveryPathAndNoOther() throws Exception {
        Set<String> described = new TreeSet<>(get("/openapi.json").get("paths").propertyNames());
        Set<String> mapped = new TreeSet<>();
        app.bean(RequestMappingHandlerMapping.class).getHandlerMethods().forEach((info, method) -> {
            for (String pattern : info.getPatternValues()) {
                if (pattern.startsWith("/api/v1/") && !pattern.endsWith("openapi.json")) {
                    mapped.add(pattern.substring("/api/v1".length()));
                }
            }
        });
        assertEquals(mapped, described);
    }

    @Test
    void shootsAndTheirPlansAtAnyMoment() throws Exception {
        JsonNode shoots = get("/shoots").get("shoots");
        assertTrue(shoots.size() >= 6);
        String last = "9999";
        for (JsonNode s : shoots) {
            assertTrue(s.get("night").asString().compareTo(last) <= 0, "the latest night first");
            last = s.get("night").asString();
            JsonNode own = get("/shoots/" + s.get("id").asInt() + "/plan");
            assertEquals(own.get("at"), own.get("programme"));
            assertTrue(own.get("reasons").size() >= 3);
            JsonNode programme = get("/shoots/" + s.get("id").asInt() + "/programme");
            assertTrue(programme.get("blocks").size() > 0);
            assertEquals(0, programme.get("budget").get("dropped").size());
        }
        // The core's night: dusk asks for more than two stops less than the middle of the night.
        JsonNode dusk = get("/shoots/1/plan?at=2027-06-04T20:20:00Z");
        JsonNode night = get("/shoots/1/plan?at=2027-06-05T01:00:00Z");
        assertTrue(light(night) > light(dusk) + 2);
        assertFalse(dusk.get("visible").asBoolean());
    }

    private static double light(JsonNode plan) {
        double f = plan.get("aperture").asDouble();
        return Math.log(plan.get("realSeconds").asDouble() * plan.get("iso").asDouble() / (f * f)) / Math.log(2);
    }

    @Test
    void aShootThatIsNotThereAndAMomentOfAnotherNight() throws Exception {
        assertEquals(404, app.get("/api/v1/shoots/999/plan").statusCode());
        assertEquals(404, app.get("/api/v1/shoots/1/programme?rig=5").statusCode());
        assertEquals(
                "at",
                refused("/shoots/1/plan?at=2027-06-09T20:20:00Z")
                        .get("parameters")
                        .get(0)
                        .get("name")
                        .asString());
        assertEquals(
                "rig",
                refused("/shoots/1/plan?rig=7")
                        .get("parameters")
                        .get(0)
                        .get("name")
                        .asString());
        assertEquals(
                "rig",
                refused("/shoots/1/plan?rig=1.5")
                        .get("parameters")
                        .get(0)
                        .get("name")
                        .asString());
    }

    /** Required parameters of the description are those whose absence is refused. */
    @Test
    void theDescriptionsRequiredParametersAreRequired() throws Exception {
        JsonNode paths = get("/openapi.json").get("paths");
        for (String path : paths.propertyNames()) {
            if (paths.get(path).get("get") == null) {
                continue;
            }
            Set<String> required = new TreeSet<>();
            for (JsonNode p : paths.get(path).get("get").get("parameters")) {
                if (p.get("required").asBoolean() && p.get("in").asString().equals("query")) {
                    required.add(p.get("name").asString());
                }
            }
            if (required.isEmpty()) {
                continue;
            }
            Set<String> missed = new TreeSet<>();
            refused(path)
                    .get("parameters")
                    .forEach(w -> missed.add(w.get("name").asString()));
            assertTrue(missed.containsAll(required), path + " refuses " + missed + ", described " + required);
        }
    }
}
