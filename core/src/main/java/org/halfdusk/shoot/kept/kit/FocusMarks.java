package org.halfdusk.shoot.kept.kit;

import java.util.List;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.shoot.kept.Kept;

/** Where marks of focus are kept, by lens. */
public interface FocusMarks {
    /** All of all lenses, the newest first. */
    List<Kept<FocusMark>> all();

    /** Those of a lens, the newest first. */
    List<Kept<FocusMark>> of(long lensId);

    /**
     * Keeps one.
     *
     * @return its number
     * @throws IllegalArgumentException where its lens has {@link FocusMark#MOST} already
     */
    long add(FocusMark mark);

    /** Takes one away. @return whether it was there */
    boolean remove(long id);

    /** Brings it back. @return whether it was away */
    boolean restore(long id);
}
