package org.halfdusk.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Dialog;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Pattern;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.web.App;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The main paths in a real browser. */
@Tag("slow")
class BrowserPathTest extends BrowserTest {
    @Test
    void fromTheBestNightToASavedShootThatOutlivesARestart(@TempDir Path mine) {
        App shared = app;
        app = App.demo(mine);
        try {
            outlivesARestart(mine);
        } finally {
            app.close();
            app = shared;
        }
    }

    private void outlivesARestart(Path mine) {
        int before = app.bean(Shoots.class).list("").size();
        go("/");
        page.getByText("Plan this night").first().click();
        page.waitForURL(Pattern.compile(".*/shoots/\\d+/night.*"));
        String id = page.url().replaceAll(".*/shoots/(\\d+)/.*", "$1");
        assertThat(page.locator("#title")).hasValue("Core over the watchtower");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Expose")))
                .click();
        assertThat(caption()).containsText("f/2");
        assertThat(caption()).containsText("18 mm upright");
        page.locator(".kit-line > summary").click();
        page.locator("#LENS").selectOption(new SelectOption().setLabel("14–30 mm f/4"));
        assertThat(caption()).containsText("f/4");
        assertThat(page.locator("aside")).containsText("Why f/4");

        app.close();
        app = App.demo(mine);
        go("/shoots/" + id + "/expose");
        assertThat(caption()).containsText("f/4");
        go("/shoots");
        assertThat(page.locator("main li")).hasCount(before + 1);
    }

    /** From the first start of an empty installation to a planned shoot: typed, Enter, kept, planned. */
    @Test
    void fromTheFirstStartToAPlannedShootInFourSteps(@TempDir Path mine) {
        try (App empty = App.empty(mine)) {
            page.navigate(empty.url("/"));
            page.locator("#where").fill("35.952 -3.048");
            page.locator("#where").press("Enter");
            page.locator("text=Keep this place and rig").click();
            page.locator("text=Plan this night").first().click();
            page.waitForURL("**/shoots/1/night");
            assertTrue(page.locator(".steps").innerText().contains("Expose"));
        }
    }

    @Test
    void fromASubjectToItsFrames() {
        go("/shoots");
        page.getByText("New shoot").first().click();
        page.locator("input[value=STAR_TRAILS]").check();
        assertThat(page.locator("label[for=lens]")).containsText("15 mm");
        page.locator("#place").selectOption(new SelectOption().setLabel("Salt Pans, Vesper Isle"));
        page.waitForURL(Pattern.compile(".*place=2&.*"));
        page.locator(".offer button").first().click();
        page.waitForURL(Pattern.compile(".*/shoots/\\d+/night.*"));
        assertThat(page.locator("#title")).hasValue("Wheel over the windmill");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Sequence")))
                .click();
        assertThat(page.locator("aside")).containsText("79 frames of 90 s");
        page.locator("#TRAILS_MINUTES").fill("60");
        page.keyboard().press("Tab");
        assertThat(page.locator("aside")).containsText("39 frames of 90 s");
        assertThat(caption()).containsText("×39 every 91 s");
    }

    @Test
    void undoBringsTheLensBack() {
        go(own(1) + "/expose");
        String before = caption().innerText();
        page.locator(".kit-line > summary").click();
        saving(() -> page.locator("#APERTURE").selectOption("4"));
        assertThat(caption()).containsText("f/4");
        button("Undo").click();
        assertThat(caption()).containsText("f/2");
        assertEquals(before, caption().innerText());
    }

    /** A handle is stepped by keys and typed: what is set is held, the third follows, the playhead stays. */
    @Test
    void twoAreHeldAndTheThirdFollows() {
        go(own(1) + "/expose?at=2027-06-05T02:00:00Z");
        Locator answer = page.locator(".answer-line h2");
        assertThat(answer).containsText("ISO 1250");
        page.locator("[data-ruler=TIME] input[type=range]").focus();
        saving(() -> page.keyboard().press("ArrowRight"));
        assertThat(answer).containsText("10 s");
        assertThat(answer).containsText("ISO 1000");
        List<String> sent = new CopyOnWriteArrayList<>();
        page.onRequest(r -> {
            if (r.method().equals("POST")) {
                sent.add(r.postData());
            }
        });
        page.locator("[data-ruler=ISO] [name=typed]").fill("ISO 6400");
        saving(() -> page.locator("[data-ruler=ISO] [name=typed]").press("Enter"));
        assertThat(answer).containsText("ISO 6400");
        assertThat(page.locator("[data-ruler=APERTURE]")).hasAttribute("data-state", "follows");
        page.locator("[data-ruler=TIME] [name=typed]").fill("ages");
        page.locator("[data-ruler=TIME] [name=typed]").press("Enter");
        assertThat(page.locator("#wrong-TIME")).containsText("ages");
        assertThat(page.locator("[data-ruler=TIME] [name=typed]")).hasValue("ages");
        assertThat(page.locator(".met")).containsText("at 04:00");
        assertEquals(2, sent.size(), () -> "Enter is a change and a sending, and goes once: " + sent);
        expected = "400";
    }

