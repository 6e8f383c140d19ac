package org.halfdusk.web.command.stack;

import java.io.Closeable;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.frame.stack.held.Shelf;

/** A shelf in a folder: a file a frame, six bytes a pixel. One that is there whole from a run before is not made again. */
final class ShelfFolder implements Shelf, Closeable {
    private final Path folder;
    private final int width;
    private final int height;
    private final List<Path> names = new ArrayList<>();
    private final List<FileChannel> open = new ArrayList<>();

    ShelfFolder(Path folder, int width, int height) throws IOException {
        this.folder = Files.createDirectories(folder);
        this.width = width;
        this.height = height;
    }

    /** What so many frames take. */
    static long bytes(int frames, int width, int height) {
        return 6L * width * height * frames;
    }

    private Path file(String name) {
        return folder.resolve(name + ".lines");
    }

    /** Whether a frame lies there whole. */
    boolean has(String name) throws IOException {
        return Files.exists(file(name)) && Files.size(file(name)) == bytes(1, width, height);
    }

    /** Lays a frame down, whole or not at all. */
    void lay(String name, Picture frame) throws IOException {
        Path part = folder.resolve(name + ".part");
        short[] row = new short[3 * width];
        ByteBuffer bytes = ByteBuffer.allocate(6 * width);
        try (FileChannel out = FileChannel.open(
                part, StandardOpenOption.CREATE, StandardOpenOption.TRUNCATE_EXISTING, StandardOpenOption.WRITE)) {
            for (int y = 0; y < height; y++) {
                frame.line(y, row);
                bytes.clear();
                bytes.asShortBuffer().put(row);
                while (bytes.hasRemaining()) {
                    out.write(bytes);
                }
            }
        }
        Files.move(part, file(name), StandardCopyOption.REPLACE_EXISTING);
    }

    /** Numbers frames that lie there, in this order, to be compared. */
    void open(List<String> which) throws IOException {
        for (String name : which) {
            names.add(file(name));
            open.add(FileChannel.open(file(name), StandardOpenOption.READ));
        }
    }

    @Override
    public void get(int frame, int y, short[] rgb) {
        ByteBuffer bytes = ByteBuffer.allocate(2 * rgb.length);
        try {
            long from = (long) y * bytes.capacity();
            while (bytes.hasRemaining()) {
                if (open.get(frame).read(bytes, from + bytes.position()) < 0) {
                    throw new IOException("the file " + names.get(frame).getFileName() + " ends early");
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        bytes.flip();
        bytes.asShortBuffer().get(rgb);
    }

    @Override
    public void close() throws IOException {
        for (FileChannel c : open) {
            c.close();
        }
    }
}
