/** What is the Moon's own on the pages: rise and set in words, the disc with its phase, land and Moon compared. */
@NullMarked
package org.halfdusk.web.moon;

import org.jspecify.annotations.NullMarked;
