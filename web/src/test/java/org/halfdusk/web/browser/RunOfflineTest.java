package org.halfdusk.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.web.App;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A night without signal: the server is stopped, the page reloaded, all still counts; then it comes back and merges. */
@Tag("slow")
class RunOfflineTest {
    @TempDir
    Path data;

    private static final LocatorAssertions.ContainsTextOptions PATIENT =
            new LocatorAssertions.ContainsTextOptions().setTimeout(20_000);

    private static final LocatorAssertions.HasTextOptions SLOW =
            new LocatorAssertions.HasTextOptions().setTimeout(20_000);

    private static void notes(Page page, String text) {
        page.fill("#note", text);
        page.locator("[data-act=note]").click();
    }

    @Test
    void aNightOffline() throws Exception {
        try (BrowserContext phone =
                Chromium.browser().newContext(new Browser.NewContextOptions().setViewportSize(390, 844))) {
            phone.setDefaultTimeout(20_000);
            Page page = phone.newPage();
            int port;
            String address;
            try (App app = App.demo(data)) {
                port = app.port();
                address = app.url("/shoots/1/run");
                page.navigate(address);
                page.locator("[data-run-along]").click();
                assertThat(page.locator("[data-run-said]")).containsText("Taken along", PATIENT);
                notes(page, "before the tunnel");
                assertThat(page.locator("[data-run-line]")).containsText("on the server", PATIENT);
                assertEquals(1, app.bean(RunLog.class).entries(1).size());
                Files.writeString(
                        data.resolve("alone.html"),
                        app.get("/shoots/1/run/alone.html").body());
            }
            page.reload();
            String counted = page.locator("[data-run-count]").textContent();
            assertTrue(counted.matches("[0-9:]+|\\d+ days"), counted);
            page.locator(".run-steps li [data-act=done]").first().click();
            notes(page, "dew, wiped");
            assertThat(page.locator("[data-run-line]"))
                    .containsText("Offline, kept on this device, 2 to send", PATIENT);
            page.reload();
            assertThat(page.locator("[data-run-notes]")).containsText("dew, wiped", PATIENT);
            assertThat(page.locator("[data-run-notes]")).containsText("before the tunnel", PATIENT);
            assertThat(page.locator(".run-steps li").first()).hasAttribute("data-state", "DONE");
            try (App app = App.with(data, List.of("demo"), "--server.port=" + port)) {
                page.evaluate("window.dispatchEvent(new Event('online'))");
                assertThat(page.locator("[data-run-line]")).containsText("Kept here and on the server", PATIENT);
                List<RunEntry> kept = app.bean(RunLog.class).entries(1);
                assertEquals(
                        List.of(RunEntry.Kind.NOTE, RunEntry.Kind.DONE, RunEntry.Kind.NOTE),
                        kept.stream().map(RunEntry::kind).toList());
                page.reload();
                assertThat(page.locator("[data-run-notes]")).containsText("dew, wiped", PATIENT);
                assertEquals(3, app.bean(RunLog.class).entries(1).size(), "sent again, each is there once");
            }
            Page alone = phone.newPage();
            alone.navigate(data.resolve("alone.html").toUri().toString());
            assertThat(alone.locator("[data-run-line]")).containsText("Without a server", PATIENT);
            alone.locator("li [data-act=done]").first().click();
            assertThat(alone.locator("li[data-step]").first()).hasAttribute("data-state", "DONE");
            alone.reload();
            assertThat(alone.locator("li[data-step]").first()).hasAttribute("data-state", "DONE");
        }
    }

    /** Each lead is called once, in a rehearsal that leaves nothing behind. */
    @Test
    void eachLeadIsCalledOnce() {
        try (App app = App.demo(data);
                BrowserContext context = Chromium.browser().newContext()) {
            Page page = context.newPage();
            page.navigate(app.url("/shoots/7/run"));
            page.evaluate(
                    "() => { window.heard = []; document.addEventListener('run:call', e => window.heard.push(e.detail.rig + ' ' + e.detail.lead)); }");
            page.selectOption("#speed", "10");
            page.locator("[data-act=rehearse]").click();
            page.waitForCondition(() -> ((Number) page.evaluate("window.heard.length")).intValue() >= 8);
            List<String> heard = ((List<?>) page.evaluate("window.heard.slice(0, 8)"))
                    .stream().map(String::valueOf).sorted().toList();
            assertEquals(
                    List.of("0 0", "0 120", "0 30", "0 5", "1 0", "1 120", "1 30", "1 5"),
                    heard,
                    "both rigs, each lead once");
            assertThat(page.locator("[data-run-line]")).containsText("nothing is noted");
            assertEquals(0, app.bean(RunLog.class).entries(7).size());
        }
    }

    /** A rehearsal by the moved clock shows what has happened, and nothing of what is still to come. */
    @Test
    void aRehearsalGoesOn() {
        try (App app = App.demo(data);
                BrowserContext context = Chromium.browser().newContext()) {
            Page page = context.newPage();
            page.navigate(app.url("/shoots/7/run/rehearsal?fault=CLOCK_OFF&from=2027-08-02T08:46:00Z"));
            assertThat(page.locator("[data-found-answer]")).hasText("Nothing yet");
            assertThat(page.locator(".rehearsal-found li:visible")).hasCount(0);
            page.locator("[data-act=speed][data-speed='60']").click();
            page.locator("[data-hold]").click();
            assertThat(page.locator("[data-found-answer]")).hasText("1 thing to mend", SLOW);
            page.locator("[data-hold]").click();
            String stands = page.locator("[data-run-clock]").textContent();
            assertThat(page.locator(".rehearsal-found li:visible")).containsText("its clock is off");
            page.selectOption("#strike", "WRONG_DIAL");
            page.locator("[data-strike] button").click();
            assertThat(page.locator("aside.side")).containsText("Chosen: wrong dial, rig 1, " + stands);
            assertThat(page.locator("[data-lane='0'] [data-look=dial]")).hasText("automatic");
            assertThat(page.locator("[data-still]:visible")).hasCount(1);
            page.locator("[data-act=done]").click();
            assertThat(page.locator("[data-run-said]"))
                    .containsText(Pattern.compile("[0-9.]+ s (before|after) its time"));
            assertEquals(0, app.bean(RunLog.class).entries(7).size(), "nothing is noted");
        }
    }
}
