package org.halfdusk.web.browser;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.Cookie;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.halfdusk.web.phone.QrReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** In Field nothing is green or blue, and no text too faint. */
class FieldTest extends BrowserTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "/nights",
                "/shoots/1/night",
                "/shoots/1/expose",
                "/shoots/2/expose",
                "/shoots/5/night",
                "/shoots/7/night",
                "/shoots/7/sequence",
                "/shoots/new",
                "/shoots",
                "/places/1",
                "/map?place=1",
                "/shoots/1/frame",
                "/shoots/1/sequence/card",
                "/shoots/7/pack",
                "/shoots/2/practice",
                "/shoots/9/stack",
                "/kit/cameras/1"
            })
    void fieldStaysWithinTheRedChannel(String path) throws IOException {
        isRed(path);
    }

    /** Red on black, it is still read by what reads such codes. */
    @Test
    void aPhonesCodeIsRedAndRead() throws Exception {
        assertEquals(
                302,
                app.post("/phone", Map.of("action", "on", "password", "dusk over pans 7"))
                        .statusCode());
        isRed("/phone");
        assumeTrue(page.locator(".qr").count() > 0, "SKIPPED: this machine has no address that others reach");
        byte[] shot = page.locator(".qr").screenshot();
        String read = QrReader.read(ImageIO.read(new ByteArrayInputStream(shot)));
        assertTrue(read.startsWith("https://") && read.endsWith("/phone/guide"), read);
    }

    private void isRed(String path) throws IOException {
        context.addCookies(List.of(new Cookie("theme", "field").setUrl(app.url("/"))));
        page.setViewportSize(390, 844);
        go(path);
        page.keyboard().press("Tab");
        for (int[] size : new int[][] {{390, 844}, {1280, 800}}) {
            page.setViewportSize(size[0], size[1]);
            byte[] shot = page.screenshot(new Page.ScreenshotOptions().setFullPage(true));
            int green = 0;
            int red = 0;
            for (int rgb : pixels(shot)) {
                green = Math.max(green, Math.max(rgb >> 8 & 255, rgb & 255));
                red = Math.max(red, rgb >> 16 & 255);
            }
            assertEquals(0, green, path + " shows green or blue at " + size[0]);
            assertTrue(red > 150, path + " shows nothing at " + size[0]);
            assertEquals(List.of(), page.evaluate(FAINT), path + " has text too faint at " + size[0]);
        }
    }

    /** A PNG's pixels, as they are in memory: asking for millions of them one by one takes longer than all else here. */
    private static int[] pixels(byte[] png) throws IOException {
        BufferedImage read = ImageIO.read(new ByteArrayInputStream(png));
        BufferedImage plain = new BufferedImage(read.getWidth(), read.getHeight(), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = plain.createGraphics();
        g.drawImage(read, 0, 0, null);
        g.dispose();
        return ((DataBufferInt) plain.getRaster().getDataBuffer()).getData();
    }

    /** Texts that are shown with a contrast below 4.5 to what they stand on (WCAG 2.2, 1.4.3). */
    private static final String FAINT = """
            () => {
              const lin = (c) => (c /= 255) <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
              const parse = (s) => (s.match(/[\\d.]+/g) || []).map(Number);
              const lum = ([r, g, b]) => 0.2126 * lin(r) + 0.7152 * lin(g) + 0.0722 * lin(b);
              const ground = (el) => {
                for (let e = el; e; e = e.parentElement) {
                  const b = parse(getComputedStyle(e).backgroundColor);
                  if (b.length === 3 || b[3] > 0.5) return b;
                }
                return [0, 0, 0];
              };
              const faint = [];
              const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
              while (walk.nextNode()) {
                const el = walk.currentNode.parentElement;
                if (!walk.currentNode.data.trim() || !el.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue;
                if (!el.getClientRects().length || el.closest("script, style, option")) continue;
                const svg = el.closest("svg text") !== null;
                const c = parse(svg ? getComputedStyle(el).fill : getComputedStyle(el).color);
                const g = svg ? [0, 0, 0] : ground(el);
                const [a, b] = [lum(c), lum(g)].sort((x, y) => y - x);
                const dark = svg && el.closest(".head-text, .scale-handle");
                if (!dark && (a + 0.05) / (b + 0.05) < 4.5) faint.push(walk.currentNode.data.trim().slice(0, 40) + " " + c + " on " + g);
              }
              return [...new Set(faint)].slice(0, 12);
            }""";
}
