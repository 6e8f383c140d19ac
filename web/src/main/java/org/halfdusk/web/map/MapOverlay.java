package org.halfdusk.web.map;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.optics.framing.FrameWedge;
import org.halfdusk.web.map.picture.MapShapes;
import org.halfdusk.web.subject.page.Table;

/** What somebody adds to the map for what its address asks. */
public interface MapOverlay {
    /** Nothing where the query does not concern it. */
    Optional<Laid> laid(Map<String, String> query);

    /** What is laid over one map; each part is made when it is asked for. */
    interface Laid {
        MapShapes shapes();

        /** What the page of the map says of it; empty where nothing is to be said. */
        default String words() {
            return "";
        }

        /** Whether what is said is a caution. */
        default boolean caution() {
            return true;
        }

        /** What a frame holds of the land about the place that the query names. */
        default Optional<FrameWedge> wedge() {
            return Optional.empty();
        }

        /** What the page of the map lists of it. */
        default List<Table> tables() {
            return List.of();
        }
    }
}
