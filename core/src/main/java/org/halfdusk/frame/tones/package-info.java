/** The light of a frame before anything is made of it: its tones, its smooth part, and the lines that stand out of it. */
@NullMarked
package org.halfdusk.frame.tones;

import org.jspecify.annotations.NullMarked;
