/** The JSON contract, version 1: small, read-only, stable. */
@NullMarked
package org.halfdusk.web.api;

import org.jspecify.annotations.NullMarked;
