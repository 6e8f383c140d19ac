/** A programme as it is taken along: the card, calendars, tables. */
@NullMarked
package org.halfdusk.web.sequence.files;

import org.jspecify.annotations.NullMarked;
