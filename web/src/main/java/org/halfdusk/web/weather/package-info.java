/** The forecast of a place: read, brought in, and said on the pages of a night. */
@NullMarked
package org.halfdusk.web.weather;

import org.jspecify.annotations.NullMarked;
