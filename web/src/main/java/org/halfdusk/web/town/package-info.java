/** What is a town's own on the pages: sky and lamps over the evening, a waterfront as sensor or film keeps it, the roll. */
@NullMarked
package org.halfdusk.web.town;

import org.jspecify.annotations.NullMarked;
