/** What comes in from outside and what is refused: who may, how much, in which form; and how a refusal is said. */
@NullMarked
package org.halfdusk.web.door;

import org.jspecify.annotations.NullMarked;
