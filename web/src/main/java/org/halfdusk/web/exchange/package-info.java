/** Open formats in and out. */
@NullMarked
package org.halfdusk.web.exchange;

import org.jspecify.annotations.NullMarked;
