package org.halfdusk.web.layout.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The strip over every step of a shoot, as it comes to a browser. */
@Tag("slow")
class NightStripTest extends DemoPages {
    private static final Pattern LABEL = Pattern.compile(
            "<text class=\"svg-label[^\"]*\" y=\"13\" x=\"([\\d.]+)%\" text-anchor=\"(\\w+)\">([^<]*)</text>");
    private static final Pattern LINE = Pattern.compile("class=\"(?:moon|core)-line\" d=\"([^\"]*)\"");
    private static final double PIXELS = 1240;
    private static final double LETTER_PX = 6.2;

    private static String page(long shoot, String at) throws Exception {
        return app.get("/shoots/" + shoot + "/night?at=" + at).body();
    }

    /** No arc is cut flat at the top, however high the moon or the sun stands. */
    @ParameterizedTest
    @CsvSource({"3, 2028-12-31T22:00:00Z", "4, ''", "7, 2027-08-02T09:00:00Z", "1, ''", "6, ''"})
    void arcsAreWhole(long shoot, String at) throws Exception {
        Matcher m = LINE.matcher(page(shoot, at));
        int lines = 0;
        while (m.find()) {
            lines++;
            String before = "";
            for (String point : m.group(1).split("[ML]")) {
                String y = point.contains(" ") ? point.split(" ")[1] : "";
                assertTrue(y.isEmpty() || Double.parseDouble(y) >= 3.9, "over the top: " + y);
                boolean flat = !y.isEmpty() && y.equals(before) && Double.parseDouble(y) < 5;
                assertTrue(!flat, "cut at the top");
                before = y;
            }
        }
        assertTrue(lines > 0, "no line at all");
    }

    /** Labels keep apart from one another and from the playhead, wherever that is dragged. */
    @ParameterizedTest
    @CsvSource({
        "1, 2027-06-04T21:10:00Z",
        "1, 2027-06-05T01:00:00Z",
        "1, 2027-06-05T03:00:00Z",
        "1, 2027-06-04T19:20:00Z",
        "3, 2028-12-31T23:40:00Z",
        "5, 2027-07-18T19:50:00Z",
        "2, 2027-08-15T20:30:00Z"
    })
    void labelsNeverOverlap(long shoot, String at) throws Exception {
        Matcher m = LABEL.matcher(page(shoot, at));
        double last = Double.NEGATIVE_INFINITY;
        int labels = 0;
        while (m.find()) {
            labels++;
            double x = Double.parseDouble(m.group(1)) / 100 * PIXELS;
            double width = m.group(3).length() * LETTER_PX;
            double left = switch (m.group(2)) {
                case "start" -> x;
                case "end" -> x - width;
                default -> x - width / 2;
            };
            assertTrue(left > last, m.group(3) + " overlaps the label before it");
            last = left + width;
        }
        assertTrue(labels > 0, "no label at all");
    }

    /** The hour that clocks repeat is named on the strip of its night. */
    @ParameterizedTest
    @CsvSource({"2027-10-30, clocks back 03:00", "2027-03-27, clocks forward 03:00"})
    void theChangeOfClocksIsMarked(LocalDate night, String words) throws Exception {
        String there = app.post(
                        "/shoots/new",
                        java.util.Map.of("subject", "STAR_TRAILS", "place", "1", "night", night.toString()))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        String page = app.get(there.replaceAll("https?://[^/]+", "")).body();
        List<String> labels = LABEL.matcher(page).results().map(r -> r.group(3)).toList();
        assertTrue(
                labels.stream().anyMatch(l -> l.startsWith(words.substring(0, words.length() - 6))), labels.toString());
        assertEquals(labels.stream().distinct().count(), labels.size());
    }

    /** On Sequence the strip frames the part of the night that the lanes show; on the other steps nothing is framed. */
    @ParameterizedTest
    @CsvSource({"1", "3", "4", "5", "6", "7"})
    void whatTheLanesShowIsFramed(long shoot) throws Exception {
        assertTrue(!page(shoot, "").contains("data-within"), "framed on Night");
        String html = app.get("/shoots/" + shoot + "/sequence").body();
        List<Long> axis = between(html, "data-strip");
        List<Long> lanes = between(html, "data-timeline");
        Matcher m = Pattern.compile("strip-within\"[^>]* x=\"([\\d.]+)%\" width=\"([\\d.]+)%\"")
                .matcher(html);
        assertTrue(m.find(), "no frame");
        double length = axis.get(1) - axis.get(0);
        double from = Math.max(0, (lanes.get(0) - axis.get(0)) / length * 100);
        double to = Math.min(100, (lanes.get(1) - axis.get(0)) / length * 100);
        assertEquals(from, Double.parseDouble(m.group(1)), 0.02);
        assertEquals(to - from, Double.parseDouble(m.group(2)), 0.02);
    }

    private static List<Long> between(String html, String what) {
        Matcher m = Pattern.compile(what + "[^>]*? data-from=\"([^\"]*)\" data-to=\"([^\"]*)\"")
                .matcher(html);
        assertTrue(m.find(), "no " + what);
        return List.of(
                Instant.parse(m.group(1)).toEpochMilli(),
                Instant.parse(m.group(2)).toEpochMilli());
    }
}
