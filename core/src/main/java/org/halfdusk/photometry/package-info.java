/**
 * Measures of light that are no plain numbers: f-number, ISO, stops, surface brightness in magnitudes. Each knows how two of its
 * kind are compared, so that none is added to another.
 */
@NullMarked
package org.halfdusk.photometry;

import org.jspecify.annotations.NullMarked;
