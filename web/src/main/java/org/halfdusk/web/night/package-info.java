/** The Night step: from when to when, and what the sky does meanwhile. */
@NullMarked
package org.halfdusk.web.night;

import org.jspecify.annotations.NullMarked;
