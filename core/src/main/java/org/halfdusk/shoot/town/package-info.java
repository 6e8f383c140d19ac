/** A town at night: from the blue hour, in which sky and lamps ask for one exposure, to the night that the lamps have for themselves. */
@NullMarked
package org.halfdusk.shoot.town;

import org.jspecify.annotations.NullMarked;
