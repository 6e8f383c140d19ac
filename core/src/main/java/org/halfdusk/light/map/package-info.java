/** How bright the zenith is over a whole land, and where darker ground lies. */
@NullMarked
package org.halfdusk.light.map;

import org.jspecify.annotations.NullMarked;
