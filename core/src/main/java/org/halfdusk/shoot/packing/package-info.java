/** What a shoot needs to have along, for its rig, subject, weather and place. */
@NullMarked
package org.halfdusk.shoot.packing;

import org.jspecify.annotations.NullMarked;
