package org.halfdusk.web.picture;

import org.halfdusk.frame.picture.Pixels;

/** A picture turned as its file says it is shown: orientations 2 to 8 of Exif 2.32. */
record TurnedPixels(Pixels stored, int orientation) implements Pixels {
    @Override
    public int width() {
        return orientation >= 5 ? stored.height() : stored.width();
    }

    @Override
    public int height() {
        return orientation >= 5 ? stored.width() : stored.height();
    }

    @Override
    public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
        float[] r = new float[1];
        float[] g = new float[1];
        float[] b = new float[1];
        int w = stored.width() - 1;
        int h = stored.height() - 1;
        for (int k = 0; k < n; k++) {
            int dx = x + k;
            int sx = switch (orientation) {
                case 2, 3 -> w - dx;
                case 4 -> dx;
                case 5, 6 -> y;
                default -> w - y;
            };
            int sy = switch (orientation) {
                case 2 -> y;
                case 3, 4 -> h - y;
                case 5, 8 -> dx;
                default -> h - dx;
            };
            stored.row(sy, sx, 1, r, g, b);
            red[k] = r[0];
            green[k] = g[0];
            blue[k] = b[0];
        }
    }
}
