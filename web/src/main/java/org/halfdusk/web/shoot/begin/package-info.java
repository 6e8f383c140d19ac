/** The list of shoots, and how one begins. */
@NullMarked
package org.halfdusk.web.shoot.begin;

import org.jspecify.annotations.NullMarked;
