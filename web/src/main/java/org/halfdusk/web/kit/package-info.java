/** Cameras, lenses and converters as lists, added and edited. */
@NullMarked
package org.halfdusk.web.kit;

import org.jspecify.annotations.NullMarked;
