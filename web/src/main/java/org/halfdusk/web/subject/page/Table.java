package org.halfdusk.web.subject.page;

import java.util.Arrays;
import java.util.List;
import org.halfdusk.web.layout.words.Html;

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

    /** Its head and rows, HTML: a page has hundreds of cells, of each of which a template engine would ask three questions. */
    public String html() {
        StringBuilder html = new StringBuilder(80 * (rows.size() + 1) * columns.size());
        html.append("<thead><tr>");
        for (Column c : columns) {
            html.append(c.number ? "<th scope=\"col\" class=\"num\">" : "<th scope=\"col\">");
            html.append(Html.escaped(c.name)).append("</th>");
        }
        html.append("</tr></thead><tbody>");
        for (Row r : rows) {
            html.append("<tr data-chosen=\"").append(r.chosen).append('"');
            html.append(r.tone.isEmpty() ? "" : " data-tone=\"" + r.tone + '"').append('>');
            for (int i = 0; i < r.cells.size(); i++) {
                html.append(columns.get(i).number ? "<td class=\"num\">" : "<td>");
                String text = Html.escaped(r.cells.get(i));
                html.append(i == 0 && !r.href.isEmpty() ? led(r.href, text) : text)
                        .append("</td>");
            }
            html.append("</tr>");
        }
        return html.append("</tbody>").toString();
    }

    private static String led(String href, String text) {
        return "<a class=\"text-inherit\" href=\"" + Html.escaped(href) + "\">" + text + "</a>";
    }
}
