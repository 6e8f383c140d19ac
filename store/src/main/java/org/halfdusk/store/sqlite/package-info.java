/** The file: opened, brought to this version, changed by transactions; what is hidden until it is purged, what cannot be read. */
@NullMarked
package org.halfdusk.store.sqlite;

import org.jspecify.annotations.NullMarked;
