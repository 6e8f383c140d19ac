/** A fireworks show: where and how high shells break, what lens holds them, and how to expose for sparks. */
@NullMarked
package org.halfdusk.shoot.fireworks;

import org.jspecify.annotations.NullMarked;
