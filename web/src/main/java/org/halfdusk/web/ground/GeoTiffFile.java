package org.halfdusk.web.ground;

import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.stream.ImageInputStream;
import org.halfdusk.place.terrain.ElevationGrid;

/**
 * Heights as a GeoTIFF: one band of whole or broken metres in degrees of latitude and longitude, north up, with the tags of place and
 * step (33550, 33922), of what the numbers mean (34735) and of what stands for nothing (42113).
 */
final class GeoTiffFile {
    private static final int PIXEL_SCALE = 33550;
    private static final int TIE_POINT = 33922;
    private static final int KEYS = 34735;
    private static final int NO_DATA = 42113;
    private static final int MODEL_TYPE = 1024;
    private static final int RASTER_TYPE = 1025;
    private static final int GEOGRAPHIC = 2;
    private static final int PIXEL_IS_POINT = 2;

    /** A gap where no tag says what stands for one. */
    private static final double USUAL_GAP = -9999;

    private GeoTiffFile() {}

    /** @throws IllegalArgumentException where it is none, or in metres of a projection @throws IOException where it cannot be read */
    static ElevationGrid read(Path file) throws IOException {
        TIFFDirectory tags = with(file, reader(true), r -> {
            int width = r.getWidth(0);
            int height = r.getHeight(0);
            if ((long) width * height > ElevationGrid.MOST_CELLS || width < 2 || height < 2) {
                throw new IllegalArgumentException("it has " + width + " × " + height + " heights; from 2 × 2 up to "
                        + ElevationGrid.MOST_CELLS + " in all are allowed: cut it to what can be seen");
            }
            return TIFFDirectory.createFromMetadata(r.getImageMetadata(0));
        });
        return grid(tags, with(file, reader(false), r -> r.read(0).getRaster()));
    }

    /** What is asked of a reader. */
    @FunctionalInterface
    private interface Asked<T> {
        T of(ImageReader reader) throws IOException;
    }

    private static <T> T with(Path file, ImageReader reader, Asked<T> asked) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            reader.setInput(in);
            return asked.of(reader);
        } catch (IllegalArgumentException e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            throw new IOException("it cannot be decoded as TIFF: " + e.getMessage(), e);
        } finally {
            reader.dispose();
        }
    }

    /** The platform's own, which knows every tag, or the other, which undoes every kind of packing. */
    private static ImageReader reader(boolean own) {
        Iterator<ImageReader> all = ImageIO.getImageReadersByFormatName("tiff");
        ImageReader reader = all.next();
        while (reader.getClass().getName().startsWith("com.sun.") != own && all.hasNext()) {
            reader = all.next();
        }
        return reader;
    }

    private static ElevationGrid grid(TIFFDirectory tags, Raster raster) {
        int width = raster.getWidth();
        int height = raster.getHeight();
        TIFFField scale = needed(tags, PIXEL_SCALE, "the size of its pixels");
        TIFFField tie = needed(tags, TIE_POINT, "where it lies");
        TIFFField keys = needed(tags, KEYS, "what its numbers mean");
        if (key(keys, MODEL_TYPE).orElse(0) != GEOGRAPHIC) {
            throw new IllegalArgumentException(
                    "its heights lie on a projection; degrees of latitude and longitude (WGS 84) are allowed");
        }
        double stepX = scale.getAsDouble(0);
        double stepY = scale.getAsDouble(1);
        if (Math.abs(stepX - stepY) > stepX * 1e-3 || !(stepX > 0 && stepX <= 1)) {
            throw new IllegalArgumentException(
                    "its steps are " + stepX + "° by " + stepY + "°; the same both ways, above 0° to 1°, are allowed");
        }
        // Of an area the corner is told, of a point its middle.
        double middle = key(keys, RASTER_TYPE).orElse(1) == PIXEL_IS_POINT ? 0 : 0.5;
        double west = tie.getAsDouble(3) + (middle - tie.getAsDouble(0)) * stepX;
        double north = tie.getAsDouble(4) - (middle - tie.getAsDouble(1)) * stepY;
        double nothing = Optional.<TIFFField>ofNullable(tags.getTIFFField(NO_DATA))
                .map(f -> number(f.getAsString(0)))
                .orElse(USUAL_GAP);
        float[][] metres = new float[height][width];
        for (int row = 0; row < height; row++) {
            float[] line = metres[height - 1 - row];
            for (int column = 0; column < width; column++) {
                float v = raster.getSampleFloat(column, row, 0);
                line[column] = v == nothing || !(Math.abs(v) < 20_000) ? Float.NaN : v;
            }
        }
        return new ElevationGrid(west, north - (height - 1) * stepY, stepX, metres);
    }

    private static double number(String text) {
        try {
            return Double.parseDouble(text.strip());
        } catch (NumberFormatException e) {
            return USUAL_GAP;
        }
    }

    private static TIFFField needed(TIFFDirectory tags, int tag, String what) {
        TIFFField field = tags.getTIFFField(tag);
        if (field == null) {
            throw new IllegalArgumentException("its tag " + tag + ", " + what + ", is missing: a GeoTIFF is needed");
        }
        return field;
    }

    /** A key of the directory of keys: each four numbers, the last the value where the second is 0. */
    private static Optional<Integer> key(TIFFField keys, int wanted) {
        for (int i = 4; i + 3 < keys.getCount(); i += 4) {
            if (keys.getAsInt(i) == wanted && keys.getAsInt(i + 1) == 0) {
                return Optional.of(keys.getAsInt(i + 3));
            }
        }
        return Optional.empty();
    }
}
