package org.halfdusk.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Practice;
import org.halfdusk.show.Display;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.Spark;
import org.halfdusk.web.layout.drawing.Scene;
import org.halfdusk.web.shoot.ShootDesk;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The show played in a browser. */
@Tag("slow")
class PracticeTest extends BrowserTest {
    private static final String PRACTICE = "/shoots/2/practice?show=5";

    /** What the browser may differ by: sparks travel as floats, 7 digits of 20 minutes. */
    private static final double WITHIN_PX = 0.5;

    /** Two hundred sparks at random times of their lives: the script and the core put them on the same pixel. */
    @Test
    void theScriptPutsSparksWhereTheCoreDoes() {
        FireworksPlan plan = (FireworksPlan)
                app.bean(ShootDesk.class).open(2, Optional.empty()).plan();
        Display display = Practice.display(plan, Practice.exercise(plan, 5));
        Projection projection = Projection.of(plan.framing(), plan.rig());
        Scene scene = Scene.of(projection, plan.rig().camera().sensor());
        Random chance = new Random(5);
        List<Cue> cues = display.sheet().cues();
        try (BrowserContext context = browser.newContext()) {
            Page page = context.newPage();
            page.navigate(app.url(PRACTICE));
            assertThat(page.locator("[data-ready]")).hasCount(1);
            int compared = 0;
            for (int i = 0; i < 200; i++) {
                List<Spark> sparks = display.sparks(cues.get(chance.nextInt(cues.size())));
                Spark s = sparks.get(chance.nextInt(sparks.size()));
                double t = s.born() + chance.nextDouble() * (s.dies() - s.born());
                Optional<Projection.Point> at =
                        projection.of(display.from().of(s.at(t, display.drift().wind())));
                Object seen = page.evaluate(
                        "([s, t]) => halfDuskShow.seen(halfDuskShow.place(new Float32Array(s), 0, t))",
                        List.of(
                                List.of(
                                        s.born(),
                                        s.dies(),
                                        s.from().x(),
                                        s.from().y(),
                                        s.from().z(),
                                        s.speed().x(),
                                        s.speed().y(),
                                        s.speed().z(),
                                        s.brakingSeconds()),
                                t));
                if (at.isPresent()) {
                    List<?> xy = (List<?>) seen;
                    assertEquals(scene.x(at.get().x()), ((Number) xy.get(0)).doubleValue(), WITHIN_PX, s::toString);
                    assertEquals(scene.y(at.get().y()), ((Number) xy.get(1)).doubleValue(), WITHIN_PX, s::toString);
                    compared++;
                }
            }
            assertTrue(compared > 150, compared + " compared");
        }
    }

    /** Space held while the show plays takes a frame, which is developed, judged and kept. */
    @Test
    void theHandTakesAFrame() {
        try (BrowserContext context = browser.newContext()) {
            Page page = context.newPage();
            List<String> errors = new java.util.concurrent.CopyOnWriteArrayList<>();
            page.onPageError(errors::add);
            page.navigate(app.url(PRACTICE));
            assertThat(page.locator("[data-ready]")).hasCount(1);
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Begin").setExact(true))
                    .click();
            assertThat(page.locator("[data-shell]")).containsText("shell");
            page.keyboard().down("Space");
            assertThat(page.locator("[data-open-text]")).hasText(java.util.regex.Pattern.compile("Open [1-9]\\.\\d s"));
            page.keyboard().up("Space");
            assertThat(page.locator(".practice-shots li")).hasCount(1);
            assertThat(page.locator(".practice-shots img")).hasJSProperty("complete", true);
            assertThat(page.locator("#practice-hand")).containsText("Holds");
            page.reload();
            assertThat(page.locator(".practice-shots li")).hasCount(1);
            assertEquals(List.of(), errors);
        }
    }

    @Test
    void whoAsksForLessMotionGetsItSlowAndWithoutFlashes() {
        try (BrowserContext context =
                browser.newContext(new Browser.NewContextOptions().setReducedMotion(ReducedMotion.REDUCE))) {
            Page page = context.newPage();
            page.navigate(app.url(PRACTICE));
            assertThat(page.locator("[data-calm]")).isChecked();
            assertThat(page.locator("[data-calm-said]")).isVisible();
        }
    }
}
