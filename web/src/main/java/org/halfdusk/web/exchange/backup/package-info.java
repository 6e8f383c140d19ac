/** Everything that is kept as one file, and back. */
@NullMarked
package org.halfdusk.web.exchange.backup;

import org.jspecify.annotations.NullMarked;
