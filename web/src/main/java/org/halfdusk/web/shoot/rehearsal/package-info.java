/** A night played through against simulated cameras. */
@NullMarked
package org.halfdusk.web.shoot.rehearsal;

import org.jspecify.annotations.NullMarked;
