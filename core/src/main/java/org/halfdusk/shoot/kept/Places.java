package org.halfdusk.shoot.kept;

import java.util.List;
import java.util.Optional;
import org.halfdusk.place.Place;

/** Where places are kept. */
public interface Places {
    /** Places that are not deleted, by name. */
    List<Kept<Place>> list();

    /** Those that are kept and cannot be read; shoots that stand on them say so. */
    List<Unread> unread();

    /**
     * Also finds a deleted one, since shoots may still stand on it.
     *
     * @throws Unreadable where it is kept and cannot be read
     */
    Optional<Kept<Place>> find(long id);

    long add(Place place);

    boolean update(long id, Place place);

    /** Titles of shoots that stand on it. */
    List<String> usedBy(long id);

    boolean delete(long id);

    boolean restore(long id);
}
