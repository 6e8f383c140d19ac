/** How frames come in and where their small pictures are kept. */
@NullMarked
package org.halfdusk.web.review.frames;

import org.jspecify.annotations.NullMarked;
