/** What is star trails' own on the pages: their windows in words, the arcs about the pole. */
@NullMarked
package org.halfdusk.web.trails;

import org.jspecify.annotations.NullMarked;
