/** The light of a frame before anything is made of it: its tones, its smooth part, lines, and means that outliers do not move. */
@NullMarked
package org.halfdusk.frame.tones;

import org.jspecify.annotations.NullMarked;
