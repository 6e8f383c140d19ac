package org.halfdusk.web.review;

import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.review.Afterwards;
import org.halfdusk.shoot.review.Softness;
import org.halfdusk.web.picture.FramesFolder;
import org.halfdusk.web.review.frames.BringIn;
import org.halfdusk.web.subject.page.Line;

/**
 * The Review step.
 *
 * @param action where its forms go
 * @param summary what of the plan was taken
 * @param offset what is proposed where all frames are off alike
 * @param bring how more are brought in
 * @param sheet the frames, a page of them
 */
record ReviewPage(
        String action,
        String summary,
        Optional<LanePicture> lane,
        Optional<Offset> offset,
        Bring bring,
        Sheet sheet,
        Optional<Chosen> chosen,
        Optional<Sky> sky,
        List<Line> lessons,
        List<Line> goneBy,
        List<Asked> causes,
        String series,
        List<Line> noted,
        Afterwards afterwards,
        List<String> offers,
        String wrong) {
    public boolean empty() {
        return sheet.of() == 0;
    }

    /** @param seconds as the form sends them */
    record Offset(String sentence, String seconds) {}

    /**
     * @param folders of the folder that was named at start
     * @param named whether one was named
     * @param running a job's own
     */
    record Bring(List<FramesFolder.Listed> folders, boolean named, Optional<Progress> running) {}

    /** @param told whether there is anything to say: what went through without a hitch shows itself */
    record Progress(String words, int done, int of, boolean running, boolean told, List<BringIn.Refused> refused) {}

    /** @param pages numbers of its pages, where there are several */
    record Sheet(List<Thumb> thumbs, int of, int page, List<Integer> pages) {}

    record Thumb(long id, String href, String label, String words, boolean chosen, String tone) {}

    /** An ellipse over the frame, px of the preview's own grid of a thousand across. */
    record Ellipse(String cx, String cy, String rx, String ry, String rotate, String tone) {}

    record Star(String href, String name, String words, String tone) {}

    /**
     * The frame that is looked at.
     *
     * @param width and height of its drawing
     * @param enlarged how many times larger than life its stars are drawn
     */
    record Chosen(
            long id,
            String label,
            String caption,
            int width,
            int height,
            List<Ellipse> shapes,
            String enlarged,
            String headline,
            String change,
            String because,
            List<String> spoilt,
            List<Star> stars,
            List<Line> facts,
            List<String> wrong,
            String choice,
            int rating,
            String note,
            String before,
            String after) {}

    /**
     * Measured beside predicted.
     *
     * @param measured outline over 332 by 56
     * @param predicted the same; empty without a plan's sky
     */
    record Sky(String measured, String predicted, String peak, String said, List<String> more) {}

    /** One of the six causes. @param question asked where the picture cannot tell; empty otherwise */
    record Asked(String cause, String name, String answer, String tone, String question) {
        /** @param asked whether a person may say */
        static Asked of(Softness.Answer a, boolean asked) {
            return new Asked(
                    a.cause().name(),
                    ReviewWords.cause(a.cause()),
                    ReviewWords.answer(a),
                    a.found() == Softness.Found.YES || a.found() == Softness.Found.CORNERS_ONLY
                            ? "yes"
                            : a.found() == Softness.Found.ASK ? "ask" : "",
                    asked ? ReviewWords.question(a.cause()) : "");
        }
    }
}
