package org.halfdusk.web.subject.page;

import java.util.Arrays;
import java.util.List;

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
}
