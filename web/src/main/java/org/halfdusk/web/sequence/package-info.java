/** The Sequence step: the programme of frames as a list. */
@NullMarked
package org.halfdusk.web.sequence;

import org.jspecify.annotations.NullMarked;
