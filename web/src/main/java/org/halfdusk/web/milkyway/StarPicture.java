package org.halfdusk.web.milkyway;

import org.halfdusk.trailing.StarImage;
import org.halfdusk.trailing.Trailing;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;

/**
 * A star at 100 % as squares of grey: only pixels that differ from the ground are drawn.
 *
 * @param squares ready as SVG: some hundreds cost a template engine more than computing them
 */
public record StarPicture(String squares) {
    /** Pixels across and down. */
    static final int SIZE = 21;

    /** Side of a drawn pixel. */
    static final double SIDE = 135.0 / SIZE;

    /** Brightness of the ground that the picture's background has already. */
    private static final double GROUND = 0.02;

    /** @param blurPx of the lens, as a standard deviation */
    public static StarPicture of(Trailing.Path path, double blurPx, Theme theme) {
        double[][] light = StarImage.of(path, blurPx, SIZE);
        StringBuilder squares = new StringBuilder();
        for (int row = 0; row < SIZE; row++) {
            for (int column = 0; column < SIZE; column++) {
                if (light[row][column] > GROUND) {
                    int grey = (int) Math.round(255 * Math.pow(Math.min(1, light[row][column]), 1 / 2.2));
                    String two = Integer.toHexString(0x100 | grey).substring(1);
                    squares.append("<rect width=\"6\" height=\"6\" x=\"")
                            .append(Numbers.tenths(column * SIDE))
                            .append("\" y=\"")
                            .append(Numbers.tenths(row * SIDE))
                            .append("\" fill=\"")
                            .append(theme.colour("#" + two + two + two))
                            .append("\"/>");
                }
            }
        }
        return new StarPicture(squares.toString());
    }
}