    @Test
    void renamingKeepsThePage() {
        go(own(1) + "/night");
        page.locator("#title")
                .fill("A very long name for one night among many, which has to be cut or wrapped somewhere");
        saving(() -> page.keyboard().press("Enter"));
        assertThat(button("Undo")).isVisible();
        page.reload();
        assertThat(page.locator("#title")).hasValue(Pattern.compile("A very long name.*"));
        assertFits();
        button("Undo").click();
        assertThat(page.locator("#title")).hasValue("Core over the watchtower (copy)");
    }

    @Test
    void aBadLatitudeIsSaidByItsFieldAndNothingIsLost() {
        go("/places/new");
        page.locator("#name").fill("Cove of the Long Shadow");
        page.locator("#latitude").fill("97");
        page.locator("#longitude").fill("-3.1");
        button("Save").click();
        assertThat(page.locator("#latitude-wrong")).hasText("Latitude 97 is outside −90° to 90°.");
        assertThat(page.locator("#name")).hasValue("Cove of the Long Shadow");
        assertThat(page.locator("#latitude")).hasValue("97");
        expected = "400";
    }

    @Test
    void aTickedThingStaysTickedAndTheTabSaysIt() {
        String shoot = own(1);
        go(shoot + "/pack");
        saving(() -> page.locator("input[name=packed]").first().check());
        assertThat(page.locator(".step[aria-current] .answer")).hasText(Pattern.compile("1 of \\d+ packed"));
        go(shoot + "/pack");
        assertThat(page.locator("input[name=packed]").first()).isChecked();
    }

    @Test
    void searchAnswersWhileTyping() {
        go("/search");
        page.locator("#q").pressSequentially("watcht");
        assertThat(page.locator("#found")).containsText("Old Watchtower, Vesper Isle");
    }

    @Test
    void keyNGoesToTheNextGoodNight() {
        go(own(1) + "/night");
        page.onceDialog(Dialog::accept);
        saving(() -> page.keyboard().press("n"));
        assertThat(page.locator("header")).containsText("Sat 5 June 2027");
        button("Undo").click();
        assertThat(page.locator("header")).containsText("Fri 4 June 2027");
    }

    @Test
    void theWholePathWorksByKeyboard() {
        go("/nights");
        for (int i = 0; i < 60 && !focused().contains("Plan this night"); i++) {
            page.keyboard().press("Tab");
        }
        page.keyboard().press("Enter");
        page.waitForURL(Pattern.compile(".*/shoots/\\d+/night.*"));
        for (int i = 0; i < 40 && !focused().startsWith("Expose"); i++) {
            page.keyboard().press("Tab");
        }
        page.keyboard().press("Enter");
        page.waitForURL(Pattern.compile(".*/expose.*"));
        page.locator(".kit-line > summary").focus();
        page.keyboard().press("Enter");
        page.locator("#LENS").focus();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Tab");
        assertThat(button("Undo")).isVisible();
        String id = page.url().replaceAll(".*/shoots/(\\d+)/.*", "$1");
        go("/shoots");
        page.locator("form[action='/shoots/" + id + "/delete'] button").press("Enter");
        assertThat(page.getByText("The shoot was deleted.")).isVisible();
    }

    private String focused() {
        return String.valueOf(page.evaluate(
                "document.activeElement === document.body ? '' : document.activeElement.innerText || ''"));
    }

    @Test
    void theWholePathWorksWithoutScript() {
        fresh(new Browser.NewContextOptions().setJavaScriptEnabled(false).setViewportSize(1280, 800));
        go("/nights");
        page.getByText("Plan this night").first().click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Expose")))
                .click();
        page.locator(".kit-line > summary").click();
        page.locator("#LENS").selectOption(new SelectOption().setLabel("14–30 mm f/4"));
        page.locator("form[aria-label='Kit and wishes']").getByText("Apply").click();
        assertThat(caption()).containsText("f/4");
        page.locator("a.step").first().click();
        String id = page.url().replaceAll(".*/shoots/(\\d+)/.*", "$1");
        go("/shoots/" + id + "/night");
        page.locator("#at").fill("01:30");
        button("Show").click();
        assertThat(page.locator("aside h2").first()).hasText("At 01:30");
        go("/shoots");
        page.locator("form[action='/shoots/" + id + "/delete'] button").click();
        assertThat(page.getByText("The shoot was deleted.")).isVisible();
    }
}
