/** Noctilucent clouds, a subject that only a test has. */
@NullMarked
package org.halfdusk.shoot.noctilucent;

import org.jspecify.annotations.NullMarked;
