package org.halfdusk.web.practice;

import java.util.List;
import java.util.Optional;
import org.halfdusk.web.layout.drawing.Ground;
import org.halfdusk.web.layout.drawing.Scene;
import org.halfdusk.web.subject.page.Line;

/**
 * The practice of a fireworks shoot.
 *
 * @param address where it is
 * @param query of this exercise
 * @param json what the script plays from
 * @param choices of difficulty
 * @param shots newest first, as many as fit a row unless all are asked for
 * @param more how many there are in all
 * @param hand what the hand does over the session; nothing before the first frame
 * @param together picture of the frames that were chosen; empty where none are
 * @param cues a show as somebody typed it
 * @param wrong why it is not played; empty where it is
 */
record PracticePage(
        String address,
        String query,
        List<PracticeForm.Part> parts,
        String json,
        String viewBox,
        Scene.Box frame,
        Ground ground,
        String frameWords,
        String about,
        String planned,
        String setting,
        List<Choices> choices,
        List<Shot> shots,
        int more,
        boolean all,
        Optional<Hand> hand,
        String together,
        String cues,
        String wrong,
        String open,
        String close,
        String shutterWrong) {
    /** @param name of what is chosen */
    record Choices(String name, List<Choice> choices) {}

    record Choice(String words, String href, boolean chosen) {}

    record Shot(
            long number,
            String picture,
            String large,
            String verdict,
            String tone,
            String held,
            String when,
            String sentence,
            boolean chosen) {}

    record Hand(PracticeWords.Said said, List<Line> rows, String going) {}
}
