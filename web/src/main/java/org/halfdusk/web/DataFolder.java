package org.halfdusk.web;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;

/** Where applications usually keep their data on this platform. */
final class DataFolder {
    private DataFolder() {}

    static Path usual(boolean demo) {
        return usual(System.getProperty("os.name", ""), System.getProperty("user.home", "."), System.getenv(), demo);
    }

    static Path usual(String system, String home, Map<String, String> environment, boolean demo) {
        String os = system.toLowerCase(Locale.ROOT);
        if (os.startsWith("windows")) {
            Path base = Path.of(environment.getOrDefault(
                    "APPDATA", Path.of(home, "AppData", "Roaming").toString()));
            return base.resolve(demo ? "Half Dusk Demo" : "Half Dusk");
        }
        if (os.startsWith("mac")) {
            Path base = Path.of(home, "Library", "Application Support");
            return base.resolve(demo ? "Half Dusk Demo" : "Half Dusk");
        }
        Path fallback = Path.of(home, ".local", "share");
        String xdg = environment.getOrDefault("XDG_DATA_HOME", "");
        Path base = xdg.isBlank() ? fallback : Path.of(xdg);
        return base.resolve(demo ? "half-dusk-demo" : "half-dusk");
    }
}
