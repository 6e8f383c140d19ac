package org.halfdusk.web.layout.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Files that stand under another name until they are whole: one that is there is never half of itself, whatever ends the writing. */
public final class WholeFile {
    private WholeFile() {}

    /** Writes a file, over one of its name; its folder is made. */
    public static void write(Path file, byte[] bytes) throws IOException {
        Path folder = file.toAbsolutePath().getParent();
        Files.createDirectories(folder);
        Path half = Files.createTempFile(folder, "half", ".part");
        try {
            Files.write(half, bytes);
            Files.move(half, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(half);
        }
    }
}
