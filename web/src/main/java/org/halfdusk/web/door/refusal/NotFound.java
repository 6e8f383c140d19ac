package org.halfdusk.web.door.refusal;

import org.halfdusk.place.Place;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;

/** Something a page was asked for is not there; says what and what to do. */
public class NotFound extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotFound(String message) {
        super(message);
    }

    /** A shoot that is not there, or not any more. */
    public static NotFound shoot(long id) {
        return new NotFound("There is no shoot number " + id + ", or it was deleted.");
    }

    /** A place that an address names. */
    public static Kept<Place> place(Places places, long id) {
        return places.find(id).orElseThrow(() -> place(id));
    }

    /** A place that is not there. */
    public static NotFound place(long id) {
        return new NotFound("There is no place number " + id + ".");
    }
}
