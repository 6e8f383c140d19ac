/** What frames teach for the next shoot, and what of it was taken over. */
@NullMarked
package org.halfdusk.shoot.review.learnt;

import org.jspecify.annotations.NullMarked;
