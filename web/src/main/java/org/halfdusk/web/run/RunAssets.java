package org.halfdusk.web.run;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** Scripts and styles that the run carries inside its answers. */
final class RunAssets {
    private RunAssets() {}

    static String text(String name) {
        try (InputStream in = RunAssets.class.getResourceAsStream("/static/assets/" + name)) {
            return new String(Optional.ofNullable(in).orElseThrow().readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(name + " cannot be read", e);
        }
    }
}
