/** What a subject has to say on the pages of a shoot: the shape that the subjects' own folders fill. */
@NullMarked
package org.halfdusk.web.subject;

import org.jspecify.annotations.NullMarked;
