/**
 * What outlives a request: the ports through which places, kit, shoots and their parts are kept, written by the outside, and what
 * can be wrong with what was kept ({@link org.halfdusk.shoot.kept.Unreadable}).
 */
@NullMarked
package org.halfdusk.shoot.kept;

import org.jspecify.annotations.NullMarked;
