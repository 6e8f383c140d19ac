/** Practice on a made-up show: how long to hold the shutter open, what a frame came to, what a hand does over many of them. */
@NullMarked
package org.halfdusk.show.practice;

import org.jspecify.annotations.NullMarked;
