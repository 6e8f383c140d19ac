/** Points of light: the catalogue's stars, the figures that they make, the bright planets. */
@NullMarked
package org.halfdusk.ephemeris.stars;

import org.jspecify.annotations.NullMarked;
