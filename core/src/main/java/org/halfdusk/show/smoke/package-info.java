/** What shells leave in the air: puffs of smoke, how the wind carries them, how much they veil. */
@NullMarked
package org.halfdusk.show.smoke;

import org.jspecify.annotations.NullMarked;
