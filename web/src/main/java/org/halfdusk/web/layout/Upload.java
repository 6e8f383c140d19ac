package org.halfdusk.web.layout;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.springframework.web.multipart.MultipartFile;

/** Text files that a person sends. */
public final class Upload {
    private static final int MEGABYTE = 1_000_000;
    private static final int KILOBYTE = 1000;

    private Upload() {}

    /**
     * The text of a file.
     *
     * @param allowed which files are, for who has chosen none
     * @throws IllegalArgumentException where none was chosen or it is too large
     */
    public static String text(MultipartFile file, int mostBytes, String allowed) {
        if (file.isEmpty()) {
            throw new IllegalArgumentException("no file was chosen; " + allowed + " is allowed");
        }
        if (file.getSize() > mostBytes) {
            boolean small = mostBytes <= MEGABYTE;
            int unit = small ? KILOBYTE : MEGABYTE;
            String name = small ? " kB" : " MB";
            throw new IllegalArgumentException("the file has " + file.getSize() / unit + name + "; up to "
                    + mostBytes / unit + name + " are allowed");
        }
        try {
            return new String(file.getBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("the file that was sent cannot be read", e);
        }
    }
}
