/** Towns, settlements and coasts that ship with the application, found by name or by nearness. */
@NullMarked
package org.halfdusk.place.towns;

import org.jspecify.annotations.NullMarked;
