package org.halfdusk.web.map;

/** What somebody adds to the map. */
public interface MapLayer {
    MapShapes shapes();
}
