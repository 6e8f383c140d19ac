/** The map as it is drawn, layer by layer. */
@NullMarked
package org.halfdusk.web.map.picture;

import org.jspecify.annotations.NullMarked;
