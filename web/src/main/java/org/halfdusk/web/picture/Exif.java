package org.halfdusk.web.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.lang.Rational;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.jpeg.JpegDirectory;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.halfdusk.shoot.review.taken.Shot;

/**
 * What a camera has written into a picture's file (Exif 2.32).
 *
 * @param shot how it says that it took it
 * @param orientation how the picture lies in its file, 1 to 8; 1 where it does not say
 */
public record Exif(Shot shot, int orientation) {
    public static final Exif NOTHING = new Exif(Shot.UNKNOWN, 1);

    /** Of a picture whose pixels are so many times as large as those that the camera wrote of. */
    Exif coarser(double times) {
        return new Exif(shot.withPitch(times), orientation);
    }

    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("yyyy:MM:dd HH:mm:ss", Locale.ROOT);

    /** What a resolution of the focal plane is counted in, mm: inch, centimetre, millimetre, micrometre. */
    private static final double[] UNIT_MM = {25.4, 25.4, 25.4, 10, 1, 0.001};

    private static final double MICRONS_PER_MM = 1000;

    /**
     * Of a file; nothing of it where it is no picture that can be read.
     *
     * @throws IOException where the stream itself cannot be read
     */
    public static Exif read(InputStream file) throws IOException {
        return said(file).exif();
    }

    private static Exif of(Metadata m) {
        return new Exif(
                new Shot(
                        text(m, ExifDirectoryBase.TAG_DATETIME_ORIGINAL)
                                .flatMap(t -> taken(t, text(m, ExifDirectoryBase.TAG_SUBSECOND_TIME_ORIGINAL))),
                        text(m, ExifDirectoryBase.TAG_TIME_ZONE_ORIGINAL).flatMap(Exif::offset),
                        number(m, ExifDirectoryBase.TAG_EXPOSURE_TIME),
                        number(m, ExifDirectoryBase.TAG_FNUMBER),
                        whole(number(m, ExifDirectoryBase.TAG_ISO_EQUIVALENT)),
                        number(m, ExifDirectoryBase.TAG_FOCAL_LENGTH),
                        pitch(m)),
                (int) number(m, ExifDirectoryBase.TAG_ORIENTATION).orElse(1));
    }

    /** @param colours of a JPEG; 0 where a file is none */
    record Said(Exif exif, int colours) {}

    /** The same with how many colours it has, read once. @throws IOException as {@link #read} */
    static Said said(InputStream file) throws IOException {
        try {
            Metadata m = ImageMetadataReader.readMetadata(file);
            JpegDirectory jpeg = m.getFirstDirectoryOfType(JpegDirectory.class);
            Integer n = jpeg == null ? null : jpeg.getInteger(JpegDirectory.TAG_NUMBER_OF_COMPONENTS);
            return new Said(of(m), n == null ? 0 : n);
        } catch (ImageProcessingException | EOFException e) {
            return new Said(NOTHING, 0);
        }
    }

    private static Optional<LocalDateTime> taken(String text, Optional<String> fraction) {
        try {
            LocalDateTime whole = LocalDateTime.parse(text.strip(), WRITTEN);
            return Optional.of(fraction.map(String::strip)
                    .filter(f -> f.matches("\\d{1,9}"))
                    .map(f -> whole.plusNanos(Math.round(Double.parseDouble("0." + f) * 1e9)))
                    .orElse(whole));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private static Optional<ZoneOffset> offset(String text) {
        try {
            return Optional.of(ZoneOffset.of(text.strip()));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private static OptionalDouble pitch(Metadata m) {
        OptionalDouble perUnit = number(m, ExifDirectoryBase.TAG_FOCAL_PLANE_X_RESOLUTION);
        if (perUnit.isEmpty()) {
            return perUnit;
        }
        int unit = (int)
                number(m, ExifDirectoryBase.TAG_FOCAL_PLANE_RESOLUTION_UNIT).orElse(2);
        return unit < 0 || unit >= UNIT_MM.length
                ? OptionalDouble.empty()
                : OptionalDouble.of(UNIT_MM[unit] / perUnit.getAsDouble() * MICRONS_PER_MM);
    }

    private static Optional<String> text(Metadata m, int tag) {
        for (Directory d : m.getDirectoriesOfType(ExifDirectoryBase.class)) {
            String text = d.getString(tag);
            if (text != null && !text.isBlank()) {
                return Optional.of(text);
            }
        }
        return Optional.empty();
    }

    /** Above 0 and finite: a camera writes 0/0 for what it does not know. */
    private static OptionalDouble number(Metadata m, int tag) {
        for (Directory d : m.getDirectoriesOfType(ExifDirectoryBase.class)) {
            Rational r = d.getRational(tag);
            Double value = r != null ? Double.valueOf(r.doubleValue()) : d.getDoubleObject(tag);
            if (value != null && value > 0 && Double.isFinite(value)) {
                return OptionalDouble.of(value);
            }
        }
        return OptionalDouble.empty();
    }

    private static OptionalInt whole(OptionalDouble number) {
        return number.isEmpty() ? OptionalInt.empty() : OptionalInt.of((int) Math.round(number.getAsDouble()));
    }
}
