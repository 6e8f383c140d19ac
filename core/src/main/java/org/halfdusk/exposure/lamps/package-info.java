/** Light that is brought along: lamps, what they paint, points of light. */
@NullMarked
package org.halfdusk.exposure.lamps;

import org.jspecify.annotations.NullMarked;
