package org.halfdusk.web.subject.page;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.halfdusk.web.layout.words.Html;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TableTest {
    private static final String ODD = "a <b>\"lens\"</b> & 'hood' &amp;";

    private static Document table(Table t) {
        return Jsoup.parse("<table>" + t.html() + "</table>");
    }

    /** Whatever a person calls a thing is text, in a head, a cell and a link alike. */
    @Test
    void namesStayText() {
        Document d = table(Table.of(
                "t",
                "",
                List.of(Table.Row.of(false, ODD, ODD).to("/kit?a=1&b=\"2\""), Table.Row.of(true, ODD, "2")),
                ODD,
                "n#"));
        assertEquals(List.of(ODD, "n"), d.select("thead th[scope=col]").eachText());
        assertEquals(List.of(ODD, ODD, ODD, "2"), d.select("td").eachText());
        assertEquals(List.of("/kit?a=1&b=\"2\""), d.select("td a").eachAttr("href"));
        assertEquals(0, d.select("b").size());
    }

    @Test
    void numbersStandRightAndRowsHaveTheirTone() {
        Document d = table(Table.of(
                "t",
                "",
                List.of(Table.Row.of(false, "x", "1").toned("good"), Table.Row.of(true, "y", "2")),
                "what",
                "how many#"));
        assertEquals(List.of("how many", "1", "2"), d.select(".num").eachText());
        assertEquals(List.of("false", "true"), d.select("tbody tr").eachAttr("data-chosen"));
        assertEquals("x 1", d.select("tr[data-tone=good]").text());
        Element plain = d.select("tr[data-chosen=true]").get(0);
        assertEquals(false, plain.hasAttr("data-tone"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "plain 4 µm ½ ≤ 3″", ODD, "<", "it's", "&lt;"})
    void escapedIsReadBackAsItWas(String text) {
        Document d = Jsoup.parse("<p title=\"" + Html.escaped(text) + "\">x</p>");
        assertEquals(text, d.select("p").attr("title"));
    }
}
