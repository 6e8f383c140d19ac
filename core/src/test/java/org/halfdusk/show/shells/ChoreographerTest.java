package org.halfdusk.show.shells;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Shows made up from a seed. */
class ChoreographerTest {
    private static final Choreographer TOWN = new Choreographer(new Calibre(75), new Calibre(150), 1200, 120);

    @Test
    void aSeedGivesOneShow() {
        assertEquals(TOWN.made(14), TOWN.made(14));
        assertNotEquals(TOWN.made(14), TOWN.made(15));
    }

    @Property(tries = 200)
    void holdsWhatItWasAskedFor(
            @ForAll long seed,
            @ForAll @DoubleRange(min = 1, max = 5000) double seconds,
            @ForAll @DoubleRange(min = 0, max = 1) double finale,
            @ForAll @DoubleRange(min = 20, max = 610) double largest) {
        Calibre small = new Calibre(Math.min(75, largest));
        CueSheet sheet = new Choreographer(small, new Calibre(largest), seconds, seconds * finale).made(seed);
        double was = 0;
        for (Cue c : sheet.cues()) {
            assertTrue(c.seconds() >= was && c.seconds() <= seconds, c::toString);
            assertTrue(c.calibre().mm() >= small.mm() && c.calibre().mm() <= largest, c::toString);
            was = c.seconds();
        }
        assertTrue(sheet.cues().size() <= CueSheet.MOST);
    }

    @Test
    void aFinaleIsDense() {
        CueSheet sheet = TOWN.made(7);
        double body = sheet.of(CueSheet.Part.BODY).size() / (1200 - 120 - CueSheet.OPENING_SECONDS);
        double finale = sheet.of(CueSheet.Part.FINALE).size() / 120.0;
        assertTrue(finale > 5 * body, finale + " shells a second against " + body);
        assertTrue(sheet.of(CueSheet.Part.FINALE).stream().anyMatch(c -> c.kind() == ShellKind.SALUTE));
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Choreographer(new Calibre(80), new Calibre(75), 60, 0));
        IllegalArgumentException e = assertThrows(
                IllegalArgumentException.class, () -> new Choreographer(new Calibre(75), new Calibre(75), 60, 61));
        assertTrue(String.valueOf(e.getMessage()).contains("61"));
        assertThrows(IllegalArgumentException.class, () -> new CueSheet(List.of(), 0, 0));
    }
}
