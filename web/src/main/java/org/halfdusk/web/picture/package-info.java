/** Picture files: what is written in them beside the picture, and their rows of pixels for the core to read. */
@NullMarked
package org.halfdusk.web.picture;

import org.jspecify.annotations.NullMarked;
