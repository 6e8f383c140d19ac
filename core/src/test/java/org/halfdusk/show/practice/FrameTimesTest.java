package org.halfdusk.show.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.IntStream;
import org.halfdusk.show.shells.Calibre;
import org.halfdusk.show.shells.Choreographer;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.show.shells.ShellKind;
import org.halfdusk.show.shells.Tint;
import org.junit.jupiter.api.Test;

/** Times counted on shows. */
class FrameTimesTest {
    private static final Choreographer TOWN = new Choreographer(new Calibre(75), new Calibre(150), 1200, 120);

    /** One peony every twelve seconds: opened 1.1 s before its break, three quarters of its burning must be held. */
    @Test
    void theTimeForSingleShellsIsClimbAndMostOfTheBurning() {
        Calibre calibre = new Calibre(125);
        List<Cue> cues = IntStream.range(0, 20)
                .mapToObj(i -> new Cue(12.0 * i, ShellKind.PEONY, calibre, Tint.RED, 0, 0))
                .toList();
        FrameTimes best = FrameTimes.best(FrameTimes.tried(new CueSheet(cues, 1e9, 240), CueSheet.Part.BODY, 1.1, 3));
        double needed = 1.1 + 0.75 * calibre.burnSeconds();
        assertTrue(best.seconds() >= needed && best.seconds() < needed + 0.5, best::toString);
        assertEquals(1, best.kept());
        assertEquals(1, best.breaks());
    }

    @Test
    void aFinaleAsksForLessTimeThanTheBody() {
        CueSheet sheet = TOWN.made(3);
        FrameTimes body = FrameTimes.best(FrameTimes.tried(sheet, CueSheet.Part.BODY, 1.1, 3));
        FrameTimes finale = FrameTimes.crowded(FrameTimes.tried(sheet, CueSheet.Part.FINALE, 0.3, 0.5));
        assertTrue(finale.seconds() < body.seconds(), body + " " + finale);
        assertTrue(body.kept() > 0.5, body::toString);
    }
}
