/** The Milky Way over a place: dark, moonless hours with the core up, and how to expose for it. */
@NullMarked
package org.halfdusk.shoot.milkyway;

import org.jspecify.annotations.NullMarked;
