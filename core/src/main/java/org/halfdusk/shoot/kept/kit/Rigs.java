package org.halfdusk.shoot.kept.kit;

import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Unread;
import org.halfdusk.shoot.kept.Unreadable;

/** Where standing rigs and what goes with them are kept. Finding also finds the deleted. */
public interface Rigs {
    List<Kept<StandingRig>> rigs();

    /** Rigs that are kept and cannot be read. */
    List<Unread> unreadRigs();

    /** @throws Unreadable where it is kept and cannot be read; so of accessories */
    Optional<Kept<StandingRig>> rig(long id);

    long add(StandingRig rig);

    boolean update(long id, StandingRig rig);

    boolean deleteRig(long id);

    boolean restoreRig(long id);

    List<Kept<Accessory>> accessories();

    /** Accessories that are kept and cannot be read. */
    List<Unread> unreadAccessories();

    Optional<Kept<Accessory>> accessory(long id);

    long add(Accessory accessory);

    boolean update(long id, Accessory accessory);

    /** Names of rigs that it belongs to. */
    List<String> usedBy(long accessoryId);

    boolean deleteAccessory(long id);

    boolean restoreAccessory(long id);
}
