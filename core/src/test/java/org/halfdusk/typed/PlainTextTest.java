package org.halfdusk.typed;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** What XML 1.0 (fifth edition, 2.2) allows as a character is what is kept of a text. */
class PlainTextTest {
    private static boolean xml(int c) {
        return c == 0x9
                || c == 0xA
                || c == 0xD
                || c >= 0x20 && c <= 0xD7FF
                || c >= 0xE000 && c <= 0xFFFD
                || c >= 0x10000 && c <= 0x10FFFF;
    }

    @Property
    void whatIsKeptCanStandInXml(@ForAll String text) {
        String kept = PlainText.lines("notes", text, Integer.MAX_VALUE);
        assertTrue(kept.codePoints().allMatch(PlainTextTest::xml));
        assertEquals(kept, PlainText.lines("notes", kept, Integer.MAX_VALUE));
    }

    @Test
    void controlCharactersGo() {
        assertEquals("Cove", PlainText.line("name", "\u0001C\u000Bo\uFFFEve\uD800\u0085", 120));
        assertEquals("Old Watchtower", PlainText.line("name", " Old\tWatchtower\n", 120));
        assertEquals("one\n\ttwo", PlainText.lines("notes", "one\r\n\ttwo\u0000", 120));
        assertEquals("Süd 🌙", PlainText.line("name", "Süd 🌙", 120));
    }

    /** A cut in the middle of a pair takes the pair: half of it is no character. */
    @Property
    void aStartHoldsNoHalfPairs(@ForAll @IntRange(min = 0, max = 20) int most) {
        String text = "a🌙b🌙🌙🌙🌙🌙";
        String start = PlainText.start(text, most);
        assertTrue(text.startsWith(start) && start.length() <= most && start.length() >= Math.min(most, 14) - 1);
        assertTrue(start.codePoints().allMatch(PlainTextTest::xml));
    }

    @Test
    void emptyAndLongAreRefused() {
        assertEquals(
                "name is empty; 1 to 5 characters are allowed",
                assertThrows(IllegalArgumentException.class, () -> PlainText.line("name", " \u0001 ", 5))
                        .getMessage());
        assertEquals(
                "name has 6 characters; at most 5 are allowed",
                assertThrows(IllegalArgumentException.class, () -> PlainText.line("name", "abcdef", 5))
                        .getMessage());
    }

    @Test
    void shorteningLeavesNoHalfCharacter() {
        assertEquals("a", PlainText.shortened("a🌙", 2, "none"));
        assertEquals("none", PlainText.shortened("\u0002", 2, "none"));
        assertFalse(PlainText.shortenedLines("🌙🌙", 3).length() > 2);
    }
}
