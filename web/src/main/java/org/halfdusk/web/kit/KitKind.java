package org.halfdusk.web.kit;

import java.util.Arrays;
import java.util.Optional;

/** Kinds of kit as the pages have them. */
enum KitKind {
    RIGS("rigs", "rig", "Rigs", "Camera, lens and what goes with them, used together."),
    CAMERAS("cameras", "camera", "Cameras", ""),
    LENSES("lenses", "lens", "Lenses", ""),
    CONVERTERS("converters", "converter", "Converters", ""),
    FILTERS("filters", "filter", "Filters", ""),
    SUPPORTS("supports", "tripod or mount", "Tripods and tracking mounts", ""),
    CARDS("cards", "card", "Cards", ""),
    BATTERIES("batteries", "battery", "Batteries", "");

    private final String path;
    private final String what;
    private final String title;
    private final String about;

    KitKind(String path, String what, String title, String about) {
        this.path = path;
        this.what = what;
        this.title = title;
        this.about = about;
    }

    /** As in the address. */
    public String path() {
        return path;
    }

    /** One of them, for headings. */
    public String what() {
        return what;
    }

    public String title() {
        return title;
    }

    public String about() {
        return about;
    }

    static Optional<KitKind> of(String path) {
        return Arrays.stream(values()).filter(k -> k.path.equals(path)).findFirst();
    }
}
