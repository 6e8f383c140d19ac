package org.halfdusk.web.map;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The map's page: coasts, villages, brightness, darker ground, an eclipse's path, a frame's wedge. */
@Tag("slow")
class MapPagesTest extends DemoPages {
    private static final Pattern LAND = Pattern.compile("class=\"map-land\" d=\"([^\"]*)\"");

    private String land(String query) throws Exception {
        Matcher m = LAND.matcher(app.get("/map/sheet?" + query).body());
        assertTrue(m.find());
        return m.group(1);
    }

    /** Close views hold the coast's small points, and no view sends a continent's hundred thousand. */
    @Test
    void coastsAreCloserWhenOneComesNearAndNeverTooMany() throws Exception {
        String bay = land("lat=36.8&lon=-2.4&zoom=10");
        assertTrue(bay.split("l").length > 60, () -> bay.split("l").length + " points");
        for (int zoom = 1; zoom <= 17; zoom++) {
            int length = land("lat=41.0&lon=29.0&zoom=" + zoom).length();
            assertTrue(length < 250_000, zoom + ": " + length);
        }
        assertTrue(land("lat=-30&lon=-110&zoom=12").length() < 3000, "far from all coasts little is drawn");
        assertFalse(land("lat=68&lon=180&zoom=5").isEmpty(), "over the antimeridian");
    }

    @Test
    void villagesAreNamedWithTheirPeople() throws Exception {
        String sheet = app.get("/map/sheet?lat=36.95&lon=-3.35&zoom=11").body();
        assertTrue(Pattern.compile("village, \\d,\\d{3}<").matcher(sheet).find());
        assertTrue(Pattern.compile("class=\"map-town\"[^>]* r=\"[\\d.]+\"")
                .matcher(sheet)
                .find());
    }

    /** Bright over the city, nothing over the open sea; red alone in Field. */
    @Test
    void brightnessIsPaintedOverTheLand() throws Exception {
        BufferedImage madrid = picture("/map/glow.png?lat=40.42&lon=-3.70&zoom=9");
        int middle = madrid.getRGB(madrid.getWidth() / 2, madrid.getHeight() / 2);
        assertTrue((middle >>> 24) > 180, () -> Integer.toHexString(middle));
        BufferedImage sea = picture("/map/glow.png?lat=-30&lon=-110&zoom=9");
        assertEquals(0, sea.getRGB(sea.getWidth() / 2, sea.getHeight() / 2) >>> 24);
        assertEquals(400, app.get("/map/glow.png?lat=400&lon=0&zoom=9").statusCode());
    }

    private BufferedImage picture(String path) throws Exception {
        return ImageIO.read(new ByteArrayInputStream(app.bytes(path)));
    }

    @Test
    void darkerGroundIsListedWithItsWay() throws Exception {
        String page =
                app.get("/map?lat=36.84&lon=-2.46&zoom=10&darker=21&within=50").body();
        assertHas(page, "Darker than 21 within 50 km");
        assertTrue(
                Pattern.compile("\\d+(\\.\\d)? km [NS]?[EW]? of ").matcher(page).find());
        assertHas(page, "/places/new?latitude=3");
        assertHas(
                app.get("/map?lat=40.42&lon=-3.70&zoom=10&darker=21.8&within=5").body(),
                "No ground within 5 km is darker than 21.8.");
        var refused = app.get("/map?lat=40.42&lon=-3.70&zoom=10&darker=30&within=0");
        assertEquals(400, refused.statusCode());
        assertHas(refused.body(), "30");
        assertHas(refused.body(), "21.9");
        assertHas(refused.body(), "200");
        assertHas(refused.body(), "value=\"30\"");
    }

    @Test
    void anEclipsesPathTellsWhatThePlaceHas() throws Exception {
        String page = app.get("/map?place=1&eclipse=2027-08-02").body();
        assertHas(page, "Total eclipse of Mon 2 August 2027");
        assertTrue(Pattern.compile("At Old Watchtower it lasts 4 min 5\\d s")
                .matcher(page)
                .find());
        assertHas(page, "Never look at the sun without an approved filter");
        assertHas(page, "class=\"map-path\"");
        assertHas(page, "class=\"map-centre\"");
        assertHas(page, "class=\"map-terminator\"");
        assertHas(page, "Across the path near here");
        assertHas(
                app.get("/map?place=1&eclipse=2027-05-06").body(),
                "No eclipse of the sun is total or annular on Thu 6 May 2027");
        assertEquals(400, app.get("/map?place=1&eclipse=soon").statusCode());
    }

    @Test
    void theFrameIsAWedgeWithItsEdges() throws Exception {
        String page = app.get("/map?place=1&night=2027-06-05&hour=3:00&frame=1").body();
        assertHas(page, "class=\"ring-wedge\"");
        assertEquals(2, page.split("frame edge \\d+°").length - 1);
        assertHas(page, "is aimed at 180°");
        assertFalse(app.get("/map?place=1&night=2027-06-05&frame=x").body().contains("ring-wedge"));
        assertEquals(404, app.get("/map?place=1&frame=99999").statusCode());
    }

    /** The strip's moment comes back as the strip writes it. */
    @Test
    void theNightsClockStandsOnTheMap() throws Exception {
        String page =
                app.get("/map?place=1&night=2027-06-05&at=2027-06-06T01:00:00Z").body();
        assertHas(page, "At 03:00 the core stands 25° up in the south");
        assertHas(page, "data-at=\"2027-06-06T01:00:00Z\"");
        assertHas(page, "data-ask=");
        assertEquals(
                400,
                app.get("/map?place=1&night=2027-06-05&at=2027-07-06T01:00:00Z").statusCode());
    }
}
