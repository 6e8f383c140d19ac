/** Simulated stand-ins for what is outside: the demo's clock and its made-up world. They say so on screen. */
@NullMarked
package org.halfdusk.web.standin;

import org.jspecify.annotations.NullMarked;
