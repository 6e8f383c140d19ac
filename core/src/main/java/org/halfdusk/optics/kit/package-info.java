/** What else is carried: converters, filters, supports, cards, batteries, each by its figures. */
@NullMarked
package org.halfdusk.optics.kit;

import org.jspecify.annotations.NullMarked;
