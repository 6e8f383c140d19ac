/**
 * A firework display as a model, and the frames that a shutter makes of it.
 *
 * <p>Everything that glows is a {@link org.halfdusk.show.shells.Spark}: born somewhere, thrown, braked by the air, carried by the wind,
 * sinking, burning down. A {@link org.halfdusk.show.shells.Cue} is one shell fired; what is fired when is a
 * {@link org.halfdusk.show.shells.CueSheet}, made up from a seed or typed. Metres from the launching ground: x to the right as one faces
 * it, y up, z away; seconds from the first cue. A {@link org.halfdusk.show.Shutter} open over a part of it gives a
 * {@link org.halfdusk.show.Developed} frame, and the {@link org.halfdusk.show.practice.Judgement} of it is one sentence of a tutor.
 *
 * <p>Heights, widths, fuses and separations are the working figures of the field; what is marked † is fitted by us to how
 * frames of displays come out. It is practice, and no model of any real display: organisers, fire service and local rules
 * decide where one stands.
 */
@NullMarked
package org.halfdusk.show;

import org.jspecify.annotations.NullMarked;
