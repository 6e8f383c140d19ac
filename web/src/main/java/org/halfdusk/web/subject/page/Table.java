package org.halfdusk.web.subject.page;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A small table.
 *
 * @param columns their heads; one that ends in "#" holds numbers, right-aligned
 * @param note under it, may be empty
 */
public record Table(String title, List<Column> columns, List<Row> rows, String note) {
    public record Column(String name, boolean number) {}

    /** @param tone good, caution or stop for the last cell; empty for none */
    public record Row(List<String> cells, boolean chosen, String href, String tone) {
        public static Row of(boolean chosen, String... cells) {
            return new Row(List.of(cells), chosen, "", "");
        }

        /** The first cell leads somewhere. */
        public Row to(String address) {
            return new Row(cells, chosen, address, tone);
        }

        public Row toned(String word) {
            return new Row(cells, chosen, href, word);
        }
    }

    public static Table of(String title, String note, List<Row> rows, String... heads) {
        List<Column> columns = Arrays.stream(heads)
                .map(h -> new Column(h.replace("#", ""), h.endsWith("#")))
                .toList();
        return new Table(title, columns, rows, note);
    }

    /** A row as it is laid out. @param tone for all of it, empty for none */
    public record Shown(boolean chosen, String tone, List<Cell> cells) {}

    /** @param href where it leads; only a first cell may @param css its class, or nothing */
    public record Cell(String text, String href, @Nullable String css) {
        public boolean plain() {
            return href.isEmpty();
        }
    }

    /** The rows with what each cell needs, so that a template asks for little: a page has hundreds of them. */
    public List<Shown> shown() {
        return rows.stream()
                .map(r -> new Shown(
                        r.chosen,
                        r.tone,
                        IntStream.range(0, r.cells.size())
                                .mapToObj(i -> new Cell(
                                        r.cells.get(i), i == 0 ? r.href : "", columns.get(i).number ? "num" : null))
                                .toList()))
                .toList();
    }
}
