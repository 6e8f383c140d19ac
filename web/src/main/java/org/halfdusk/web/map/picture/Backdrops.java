package org.halfdusk.web.map.picture;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.place.geodesy.Mercator;
import org.halfdusk.place.terrain.RasterMap;
import org.halfdusk.web.layout.words.Numbers;

/** Tiles of the user's raster maps that a view shows; closer than a map goes, its finest ones are drawn out. */
public final class Backdrops {
    private static final int MOST = 120;
    private static final double TILE = 256;

    private Backdrops() {}

    public static List<MapPicture.Backdrop> of(MapView v, List<RasterMap> maps) {
        List<MapPicture.Backdrop> tiles = new ArrayList<>();
        for (int n = 0; n < maps.size(); n++) {
            if (v.zoom() >= maps.get(n).leastZoom()) {
                add(tiles, v, n, maps.get(n));
            }
        }
        return tiles;
    }

    private static void add(List<MapPicture.Backdrop> tiles, MapView v, int number, RasterMap map) {
        int zoom = Math.min(v.zoom(), map.mostZoom());
        int world = 1 << zoom;
        double side = TILE * (1 << v.zoom() - zoom);
        double[] bounds = map.bounds();
        double halfWide = MapView.WIDTH * (0.5 + MapView.BEYOND) / v.scale();
        double halfHigh = MapView.HEIGHT * (0.5 + MapView.BEYOND) / v.scale();
        int west = (int) Math.floor(world * Math.max(Mercator.x(bounds[0]), v.worldX() - halfWide));
        int east = (int) Math.floor(world * Math.min(Mercator.x(bounds[2]), v.worldX() + halfWide));
        int north = (int) Math.floor(world * Math.max(Mercator.y(bounds[3]), v.worldY() - halfHigh));
        int south = (int) Math.floor(world * Math.min(Mercator.y(bounds[1]), v.worldY() + halfHigh));
        for (int y = north; y <= south; y++) {
            for (int x = west; x <= east && tiles.size() < MOST; x++) {
                tiles.add(new MapPicture.Backdrop(
                        "/map/tiles/" + number + "/" + zoom + "/" + x + "/" + y,
                        Numbers.tenths(MapView.WIDTH / 2.0 + ((double) x / world - v.worldX()) * v.scale()),
                        Numbers.tenths(MapView.HEIGHT / 2.0 + ((double) y / world - v.worldY()) * v.scale()),
                        Numbers.tenths(side)));
            }
        }
    }
}
