package org.halfdusk.shoot.kept.done;

import java.util.List;
import java.util.Set;
import org.halfdusk.shoot.kept.Kept;

/** Where it is kept what was packed for a shoot, and what a person added to the list. */
public interface PackLists {
    int LONGEST_NAME = 120;

    int MOST_OWN = 100;

    /** Shoots for which anything was ticked or added. */
    Set<Long> packed();

    /** Keys of ticked items. */
    Set<String> ticked(long shootId);

    void tick(long shootId, String item, boolean packed);

    List<Kept<String>> own(long shootId);

    /** @throws IllegalArgumentException where the name is empty, too long, or there are too many */
    long add(long shootId, String name);

    boolean remove(long shootId, long id);

    boolean restore(long shootId, long id);
}
