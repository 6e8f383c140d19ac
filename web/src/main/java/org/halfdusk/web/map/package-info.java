/** The map: coasts, towns and their glow, the user's places and tracks, and where bodies rise, set and stand from a place. */
@NullMarked
package org.halfdusk.web.map;

import org.jspecify.annotations.NullMarked;
