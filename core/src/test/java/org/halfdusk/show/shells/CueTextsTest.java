package org.halfdusk.show.shells;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Shows written down. */
class CueTextsTest {
    @Test
    void isReadInOrderOfTime() {
        CueSheet sheet = CueTexts.read("1:02.5 Willow 150 gold -20\n\n 0:04 peony 125 red\r\n");
        assertEquals(2, sheet.cues().size());
        Cue first = sheet.cues().get(0);
        assertEquals(new Cue(4, ShellKind.PEONY, new Calibre(125), Tint.RED, 0, first.turn()), first);
        assertEquals(62.5, sheet.cues().get(1).seconds());
        assertEquals(-20, sheet.cues().get(1).right());
        assertEquals(CueTexts.written(sheet), CueTexts.written(CueTexts.read(CueTexts.written(sheet))));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0:04 peony 125|line 1",
                "0:04 rose 125 red|rose",
                "0:04 peony 900 red|900",
                "0:04 peony 125 pink|pink",
                "soon peony 125 red|soon",
                "0:04 peony 125 red 600|600",
                "9999:00 peony 125 red|599940",
            })
    void whatIsWrongIsNamed(String text, String named) {
        String message = String.valueOf(assertThrows(IllegalArgumentException.class, () -> CueTexts.read(text))
                .getMessage());
        assertTrue(message.toLowerCase(java.util.Locale.ROOT).contains(named), message);
    }

    @Test
    void lengthIsBounded() {
        assertThrows(IllegalArgumentException.class, () -> CueTexts.read("0:01 peony 75 red\n".repeat(101)));
        assertThrows(IllegalArgumentException.class, () -> CueTexts.read(" \n "));
    }
}
