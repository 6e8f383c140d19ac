/**
 * What is asked before there is a shoot: which dates bring a body over a landmark ({@link org.halfdusk.shoot.search.Alignments}),
 * where to stand for it, the year's nights hour by hour ({@link org.halfdusk.shoot.search.Carpet}), and what of the sky's own
 * calendar falls into them.
 */
@NullMarked
package org.halfdusk.shoot.search;

import org.jspecify.annotations.NullMarked;
