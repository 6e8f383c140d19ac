package org.halfdusk.shoot.kept;

import java.util.List;
import org.halfdusk.place.Track;

/** Where ways on the map are kept. */
public interface Tracks {
    /** Tracks that are not deleted, by name. */
    List<Kept<Track>> list();

    /** Those that are kept and cannot be read. */
    List<Unread> unread();

    long add(Track track);

    boolean delete(long id);

    boolean restore(long id);
}
