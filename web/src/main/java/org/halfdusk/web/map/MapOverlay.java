package org.halfdusk.web.map;

import java.util.Map;

/** What somebody adds to the map for what its address asks. */
public interface MapOverlay {
    /** Nothing where the query does not concern it. */
    MapShapes shapes(Map<String, String> query);

    /** What the page of the map says of it; empty where nothing is to be said. */
    default String words(Map<String, String> query) {
        return "";
    }
}
