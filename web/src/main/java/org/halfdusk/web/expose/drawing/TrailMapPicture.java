package org.halfdusk.web.expose.drawing;

import org.halfdusk.trailing.TrailMap;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/**
 * How long stars trail over the frame as it stands in the hand: a cell a part of it, upright frames upright.
 *
 * @param cells ready as SVG
 */
public record TrailMapPicture(String viewBox, String cells, String words) {
    private static final double CELL = 30;

    private static String cell(int across, int down, String colour) {
        return "<rect width=\"29\" height=\"29\" x=\"" + Numbers.tenths(across * CELL) + "\" y=\""
                + Numbers.tenths(down * CELL) + "\" fill=\"" + colour + "\"/>";
    }

    private static String label(int across, int down, String text) {
        return "<text class=\"svg-label\" text-anchor=\"middle\" x=\"" + Numbers.tenths((across + 0.5) * CELL)
                + "\" y=\"" + Numbers.tenths((down + 0.65) * CELL) + "\">" + text + "</text>";
    }

    /** @param upright whether the sensor's long side stands */
    public static TrailMapPicture of(TrailMap map, boolean upright, double budgetPx, Theme theme) {
        int rows = map.px().length;
        int columns = map.px()[0].length;
        StringBuilder cells = new StringBuilder();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                double px = map.px()[row][column];
                // Turned a quarter to the left, as the camera is.
                int across = upright ? row : column;
                int down = upright ? columns - 1 - column : row;
                boolean corner = (row == 0 || row == rows - 1) && (column == 0 || column == columns - 1);
                boolean middle = row == rows / 2 && column == columns / 2;
                boolean worst = row == map.worstRow() && column == map.worstColumn();
                double share = Math.min(1, px / (3 * budgetPx));
                cells.append(cell(across, down, theme.colour(SkyColours.mix("#1f3a3a", "#e4695f", share))));
                if (corner || middle || worst) {
                    cells.append(label(across, down, Words.tenths(px)));
                }
            }
        }
        double w = (upright ? rows : columns) * CELL;
        double h = (upright ? columns : rows) * CELL;
        return new TrailMapPicture(
                "0 0 " + Numbers.tenths(w) + " " + Numbers.tenths(h),
                cells.toString(),
                "Trails in px over the frame as it is aimed: " + Words.tenths(map.px()[rows / 2][columns / 2])
                        + " in the middle, " + Words.tenths(map.mean()) + " on average, " + Words.tenths(map.worst())
                        + " at the worst; round in " + Words.percent(map.within(budgetPx)) + " of it.");
    }
}
