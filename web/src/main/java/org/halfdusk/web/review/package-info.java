/** The Review step: frames brought in, read, held against the plan; what is said of each, what is learnt; the log of all shoots. */
@NullMarked
package org.halfdusk.web.review;

import org.jspecify.annotations.NullMarked;
