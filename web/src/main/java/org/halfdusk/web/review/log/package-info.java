/** The log: every frame that came in, of all shoots, and what of it goes out. */
@NullMarked
package org.halfdusk.web.review.log;

import org.jspecify.annotations.NullMarked;
