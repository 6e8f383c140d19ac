package org.halfdusk.web.layout;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** Scripts, styles and fonts that an answer carries in itself. */
public final class Assets {
    private Assets() {}

    public static String text(String name) {
        try (InputStream in = stream(name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(name + " cannot be read", e);
        }
    }

    /** @throws IllegalStateException where the build left it out */
    public static InputStream stream(String name) {
        return Optional.ofNullable(Assets.class.getResourceAsStream("/static/assets/" + name))
                .orElseThrow(() -> new IllegalStateException(name + " is missing"));
    }
}
