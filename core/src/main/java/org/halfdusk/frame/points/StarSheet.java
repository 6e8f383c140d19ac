package org.halfdusk.frame.points;

import java.util.List;
import java.util.Optional;

/**
 * Shapes of the stars over the frame, to be drawn.
 *
 * @param columns of parts, 1 or more
 * @param rows of parts, 1 or more
 * @param cells row by row from the top left
 * @param typical a star of each of three by three parts that looks as those about it do; nothing where there are too few
 */
public record StarSheet(int columns, int rows, List<FieldCell> cells, List<Optional<At>> typical) {
    public StarSheet {
        cells = List.copyOf(cells);
        typical = List.copyOf(typical);
    }

    /** A pixel. @param x from the left, from 0 @param y from the top, from 0 */
    public record At(int x, int y) {}
}
