package org.halfdusk.web.picture;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.halfdusk.typed.TypedNumber;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * A folder of frames on this machine that was named at start, and what lies below it. Only read; a link that leads out of it is not there.
 */
@Component
public class FramesFolder {
    private static final Set<String> PICTURES =
            Set.of("jpg", "jpeg", "tif", "tiff", "dng", "nef", "cr2", "cr3", "arw", "orf", "rw2", "raf", "crw");

    private final Optional<Path> root;

    FramesFolder(@Value("${halfdusk.frames:}") String folder) {
        this.root = folder.isBlank() ? Optional.empty() : Optional.of(Path.of(folder));
    }

    /** Whether one was named. */
    public boolean named() {
        return root.isPresent();
    }

    /**
     * A folder as it is offered.
     *
     * @param path below the one that was named, with slashes; empty for that itself
     * @param pictures files in it that may be frames, without those of its own folders
     */
    public record Listed(String path, int pictures) {}

    /** That which was named and all below it that hold pictures, up to {@link #MOST_FOLDERS}. */
    public List<Listed> folders() {
        if (root.isEmpty() || !Files.isDirectory(root.get())) {
            return List.of();
        }
        Path top = real(root.get());
        try (Stream<Path> all = Files.walk(top, DEEPEST)) {
            return all.filter(Files::isDirectory)
                    .filter(p -> real(p).startsWith(top))
                    .limit(MOST_FOLDERS)
                    .map(p -> new Listed(
                            top.relativize(p).toString().replace('\\', '/'),
                            pictures(p).size()))
                    .filter(l -> l.pictures() > 0)
                    .sorted(Comparator.comparing(Listed::path))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException("the folder of frames cannot be listed", e);
        }
    }

    public static final int MOST_FOLDERS = 500;
    private static final int DEEPEST = 5;

    /**
     * The frames in one of its folders, by their names.
     *
     * @param path as of {@link Listed}
     * @throws IllegalArgumentException naming the folder, where it is not below the one that was named
     */
    public List<Path> frames(String path) {
        Path top = real(root.orElseThrow(() -> new IllegalArgumentException(
                "no folder of frames was named; one is named at start by --halfdusk.frames=FOLDER")));
        try {
            Path asked = top.resolve(path);
            if (Files.isDirectory(asked) && real(asked).startsWith(top)) {
                return pictures(asked);
            }
        } catch (InvalidPathException e) {
            // As one that is not there.
        }
        throw new IllegalArgumentException("folder “" + TypedNumber.shown(path)
                + "” is not in the folder that was named at start; a folder below it is allowed");
    }

    /** All pictures below it, in the folders that are offered. */
    public List<Path> all() {
        return folders().stream().flatMap(l -> frames(l.path()).stream()).toList();
    }

    private List<Path> pictures(Path folder) {
        Path top = real(root.orElseThrow());
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(FramesFolder::picture)
                    .filter(p -> real(p).startsWith(top) && Files.isRegularFile(p))
                    .sorted()
                    .toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    private static boolean picture(Path p) {
        String name = p.getFileName().toString();
        return !name.startsWith(".")
                && PICTURES.contains(name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT));
    }

    /** Where a path leads; what leads nowhere is in no folder. */
    private static Path real(Path p) {
        try {
            return p.toRealPath();
        } catch (IOException e) {
            return p.toAbsolutePath().getRoot();
        }
    }
}
