package org.halfdusk.web.milkyway;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.halfdusk.exposure.StarImage;
import org.halfdusk.exposure.Trailing;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;

/** A star at 100 % as squares of grey: only pixels that differ from the ground are listed. */
public record StarPicture(List<Pixel> pixels) {
    /** Pixels across and down. */
    static final int SIZE = 21;

    /** Side of a drawn pixel. */
    static final double SIDE = 135.0 / SIZE;

    /** Brightness of the ground that the picture's background has already. */
    private static final double GROUND = 0.02;

    public record Pixel(String x, String y, String colour) {}

    public static StarPicture of(Trailing.Path path, Theme theme) {
        double[][] light = StarImage.of(path, SIZE);
        List<Pixel> pixels = new ArrayList<>();
        for (int row = 0; row < SIZE; row++) {
            for (int column = 0; column < SIZE; column++) {
                if (light[row][column] > GROUND) {
                    int grey = (int) Math.round(255 * Math.pow(Math.min(1, light[row][column]), 1 / 2.2));
                    String colour = String.format(Locale.ROOT, "#%02x%02x%02x", grey, grey, grey);
                    pixels.add(new Pixel(Words.plain(column * SIDE), Words.plain(row * SIDE), theme.colour(colour)));
                }
            }
        }
        return new StarPicture(pixels);
    }
}
