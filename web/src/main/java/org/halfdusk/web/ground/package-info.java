/** The user's own ground: heights and raster maps from a folder that was named at start. */
@NullMarked
package org.halfdusk.web.ground;

import org.jspecify.annotations.NullMarked;
