/** How numbers, units and times are written for a person. */
@NullMarked
package org.halfdusk.web.layout.words;

import org.jspecify.annotations.NullMarked;
