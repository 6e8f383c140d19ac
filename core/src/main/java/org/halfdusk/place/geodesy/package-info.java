/** Distances and bearings over the Earth, maps of it, and how coordinates are written. */
@NullMarked
package org.halfdusk.place.geodesy;

import org.jspecify.annotations.NullMarked;
