/** Frames as a camera would take them under a computed sky: made up, for demonstrations and tests, and said to be so wherever they show. */
@NullMarked
package org.halfdusk.shoot.simulated;

import org.jspecify.annotations.NullMarked;
