/** Places and tracks as rows; raster maps as files of others that are only read. */
@NullMarked
package org.halfdusk.store.places;

import org.jspecify.annotations.NullMarked;
