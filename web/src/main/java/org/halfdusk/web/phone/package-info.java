/** The way in from a phone on the same network: an authority of this machine's own, HTTPS, a password, and how to leave. */
@NullMarked
package org.halfdusk.web.phone;

import org.jspecify.annotations.NullMarked;
