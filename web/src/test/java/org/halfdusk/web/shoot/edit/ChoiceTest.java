package org.halfdusk.web.shoot.edit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.halfdusk.web.shoot.edit.ShootEditing.Choice;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

/** Options of a list as one piece: what a person has named their kit is text in it, never markup. */
class ChoiceTest {
    @Test
    void whatIsNamedLikeMarkupStaysText() {
        List<Choice> choices = List.of(
                new Choice("1\"><script>", "</option><script>alert(1)</script>", false),
                new Choice("2", "14–30 mm f/4 & “wide” 'one'", true));
        Element select = Jsoup.parse("<select>" + Choice.options(choices) + "</select>")
                .select("select")
                .get(0);
        assertEquals(2, select.children().size());
        for (int i = 0; i < choices.size(); i++) {
            Element option = select.child(i);
            assertEquals("option", option.tagName());
            assertEquals(choices.get(i).value(), option.attr("value"));
            assertEquals(choices.get(i).name(), option.wholeText());
            assertEquals(choices.get(i).selected(), option.hasAttr("selected"));
            assertEquals(0, option.children().size());
        }
    }
}
