package org.halfdusk.web.subject;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.halfdusk.web.DemoPages;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What every subject answers in its own words, by the shoots of the demo: the line of its steps, the night, the exposure and what is made of
 * it. A number that changes here changes for a person; whether it should is told by the tests of the core.
 */
@Tag("slow")
class WordsOfSubjectsTest extends DemoPages {
    private static Document page(int shoot, String step) throws Exception {
        return Jsoup.parse(app.get("/shoots/" + shoot + "/" + step).body());
    }

    private static List<String> answers(Document page) {
        return page.select(".steps .answer").eachText();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
        1  | 5 h 20 m dark, no moon   | aim 180°, 43° up | 8 s f/2 ISO 1250     | 16 frames to stack       | 17 things to take | 3 steps by hand
        2  | show at 22:30            | aim 128°, 17° up | 3.5 s f/11 ISO 100   | bulb, about 217 frames   | 17 things to take | 5 steps by hand
        3  | total, 71 min            | aim 66°, 5° up   | 1/200 to 0.4 s       | 26 frames                | 20 things to take | 16 steps by hand
        4  | total, 54 min            | aim 118°, 67° up | 1/320 to 0.5 s       | 110 frames               | 19 things to take | 42 steps by hand
        5  | rises 21:35, 10 min      | aim 119°, 1° up  | 1/125 s f/8 ISO 2500 | 5 brackets               | 16 things to take | 2 steps by hand
        6  | 11 h 07 m dark           | aim 0°, 34° up   | 90 s f/4 ISO 400     | 79 frames, 30.0° of arc  | 19 things to take | 3 steps by hand
        7  | total, 4 min 56 s        | aim 97°, 41° up  | 1/800 to 0.3 s       | 454 frames               | 18 things to take | 22 steps by hand
        10 | 23 min from 21:55        | aim 120°, 5° up  | 6 s f/11 ISO 400     | 3 frames on film         | 16 things to take | 2 steps by hand
        11 | 5 h 10 m dark, no moon   | aim 180°, 35° up | 2.5 s f/2 ISO 2500   | 16 frames to stack       | 17 things to take | 4 steps by hand
        """)
    void theLineOfSteps(int shoot, String night, String frame, String expose, String sequence, String pack, String run)
            throws Exception {
        List<String> said = answers(page(shoot, "night"));
        assertEquals(List.of(night, frame, expose, sequence, pack, run, "no frames yet"), said);
        for (String step : List.of("frame", "expose", "sequence", "pack")) {
            assertEquals(said, answers(page(shoot, step)), "told alike on " + step);
        }
    }

    /** The large answer of the night, what is so at the playhead, the exposure with its caption, and the whole sequence. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
        1  | 23:49 to 05:08                    | Core 25.0° up, 180°         | Trails 2.2 px in the middle, 3.5 px in the worst corner | 16 frames, 158 s
        2  | Show 22:30 to 22:50               | The show                    | Noise reduction off: it would block the camera as long again after each frame | About 217 frames
        3  | Total, 18:12 to 19:37             | 86 % covered                | At 18:39; every phase has its own setting | 26 frames
        4  | Total, 21:55 to 01:29             | Totality                    | At greatest eclipse; every phase has its own setting | 110 frames
        5  | 21:39 to 21:48                    | Moon 1.9° up, 119.4°        | Ten-second timer or a remote: at 400 mm a touch shows | 5 brackets of 3
        6  | 19:46 to 06:52                    | Sky 20.6 mag/arcsec²        | Gaps are hidden: 0.3 px at the most, 15 % darker | 2 h 00 m, 30.0° of arc
        7  | Total, 4 min 56 s, maximum 10:51  | Filter off, totality        | Clocks of all cameras to the second before first contact | 454 frames
        10 | 21:55 to 22:18                    | Sky and lit fronts are alike | Lamps clip, shadows hold   | 1 bracket of 3
        11 | 23:21 to 04:31                    | Core 25.0° up, 180°         | Trails 1.3 px in the middle, 1.5 px in the worst corner | 16 frames, 125 s
        """)
    void theLargeAnswers(int shoot, String night, String now, String verdict, String sequence) throws Exception {
        List<String> ofNight =
                page(shoot, "night").select("main .answer, .side .answer").eachText();
        assertEquals(List.of(night, now), ofNight.subList(0, 2));
        Document expose = page(shoot, "expose");
        assertTrue(expose.text().contains(verdict), expose.text());
        assertEquals(
                sequence,
                page(shoot, "sequence").select("main .answer, .side .answer").eachText().stream()
                        .reduce((a, b) -> b)
                        .orElseThrow());
    }
}
