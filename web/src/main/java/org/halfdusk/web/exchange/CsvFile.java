package org.halfdusk.web.exchange;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.time.CivilTime;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Tables as CSV (RFC 4180, UTF-8): a head, then rows. Moments stand in three columns, civil date, time to the second and offset. */
public final class CsvFile {
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("yyyy-MM-dd");
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm:ss");
    private static final DateTimeFormatter OFFSET = DateTimeFormatter.ofPattern("xxx");

    private CsvFile() {}

    /** @param rows cells in the order of the heads; what is null is an empty one */
    public static String of(List<String> heads, List<List<Object>> rows) {
        StringWriter text = new StringWriter();
        try (CsvWriter csv =
                CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(text)) {
            csv.writeRecord(heads);
            for (List<Object> row : rows) {
                csv.writeRecord(
                        row.stream().map(cell -> Objects.toString(cell, "")).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException("a table cannot be written", e);
        }
        return text.toString();
    }

    /** Heads of a moment's columns: "opens_date", "opens_time", "opens_offset"; without a name "date", "time", "offset". */
    public static List<String> heads(String name) {
        String before = name.isEmpty() ? "" : name + "_";
        return List.of(before + "date", before + "time", before + "offset");
    }

    /** Cells of a moment. */
    public static List<Object> cells(Instant at, ZoneId zone) {
        OffsetDateTime civil = CivilTime.toSecond(at).atZone(zone).toOffsetDateTime();
        return List.of(DATE.format(civil), TIME.format(civil), OFFSET.format(civil));
    }

    /** The same, empty where there is none. */
    public static List<Object> cells(Optional<Instant> at, ZoneId zone) {
        return at.map(t -> cells(t, zone)).orElse(List.of("", "", ""));
    }

    /** Rows of parts that follow each other. */
    @SafeVarargs
    public static <T> List<T> row(List<? extends T>... parts) {
        List<T> row = new ArrayList<>();
        Stream.of(parts).forEach(row::addAll);
        return row;
    }

    /** As an answer that browsers keep as a file. */
    public static ResponseEntity<byte[]> answer(String name, String text) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}
