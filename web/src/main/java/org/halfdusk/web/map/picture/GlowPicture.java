package org.halfdusk.web.map.picture;

import java.awt.image.BufferedImage;
import java.util.List;
import org.halfdusk.light.map.GlowTiles;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;

/** The night's brightness over a part of the map, as a picture to lay over it. */
public final class GlowPicture {
    /** From here on it is painted; over the whole world it would say nothing. */
    static final int LEAST_ZOOM = 5;

    /** A pixel stands for so many units of the sheet. */
    private static final int UNITS = 8;

    /**
     * Steps of the scale.
     *
     * @param from mag/arcsec² from which it holds, up to the next
     * @param opacity of its colour over the map, of 255
     */
    private record Step(double from, int colour, int opacity) {}

    private static final List<Step> SCALE = List.of(
            new Step(16.5, 0xf0b088, 235),
            new Step(18, 0xc9785f, 215),
            new Step(19.5, 0x8a5a74, 185),
            new Step(20.8, 0x4a4a86, 140),
            new Step(21.3, 0x2c3668, 84),
            new Step(21.75, 0x1a2046, 0));

    private GlowPicture() {}

    /** A line of the legend. */
    public record Key(String name, String range, String colour) {}

    /** The map's own ground, on which the scale is told. */
    private static final int GROUND = 0x151a28;

    /** As the drawn scale is told: the middle of each stretch as it looks on the map. */
    public static List<Key> legend(Theme theme) {
        return List.of(
                key(theme, 17.2, "city", "under 18"),
                key(theme, 18.75, "suburb", "18 to 19.5"),
                key(theme, 20.15, "village edge", "19.5 to 20.8"),
                key(theme, 21.05, "dark", "20.8 to 21.3"),
                key(theme, 21.55, "darkest", "over 21.3"));
    }

    private static Key key(Theme theme, double magnitude, String name, String range) {
        int painted = argb(magnitude, Theme.DESK);
        int looks = SkyColours.mix(GROUND, painted & 0xffffff, (painted >>> 24) / 255.0);
        return new Key(
                name,
                range,
                "#" + Integer.toHexString(0x1000000 | theme.rgb(looks)).substring(1));
    }

    public static BufferedImage of(GlowTiles tiles, MapView v, Theme theme) {
        double wide = 1 + 2 * MapView.BEYOND;
        int columns = (int) (MapView.WIDTH * wide / UNITS);
        int rows = (int) (MapView.HEIGHT * wide / UNITS);
        double width = MapView.WIDTH * wide / v.scale();
        double height = MapView.HEIGHT * wide / v.scale();
        float[][] part = tiles.part(
                GlowTiles.zoomFor(v.zoom()),
                v.worldX() - width / 2,
                v.worldY() - height / 2,
                width,
                height,
                columns,
                rows);
        BufferedImage image = new BufferedImage(columns, rows, BufferedImage.TYPE_INT_ARGB);
        for (int r = 0; r < rows; r++) {
            for (int c = 0; c < columns; c++) {
                image.setRGB(c, r, argb(part[r][c], theme));
            }
        }
        return image;
    }

    private static int argb(double magnitude, Theme theme) {
        int i = 1;
        while (i < SCALE.size() - 1 && magnitude > SCALE.get(i).from()) {
            i++;
        }
        Step a = SCALE.get(i - 1);
        Step b = SCALE.get(i);
        double share = Math.max(0, Math.min(1, (magnitude - a.from()) / (b.from() - a.from())));
        int opacity = (int) Math.round(a.opacity() + share * (b.opacity() - a.opacity()));
        return opacity << 24 | theme.rgb(SkyColours.mix(a.colour(), b.colour(), share));
    }
}
