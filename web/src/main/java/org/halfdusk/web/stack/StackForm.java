package org.halfdusk.web.stack;

import java.util.Map;
import org.halfdusk.typed.Codec;

/**
 * What a person chose for a picture of many frames, each read for itself: what is typed wrongly is told before what is missing.
 *
 * @param fill gaps between trails are drawn on
 * @param fade trails fade instead
 * @param dark frames of the cap are taken off
 * @param ground frames of the ground make its part
 * @param name of the file, without its ending
 * @param jpeg and not TIFF
 */
record StackForm(
        StackDesk.Mode mode, boolean fill, boolean fade, boolean dark, boolean ground, String name, boolean jpeg) {
    private static final Codec<Boolean> JPEG =
            Codec.choice("kind", new Codec.Chosen<>(false, "tif", "tif"), new Codec.Chosen<>(true, "jpg", "jpg"));

    /** @throws IllegalArgumentException naming what cannot be and what is allowed */
    static StackForm of(StackDesk.Mode mode, Map<String, String> form) {
        return new StackForm(
                mode,
                ticked(form, "fill"),
                ticked(form, "fade"),
                ticked(form, "dark"),
                ticked(form, "ground"),
                OutFolder.name(form.getOrDefault("name", "")),
                JPEG.read(form.getOrDefault("kind", "tif")));
    }

    private static boolean ticked(Map<String, String> form, String field) {
        return Codec.flag(field, "on").read(form.getOrDefault(field, ""));
    }
}
