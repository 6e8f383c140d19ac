/** Heights of land from grids and tiles, what they show and hide, and maps as pictures. */
@NullMarked
package org.halfdusk.place.terrain;

import org.jspecify.annotations.NullMarked;
