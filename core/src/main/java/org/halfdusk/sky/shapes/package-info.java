/** What of the sky has a shape that is drawn: the Moon's face, the Milky Way's arch, the stars about a pole. */
@NullMarked
package org.halfdusk.sky.shapes;

import org.jspecify.annotations.NullMarked;
