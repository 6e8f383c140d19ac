package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import biweekly.Biweekly;
import biweekly.component.VEvent;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The year of nights over HTTP: its picture, its ranking and filters, a night at several places, the calendar file. */
@Tag("slow")
class NightsPagesTest {
    private static final Pattern TICKED = Pattern.compile("name=\"night\" value=\"(\\d{4}-\\d\\d-\\d\\d)\"[^>]*type|"
            + "type=\"checkbox\" name=\"night\" value=\"(\\d{4}-\\d\\d-\\d\\d)\"");

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

    private static List<String> ranked(String query) throws Exception {
        HttpResponse<String> r = app.get("/nights?place=1" + query);
        assertEquals(200, r.statusCode(), query);
        List<String> dates = new ArrayList<>();
        Matcher m = TICKED.matcher(r.body());
        while (m.find()) {
            dates.add(m.group(1) == null ? m.group(2) : m.group(1));
        }
        return dates;
    }

    @Test
    void theBestOfEachMoonComesFirst() throws Exception {
        List<String> best = ranked("");
        assertTrue(best.get(0).startsWith("2027-06-0"), best.toString());
        assertEquals(8, best.size());
    }

    @Test
    void aTravelWindowRanksItsOwnNights() throws Exception {
        List<String> best = ranked("&from=2027-06-03&to=2027-06-12");
        assertTrue(best.size() > 4);
        assertTrue(best.stream().allMatch(d -> d.compareTo("2027-06-03") >= 0 && d.compareTo("2027-06-12") <= 0));
    }

    @Test
    void weekendsAndHours() throws Exception {
        for (String d : ranked("&weekends=true")) {
            assertTrue(List.of("FRIDAY", "SATURDAY")
                    .contains(LocalDate.parse(d).getDayOfWeek().name()));
        }
        assertTrue(ranked("&hours=5").size() < ranked("").size());
        HttpResponse<String> none = app.get("/nights?place=1&hours=20");
        assertTrue(none.body().contains("No night passes"));
        assertTrue(none.body().contains("at least 20 h"));
    }

    @ParameterizedTest
    @CsvSource({
        "'hours=many',is not a number",
        "'hours=25',is outside 0 to 24 h",
        "'from=2027-06-10&to=2027-06-01',lies before from 2027-06-10",
        "'start=2200-01-01',is outside 1950-01-01 to 2100-12-30"
    })
    void filtersThatAreRefusedSayWhy(String query, String said) throws Exception {
        HttpResponse<String> r = app.get("/nights?" + query);
        assertEquals(400, r.statusCode());
        assertTrue(r.body().contains(said), r.body());
    }

    @Test
    void theLastYearIsShorter() throws Exception {
        assertEquals(200, app.get("/nights?start=2100-12-30").statusCode());
        assertEquals(200, app.get("/nights?start=1950-01-01").statusCode());
    }

    /** A column a night; in red light nothing but red. */
    @ParameterizedTest
    @ValueSource(strings = {"desk", "field"})
    void thePictureIsAYearWide(String theme) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(
                        URI.create(app.url("/nights/carpet.png?place=1&start=2027-05-01&subject=MILKY_WAY")))
                .header("Cookie", "theme=" + theme)
                .build();
        var response = HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofInputStream());
        assertEquals("image/png", response.headers().firstValue("Content-Type").orElse(""));
        var image = ImageIO.read(response.body());
        assertEquals(366, image.getWidth());
        boolean coloured = false;
        for (int x = 0; x < image.getWidth(); x++) {
            for (int y = 0; y < image.getHeight(); y++) {
                coloured |= (image.getRGB(x, y) & 0xffff) != 0;
            }
        }
        assertEquals(theme.equals("desk"), coloured);
    }

    @Test
    void theSameNightAtThreePlaces() throws Exception {
        HttpResponse<String> r = app.get("/nights/2027-06-04?place=1&place=2&place=5&place=3");
        assertEquals(200, r.statusCode());
        assertEquals(3, r.body().split("Plan it here", -1).length - 1);
        assertEquals(1, r.body().split("the best of these", -1).length - 1);
        assertEquals(404, app.get("/nights/2027-06-04?place=77").statusCode());
        assertEquals(400, app.get("/nights/2200-01-01").statusCode());
        assertEquals(200, app.get("/nights/1950-01-01?subject=SOLAR_ECLIPSE").statusCode());
    }

    /** Read again by the library, the file has a night's window, core and moon. */
    @Test
    void nightsAsACalendarFile() throws Exception {
        HttpResponse<String> r =
                app.get("/nights/calendar.ics?subject=MILKY_WAY&place=1&night=2027-06-04&night=2027-07-03");
        assertTrue(r.headers().firstValue("Content-Type").orElse("").startsWith("text/calendar"));
        List<VEvent> events = Biweekly.parse(r.body()).first().getEvents();
        assertEquals(2, events.size());
        VEvent first = events.get(0);
        assertEquals(
                "2027-06-04T21:48",
                first.getDateStart().getValue().toInstant().toString().substring(0, 16));
        assertTrue(first.getDescription().getValue().contains("the moon down (0 % lit)"));
        assertTrue(first.getLocation().getValue().startsWith("Old Watchtower"));
        HttpResponse<String> none = app.get("/nights/calendar.ics?place=1&night=2027-12-25");
        assertEquals(400, none.statusCode());
        assertFalse(none.body().contains("BEGIN:VCALENDAR"));
    }

    @Test
    void theNightStepTellsWhenToArriveAndItsNeighbours() throws Exception {
        String page = app.get("/shoots/1/night").body();
        assertTrue(page.contains("22:49, an hour to set up"));
        assertTrue(page.contains("The band leans 70° left at 23:49"));
        assertTrue(page.contains("Sun 6 Jun") && page.contains("Wed 2 Jun"));
    }
}
