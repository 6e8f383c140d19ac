/** The jar without its server: frames stacked and read on the command line. Nothing here starts Spring. */
@NullMarked
package org.halfdusk.web.command;

import org.jspecify.annotations.NullMarked;
