/** Finds places, kit, shoots and towns by a few letters. */
@NullMarked
package org.halfdusk.web.search;

import org.jspecify.annotations.NullMarked;
