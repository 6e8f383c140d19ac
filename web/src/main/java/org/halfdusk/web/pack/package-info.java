/** The Pack step: what to take, each thing with its reason. */
@NullMarked
package org.halfdusk.web.pack;

import org.jspecify.annotations.NullMarked;
