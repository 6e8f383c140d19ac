package org.halfdusk.web;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;

/** Where applications usually keep their data on this platform. */
final class DataFolder {
    private DataFolder() {}

    /** The one that is named by {@code --halfdusk.data}, or the usual one. */
    static Path of(Environment environment) {
        String named = environment.getProperty("halfdusk.data", "");
        boolean demo = environment.acceptsProfiles(Profiles.of("demo"));
        return named.isBlank() ? usual(demo) : Path.of(named);
    }

    private static Path usual(boolean demo) {
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
