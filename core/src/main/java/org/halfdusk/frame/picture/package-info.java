/**
 * What a frame is before anything is read in it: its pixels as linear light, how its lens draws, how it was exposed.
 */
@NullMarked
package org.halfdusk.frame.picture;

import org.jspecify.annotations.NullMarked;
