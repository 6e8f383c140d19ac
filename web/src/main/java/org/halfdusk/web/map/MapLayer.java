package org.halfdusk.web.map;

import org.halfdusk.web.map.picture.MapShapes;

/** What somebody adds to the map. */
public interface MapLayer {
    MapShapes shapes();
}
