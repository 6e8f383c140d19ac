package org.halfdusk.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.web.App;
import org.halfdusk.web.picture.PictureFiles;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Pictures handed to the Review page: one by one, each kept as soon as it is read, what is refused said; in Field red alone. */
@Tag("slow")
class DropFramesTest {
    @TempDir
    Path data;

    @TempDir
    Path pictures;

    @Test
    void picturesComeInOneByOne() throws Exception {
        Path[] files = new Path[4];
        for (int i = 0; i < 3; i++) {
            files[i] = Files.write(
                    pictures.resolve("N" + i + ".JPG"),
                    PictureFiles.written(PictureFiles.sky(600, 400, i, 1.2), "2027:06:05 03:0" + i + ":00", 8, 1));
        }
        files[3] = Files.writeString(pictures.resolve("list.txt"), "no picture");
        List<String> errors = new ArrayList<>();
        try (App app = App.demo(data);
                BrowserContext desk = Chromium.browser().newContext()) {
            desk.setDefaultTimeout(30_000);
            Page page = desk.newPage();
            page.onPageError(errors::add);
            page.navigate(app.url("/shoots/1/review"));
            page.setInputFiles("#frames", files);
            page.locator("form[data-drop] button").click();
            assertThat(page.locator("[data-drop-said]"))
                    .containsText(
                            "4 of 4 gone through: 3 read, 1 refused.",
                            new LocatorAssertions.ContainsTextOptions().setTimeout(30_000));
            assertThat(page.locator("[data-drop-said]")).containsText("“list.txt” is no picture");
            assertEquals(3, app.bean(Frames.class).of(1, 0).size());
            page.navigate(app.url("/shoots/1/review"));
            assertThat(page.locator(".review-sheet li")).hasCount(3);
            page.locator("button[name=theme][value=field]").click();
            page.waitForLoadState();
            page.locator(".review-sheet img").first().scrollIntoViewIfNeeded();
            onlyRed(page.screenshot());
            assertEquals(List.of(), errors);
        }
    }

    private static void onlyRed(byte[] png) throws Exception {
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
        int lit = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int rgb = image.getRGB(x, y);
                assertEquals(0, rgb & 0xffff, "green or blue at " + x + ", " + y);
                lit += (rgb >> 16 & 0xff) > 0 ? 1 : 0;
            }
        }
        assertTrue(lit > 1000, "lit pixels: " + lit);
    }
}
