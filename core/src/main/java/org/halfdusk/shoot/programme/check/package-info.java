/** What stands around a programme: whether its blocks fit, when to be where, when a lens wants focusing anew. */
@NullMarked
package org.halfdusk.shoot.programme.check;

import org.jspecify.annotations.NullMarked;
