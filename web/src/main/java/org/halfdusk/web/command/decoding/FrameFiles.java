package org.halfdusk.web.command.decoding;

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
import org.halfdusk.shoot.review.taken.Shot;
import org.halfdusk.web.picture.PictureFile;

/**
 * Frames that can be made one: of one size, in the order in which they were taken.
 *
 * @param left those that cannot, each with why
 */
public record FrameFiles(List<Frame> frames, List<Left> left, int width, int height) {
    /** A frame's file, looked into. */
    public record Frame(PictureFile.Head head) {
        public String name() {
            return head.name();
        }

        public Shot shot() {
            return head.exif().shot();
        }

        private String size() {
            return head.width() + " by " + head.height();
        }
    }

    /** A file that is not in the picture. */
    public record Left(String name, String why) {}

    /** A file that was looked into; nothing of it where it is no frame. */
    private record Looked(Optional<Frame> frame, Left otherwise) {
        static Looked at(Path file) {
            String name = file.getFileName().toString();
            try {
                return new Looked(Optional.of(new Frame(PictureFile.head(file, name))), new Left(name, ""));
            } catch (IllegalArgumentException e) {
                return new Looked(Optional.empty(), new Left(name, String.valueOf(e.getMessage())));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    public static FrameFiles of(List<Path> files) throws IOException {
        List<Left> left = new ArrayList<>();
        List<Frame> all = new ArrayList<>();
        // Files are looked into side by side, and taken in their order.
        try {
            files.parallelStream()
                    .map(Looked::at)
                    .toList()
                    .forEach(l -> l.frame().ifPresentOrElse(all::add, () -> left.add(l.otherwise())));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        Map<String, Integer> sizes = new HashMap<>();
        all.forEach(l -> sizes.merge(l.size(), 1, Integer::sum));
        String usual = sizes.entrySet().stream()
                .max(Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse("");
        List<Frame> same = new ArrayList<>();
        for (Frame f : all) {
            if (f.size().equals(usual)) {
                same.add(f);
            } else {
                left.add(new Left(
                        f.name(),
                        "is " + f.size() + " pixels; " + usual + " is what the others have" + turned(f, usual)));
            }
        }
        same.sort(Comparator.comparing((Frame f) -> f.shot().taken().orElse(LocalDateTime.MIN))
                .thenComparing(Frame::name)
                .thenComparing(f -> f.head().file().toString()));
        int width = same.isEmpty() ? 0 : same.get(0).head().width();
        int height = same.isEmpty() ? 0 : same.get(0).head().height();
        return new FrameFiles(List.copyOf(same), List.copyOf(left), width, height);
    }

    private static String turned(Frame f, String usual) {
        return usual.equals(f.head().height() + " by " + f.head().width()) ? ": the camera was turned" : "";
    }

    /** Only those of another size or exposure fall out. @param like how the frames were taken whose darks these are */
    public FrameFiles darksOf(FrameFiles like) {
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
