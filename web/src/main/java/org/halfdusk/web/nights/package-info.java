/** Which nights are worth going out. */
@NullMarked
package org.halfdusk.web.nights;

import org.jspecify.annotations.NullMarked;
