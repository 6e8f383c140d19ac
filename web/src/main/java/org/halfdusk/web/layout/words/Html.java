package org.halfdusk.web.layout.words;

import org.springframework.web.util.HtmlUtils;

/** Text among what is written in HTML without a template. */
public final class Html {
    private Html() {}

    /** The text with the five letters escaped that HTML means something by. Most texts have none, and are not copied. */
    public static String escaped(String text) {
        for (int i = 0; i < text.length(); i++) {
            switch (text.charAt(i)) {
                case '<', '>', '&', '"', '\'' -> {
                    return HtmlUtils.htmlEscape(text, "UTF-8");
                }
                default -> {}
            }
        }
        return text;
    }
}
