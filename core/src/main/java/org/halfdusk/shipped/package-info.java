/** Data that ships with the core: tables beside the classes that know them. Leans on nothing. */
@NullMarked
package org.halfdusk.shipped;

import org.jspecify.annotations.NullMarked;
