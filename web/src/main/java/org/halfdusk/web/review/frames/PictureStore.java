package org.halfdusk.web.review.frames;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.halfdusk.web.layout.files.DataHome;
import org.halfdusk.web.layout.files.WholeFile;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * The small pictures of frames, in a folder of their own beside the data: never the frames themselves. At most {@link #MOST_BYTES}; where
 * more would be kept, the large previews of rejected frames go first, the oldest before the others, then those of all.
 */
@Component
class PictureStore {
    /** Long side of a thumbnail and of a preview, px. */
    static final int THUMBNAIL = 320;

    static final int PREVIEW = 2048;

    static final long MOST_BYTES = 2_000_000_000;

    /** What is made room for at once, so that it is not looked for at each frame. */
    private static final double ROOM = 0.95;

    private static final String LARGE = "-" + PREVIEW + ".jpg";

    private final Path folder;
    private final long most;
    private @Nullable Long size;

    @Autowired
    PictureStore(DataHome home) {
        this(home, MOST_BYTES);
    }

    PictureStore(DataHome home, long most) {
        this.folder = home.folder().resolve("pictures");
        this.most = most;
        sweep(home.folder());
        sweep(folder);
    }

    /** What a process that was killed had begun to write, or had been sent. */
    private static void sweep(Path folder) {
        if (!Files.isDirectory(folder)) {
            return;
        }
        try (Stream<Path> all = Files.list(folder)) {
            for (Path p : all.filter(f -> f.getFileName().toString().matches("(half|sent).*\\.part"))
                    .toList()) {
                Files.deleteIfExists(p);
            }
        } catch (IOException e) {
            throw new UncheckedIOException("what was left half written in " + folder + " cannot be swept", e);
        }
    }

    private Path of(String hash, String kind) {
        return folder.resolve(hash + "-" + kind);
    }

    /** Under another name until it is whole. */
    void put(String hash, String kind, byte[] bytes) throws IOException {
        WholeFile.write(of(hash, kind), bytes);
        added(bytes.length);
    }

    Optional<byte[]> get(String hash, String kind) {
        Path file = of(hash, kind);
        try {
            return Files.isRegularFile(file) ? Optional.of(Files.readAllBytes(file)) : Optional.empty();
        } catch (IOException e) {
            throw new UncheckedIOException("a picture of a frame cannot be read", e);
        }
    }

    private synchronized void added(long bytes) throws IOException {
        Long known = size;
        size = known == null ? measured() : known + bytes;
    }

    private long measured() throws IOException {
        long sum = 0;
        for (Path p : files()) {
            sum += Files.size(p);
        }
        return sum;
    }

    private List<Path> files() throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(Files::isRegularFile).toList();
        }
    }

    /** Makes room where there is too much. @param rejected hashes of frames that a person rejected */
    synchronized void trim(Supplier<Set<String>> rejected) throws IOException {
        Long known = size;
        long sum = known == null ? measured() : known;
        if (sum <= most) {
            size = sum;
            return;
        }
        Set<String> out = rejected.get();
        List<Path> large = new ArrayList<>();
        for (Path p : files()) {
            if (p.getFileName().toString().endsWith(LARGE)) {
                large.add(p);
            }
        }
        large.sort(Comparator.comparing((Path p) -> !out.contains(hash(p))).thenComparing(PictureStore::age));
        sum = measured();
        for (Path p : large) {
            if (sum <= ROOM * most) {
                break;
            }
            long bytes = Files.size(p);
            Files.deleteIfExists(p);
            sum -= bytes;
        }
        size = sum;
    }

    private static String hash(Path p) {
        return p.getFileName().toString().replaceFirst("-.*", "");
    }

    private static FileTime age(Path p) {
        try {
            return Files.getLastModifiedTime(p);
        } catch (IOException e) {
            return FileTime.fromMillis(0);
        }
    }

    /** All of a frame's. */
    synchronized void drop(String hash) throws IOException {
        for (Path p : files()) {
            if (hash(p).equals(hash)) {
                Files.deleteIfExists(p);
            }
        }
        size = measured();
    }
}
