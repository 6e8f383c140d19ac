/** Kit as it is kept: what a person owns, the rigs that stand ready, where a lens is sharp. */
@NullMarked
package org.halfdusk.shoot.kept.kit;

import org.jspecify.annotations.NullMarked;
