/** The Moon itself: where it rises and sets, when land and Moon ask for one exposure, and how to expose for sunlit rock. */
@NullMarked
package org.halfdusk.shoot.moon;

import org.jspecify.annotations.NullMarked;
