package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Where each platform keeps an application's data. */
class DataFolderTest {
    @Test
    void dataFoldersOfThePlatforms() {
        assertEquals(Path.of("/h", ".local", "share", "half-dusk"), DataFolder.usual("Linux", "/h", Map.of(), false));
        assertEquals(
                Path.of("/x", "half-dusk-demo"), DataFolder.usual("Linux", "/h", Map.of("XDG_DATA_HOME", "/x"), true));
        assertEquals(
                Path.of("/h", "Library", "Application Support", "Half Dusk"),
                DataFolder.usual("Mac OS X", "/h", Map.of(), false));
        assertEquals(Path.of("/a", "Half Dusk"), DataFolder.usual("Windows 11", "/h", Map.of("APPDATA", "/a"), false));
    }
}
