/** Points of light in a frame: where they are, which shape they have and how it changes over the field. */
@NullMarked
package org.halfdusk.frame.points;

import org.jspecify.annotations.NullMarked;
