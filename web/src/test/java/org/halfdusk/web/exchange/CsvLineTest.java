package org.halfdusk.web.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CsvLineTest {
    private static List<CsvLine> read(String text) {
        return CsvLine.of("the table", text, ',');
    }

    @Test
    void linesKnowWhereTheyBegin() {
        List<CsvLine> lines = read("a,b\r\n\r\n\"two\r\nlines\",1\n c , d ");
        assertEquals(
                List.of(
                        new CsvLine(1, List.of("a", "b")),
                        new CsvLine(3, List.of("two\r\nlines", "1")),
                        new CsvLine(5, List.of("c", "d"))),
                lines);
    }

    /** Of lines as programs for tables write them, not all of which the standard allows. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "a,b | 2",
                "a | 1",
                "a,b,c,d | 4",
                ",,, | 4",
                "\"a,b\",c | 2",
                " \"a,b\" , c | 2",
                "\"say \"\"no\"\"\",c | 2",
                "a\"b,c | 2",
                "\"\" | 1"
            })
    void cellsOfALine(String line, int cells) {
        assertEquals(cells, read("x,y,z\n" + line).get(1).cells().size());
    }

    @ParameterizedTest
    @ValueSource(strings = {"x,y\n\"a,b", "x,y\n\"a\"b,c"})
    void quotesThatDoNotClose(String text) {
        String said = String.valueOf(
                assertThrows(IllegalArgumentException.class, () -> read(text)).getMessage());
        assertTrue(said.startsWith("the table is no CSV after line 1: a quote does not end"), said);
    }
}
