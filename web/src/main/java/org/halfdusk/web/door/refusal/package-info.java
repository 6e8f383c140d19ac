/** How it is said that something was not taken: as a page or a problem document, with what was typed. */
@NullMarked
package org.halfdusk.web.door.refusal;

import org.jspecify.annotations.NullMarked;
