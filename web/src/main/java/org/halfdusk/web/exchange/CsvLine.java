package org.halfdusk.web.exchange;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/**
 * A line of a table that others wrote (RFC 4180): empty lines are passed over, cells may be missing or too many, blanks may stand about quotes.
 *
 * @param line where it begins in the file, from 1
 * @param cells without blanks at either end
 */
public record CsvLine(long line, List<String> cells) {
    /**
     * All lines, the heads too.
     *
     * @param what the table is, for who reads the refusal: "the file"
     * @throws IllegalArgumentException where quotes do not close or are followed by more, naming the last line before
     */
    public static List<CsvLine> of(String what, String text, char separator) {
        List<CsvLine> read = new ArrayList<>();
        try (CsvReader<CsvRecord> rows = CsvReader.builder()
                .fieldSeparator(separator)
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .allowUnclosedQuote(false)
                .trimWhitespacesAroundQuotes(true)
                .ofCsvRecord(text)) {
            for (CsvRecord row : rows) {
                read.add(new CsvLine(
                        row.getStartingLineNumber(),
                        row.getFields().stream().map(String::strip).toList()));
            }
            return read;
        } catch (IOException | CsvParseException e) {
            String good = read.isEmpty()
                    ? "in its first line"
                    : "after line " + read.get(read.size() - 1).line();
            throw new IllegalArgumentException(
                    what + " is no CSV " + good
                            + ": a quote does not end, or more than a separator follows it; a cell like"
                            + " \"one, two\" is allowed",
                    e);
        }
    }
}
