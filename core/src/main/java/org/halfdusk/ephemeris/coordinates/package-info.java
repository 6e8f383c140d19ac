/** Directions in the systems that ephemerides use, each a type of its own, and the Earth's attitude that leads from one to another. */
@NullMarked
package org.halfdusk.ephemeris.coordinates;

import org.jspecify.annotations.NullMarked;
