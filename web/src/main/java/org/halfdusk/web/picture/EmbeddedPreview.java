package org.halfdusk.web.picture;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;

/**
 * The picture that a camera puts into a raw file to be looked at: the largest JPEG that the file's own directories name, else the largest
 * that begins anywhere in it.
 *
 * @param offset of its first byte in the file
 * @param width and height in pixels
 * @param rawWidth the longest side that the file names for its raw picture, px; 0 where it names none
 */
record EmbeddedPreview(long offset, long length, int width, int height, int rawWidth) {
    private static final Set<FileType> RAW = Set.of(
            FileType.Arw,
            FileType.Crw,
            FileType.Cr2,
            FileType.Nef,
            FileType.Orf,
            FileType.Raf,
            FileType.Rw2,
            FileType.Crx);

    private static final int TAG_DNG_VERSION = 0xC612;
    private static final int TAG_WIDTH = 0x100;
    private static final int TAG_HEIGHT = 0x101;
    private static final int TAG_COMPRESSION = 0x103;
    private static final int TAG_STRIP_OFFSETS = 0x111;
    private static final int TAG_STRIP_BYTES = 0x117;
    private static final int TAG_JPEG_OFFSET = 0x201;
    private static final int TAG_JPEG_LENGTH = 0x202;
    private static final Set<Integer> JPEG = Set.of(6, 7);
    private static final int MOST_FOUND = 24;
    private static final int LEAST_BYTES = 1000;
    private static final int CHUNK = 1 << 16;

    /** Whether a file is a raw one, which is not decoded itself. */
    static boolean raw(Path file) throws IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            FileType type = FileTypeDetector.detectFileType(in);
            return RAW.contains(type)
                    || type == FileType.Tiff
                            && metadata(file)
                                    .map(m -> directories(m).stream().anyMatch(d -> d.containsTag(TAG_DNG_VERSION)))
                                    .orElse(false);
        }
    }

    private static Optional<Metadata> metadata(Path file) throws IOException {
        try {
            return Optional.of(ImageMetadataReader.readMetadata(file.toFile()));
        } catch (ImageProcessingException e) {
            return Optional.empty();
        }
    }

    private static List<Directory> directories(Metadata m) {
        return List.copyOf(m.getDirectoriesOfType(ExifDirectoryBase.class));
    }

    /** Nothing where it holds none. */
    static Optional<EmbeddedPreview> of(Path file) throws IOException {
        Optional<Metadata> m = metadata(file);
        int rawWidth = m.map(EmbeddedPreview::rawWidth).orElse(0);
        long size = Files.size(file);
        List<long[]> named = m.map(EmbeddedPreview::named).orElseGet(List::of);
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            Optional<EmbeddedPreview> best = largest(in, size, named, rawWidth);
            return best.isPresent() ? best : largest(in, size, begun(in, size), rawWidth);
        }
    }

    private static int rawWidth(Metadata m) {
        int most = 0;
        for (Directory d : directories(m)) {
            Integer w = d.getInteger(TAG_WIDTH);
            Integer h = d.getInteger(TAG_HEIGHT);
            most = Math.max(most, Math.max(w == null ? 0 : w, h == null ? 0 : h));
        }
        return most;
    }

    private static List<long[]> named(Metadata m) {
        List<long[]> all = new ArrayList<>();
        for (Directory d : directories(m)) {
            Long offset = d.getLongObject(TAG_JPEG_OFFSET);
            Long length = d.getLongObject(TAG_JPEG_LENGTH);
            if (offset != null && length != null) {
                all.add(new long[] {offset, length});
            }
            Integer compression = d.getInteger(TAG_COMPRESSION);
            Long strip = d.getLongObject(TAG_STRIP_OFFSETS);
            Long bytes = d.getLongObject(TAG_STRIP_BYTES);
            if (compression != null && JPEG.contains(compression) && strip != null && bytes != null) {
                all.add(new long[] {strip, bytes});
            }
        }
        return all;
    }

    /** Where a JPEG seems to begin: FF D8 FF. */
    private static List<long[]> begun(RandomAccessFile in, long size) throws IOException {
        List<long[]> all = new ArrayList<>();
        byte[] chunk = new byte[CHUNK];
        for (long at = 0; at < size && all.size() < MOST_FOUND; at += CHUNK - 2) {
            in.seek(at);
            int n = in.read(chunk);
            for (int i = 0; i + 2 < n && all.size() < MOST_FOUND; i++) {
                if ((chunk[i] & 0xff) == 0xff && (chunk[i + 1] & 0xff) == 0xd8 && (chunk[i + 2] & 0xff) == 0xff) {
                    all.add(new long[] {at + i, size - at - i});
                }
            }
        }
        return all;
    }

    private static Optional<EmbeddedPreview> largest(
            RandomAccessFile in, long size, List<long[]> places, int rawWidth) {
        List<EmbeddedPreview> all = new ArrayList<>();
        for (long[] p : places) {
            if (p[0] >= 0 && p[1] >= LEAST_BYTES && p[0] + p[1] <= size) {
                measured(in, p[0], p[1], rawWidth).ifPresent(all::add);
            }
        }
        return all.stream().max(Comparator.comparingLong(e -> (long) e.width * e.height));
    }

    private static Optional<EmbeddedPreview> measured(RandomAccessFile in, long offset, long length, int rawWidth) {
        try {
            byte[] head = new byte[(int) Math.min(length, 1 << 20)];
            in.seek(offset);
            in.readFully(head);
            if ((head[0] & 0xff) != 0xff || (head[1] & 0xff) != 0xd8) {
                return Optional.empty();
            }
            try (ImageInputStream stream = new MemoryCacheImageInputStream(new ByteArrayInputStream(head))) {
                Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName("jpeg");
                ImageReader reader = readers.next();
                try {
                    reader.setInput(stream, true, true);
                    return Optional.of(
                            new EmbeddedPreview(offset, length, reader.getWidth(0), reader.getHeight(0), rawWidth));
                } finally {
                    reader.dispose();
                }
            }
        } catch (IOException | RuntimeException e) {
            // What only looks like a picture is none.
            return Optional.empty();
        }
    }

    /** How much larger a pixel of it is than one of the raw picture. */
    double coarser() {
        return rawWidth > Math.max(width, height) ? (double) rawWidth / Math.max(width, height) : 1;
    }
}
