/** Places, tracks and outlines in the formats of others, both ways. */
@NullMarked
package org.halfdusk.web.exchange.map;

import org.jspecify.annotations.NullMarked;
