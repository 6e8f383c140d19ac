/** Places as a list, added and edited. */
@NullMarked
package org.halfdusk.web.places;

import org.jspecify.annotations.NullMarked;
