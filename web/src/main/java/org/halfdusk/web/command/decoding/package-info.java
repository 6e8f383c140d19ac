/** Frames of the command line read one after the other, by as many readers as memory has room for. */
@NullMarked
package org.halfdusk.web.command.decoding;

import org.jspecify.annotations.NullMarked;
