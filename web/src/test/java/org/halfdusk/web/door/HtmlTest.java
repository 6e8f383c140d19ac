package org.halfdusk.web.door;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.halfdusk.web.DemoPages;
import org.halfdusk.web.Validators;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Every kind of page read by a validator that none of us wrote: standards mode, allowed elements, labels, no styles within. */
@Tag("slow")
class HtmlTest extends DemoPages {
    private static final List<String> PAGES = List.of(
            "/nights",
            "/nights?all=true",
            "/shoots",
            "/shoots/new",
            "/shoots/1/night",
            "/shoots/1/frame",
            "/shoots/1/expose",
            "/shoots/1/sequence",
            "/shoots/1/pack",
            "/shoots/2/night",
            "/shoots/2/expose",
            "/shoots/3/sequence",
            "/shoots/5/expose",
            "/shoots/6/expose",
            "/shoots/7/night",
            "/shoots/7/expose",
            "/shoots/7/sequence",
            "/shoots/7/rig2/frame",
            "/shoots/1/stack",
            "/shoots/1/review",
            "/shoots/8/review",
            "/log",
            "/log?place=1",
            "/log/read",
            "/learnt",
            "/places",
            "/places/1",
            "/places/new",
            "/places/formats",
            "/places/1/forecast",
            "/kit",
            "/kit/cameras/1",
            "/kit/lenses/new",
            "/kit/rigs/1",
            "/settings",
            "/search?q=light",
            "/map?place=1",
            "/map?place=1&night=2027-06-05&frame=1&eclipse=2027-08-02",
            "/keys",
            "/about",
            "/shoots/1/sequence/card",
            "/shoots/7/sequence/frames?block=totality-1",
            "/shoots/999/night",
            "/nothing");

    /** What is a matter of taste, or of how the template engine writes. */
    private static final String RULES = """
            {"extends": ["html-validate:standard"], "rules": {"no-inline-style": "error", "long-title": "off",
             "no-trailing-whitespace": "off", "void-style": "off", "no-implicit-button-type": "off", "prefer-native-element": "off",
             "attr-quotes": "off", "tel-non-breaking": "off", "no-implicit-input-type": "off", "svg-focusable": "off",
             "doctype-style": "off", "require-sri": "off", "attribute-boolean-style": "off", "attribute-empty-style": "off"}}
            """;

    private static final Map<String, String> ASKED = new HashMap<>();

    /** A page, asked for once. */
    private static String page(String address) throws Exception {
        String known = ASKED.get(address);
        if (known != null) {
            return known;
        }
        if (ASKED.isEmpty()) {
            app.withFramesOf(8);
        }
        String body = app.get(address).body();
        ASKED.put(address, body);
        return body;
    }

    @Test
    void pagesAreValid(@TempDir Path folder) throws Exception {
        Validators.needed();
        Files.writeString(folder.resolve(".htmlvalidate.json"), RULES);
        List<String> command = new ArrayList<>(List.of(Validators.program("html-validate"), "--formatter=text"));
        for (int i = 0; i < PAGES.size(); i++) {
            String body = page(PAGES.get(i));
            assertTrue(body.stripLeading().startsWith("<!DOCTYPE html>"), PAGES.get(i) + " is not in standards mode");
            String name = i + PAGES.get(i).replaceAll("[^a-z0-9]+", "-") + ".html";
            Files.writeString(folder.resolve(name), body);
            command.add(name);
        }
        assertEquals("", Validators.say(folder, command.toArray(String[]::new)).text());
    }

    private static final Pattern ASSET = Pattern.compile("(?<=(?:href|src|data-\\w{1,9})=\")/assets/[^\"]+");

    /** Of pages, and of what is said where there is none: beside files and beside pages another part of the house says it. */
    @Test
    void filesAreAskedForByNamesThatChangeWithThem() throws Exception {
        List<String> pages = new ArrayList<>(PAGES);
        pages.addAll(List.of("/stack", "/shoots/1/nothing", "/assets/none.css", "/nights/2027"));
        for (String address : pages) {
            List<String> assets = ASSET.matcher(page(address))
                    .results()
                    .map(MatchResult::group)
                    .toList();
            assertTrue(assets.size() > 1, address + " asks for " + assets);
            for (String asset : assets) {
                assertTrue(
                        asset.matches("/assets/[\\w-]+-[0-9a-f]{32}\\.\\w+"),
                        address + ": " + asset + " would be kept for a year under that name");
            }
        }
    }
}
