package org.halfdusk.web.command;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.shoot.review.Shot;
import org.halfdusk.web.picture.Exif;
import org.halfdusk.web.picture.PictureFile;

/**
 * Frames that can be made one: of one size, in the order in which they were taken.
 *
 * @param left those that cannot, each with why
 */
record FrameFiles(List<Frame> frames, List<Left> left, int width, int height) {
    /** @param name as it is said; that of the file */
    record Frame(Path file, String name, Exif known) {
        Shot shot() {
            return known.shot();
        }
    }

    /** A file that is not in the picture. */
    record Left(String name, String why) {}

    /** A file that was looked into; nothing of it where it is no frame. */
    private record Tried(Optional<Looked> looked, String name, String why) {
        void either(List<Looked> all, List<Left> left) {
            looked.ifPresentOrElse(all::add, () -> left.add(new Left(name, why)));
        }
    }

    private static Tried looked(Path file) {
        String name = file.getFileName().toString();
        try {
            return new Tried(Optional.of(new Looked(file, name, PictureFile.head(file, name))), name, "");
        } catch (IllegalArgumentException e) {
            return new Tried(Optional.empty(), name, String.valueOf(e.getMessage()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private record Looked(Path file, String name, PictureFile.Head head) {
        String size() {
            return head.width() + " by " + head.height();
        }
    }

    static FrameFiles of(List<Path> files) throws IOException {
        List<Left> left = new ArrayList<>();
        List<Looked> all = new ArrayList<>();
        // Files are looked into side by side, and taken in their order.
        try {
            files.parallelStream().map(FrameFiles::looked).toList().forEach(l -> l.either(all, left));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        Map<String, Integer> sizes = new HashMap<>();
        all.forEach(l -> sizes.merge(l.size(), 1, Integer::sum));
        String usual = sizes.entrySet().stream()
                .max(Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse("");
        List<Looked> same = new ArrayList<>();
        for (Looked l : all) {
            if (l.size().equals(usual)) {
                same.add(l);
            } else {
                left.add(new Left(
                        l.name(),
                        "is " + l.size() + " pixels; " + usual + " is what the others have" + turned(l, usual)));
            }
        }
        List<Frame> frames = same.stream()
                .map(l -> new Frame(l.file(), l.name(), l.head().exif()))
                .sorted(Comparator.comparing((Frame f) -> f.shot().taken().orElse(LocalDateTime.MIN))
                        .thenComparing(Frame::name)
                        .thenComparing(f -> f.file().toString()))
                .toList();
        int width = same.isEmpty() ? 0 : same.get(0).head().width();
        int height = same.isEmpty() ? 0 : same.get(0).head().height();
        return new FrameFiles(frames, List.copyOf(left), width, height);
    }

    private static String turned(Looked l, String usual) {
        return usual.equals(l.head().height() + " by " + l.head().width()) ? ": the camera was turned" : "";
    }

    /** Only those of another size or exposure fall out. @param like how the frames were taken whose darks these are */
    FrameFiles darksOf(FrameFiles like) {
        List<Left> out = new ArrayList<>(left);
        List<Frame> fit = new ArrayList<>();
        Shot shot = like.frames().get(0).shot();
        for (Frame d : frames) {
            String why = width != like.width() || height != like.height()
                    ? "is " + width + " by " + height + " pixels; " + like.width() + " by " + like.height()
                            + " is what the frames have"
                    : differs("s", d.shot().seconds(), shot.seconds(), "exposed for ")
                            + differs("", iso(d.shot()), iso(shot), "taken at ISO ");
            if (why.isEmpty()) {
                fit.add(d);
            } else {
                out.add(new Left(d.name(), why));
            }
        }
        return new FrameFiles(fit, out, width, height);
    }

    private static OptionalDouble iso(Shot s) {
        return s.iso().isPresent() ? OptionalDouble.of(s.iso().getAsInt()) : OptionalDouble.empty();
    }

    private static String differs(String unit, OptionalDouble dark, OptionalDouble light, String what) {
        boolean same = dark.isEmpty()
                || light.isEmpty()
                || Math.abs(dark.getAsDouble() - light.getAsDouble()) <= ALIKE * light.getAsDouble();
        return same
                ? ""
                : "is a dark frame " + what + plain(dark.getAsDouble()) + unit + "; " + plain(light.getAsDouble())
                        + unit + " is what the frames have. ";
    }

    private static String plain(double v) {
        return v == Math.rint(v) ? Long.toString((long) v) : Double.toString(v);
    }

    /** Two marks for the same time may differ by so much. */
    private static final double ALIKE = 0.03;
}
