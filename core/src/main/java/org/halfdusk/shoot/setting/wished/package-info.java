/** What is wished of an exposure, what holds it back and what is brought along. */
@NullMarked
package org.halfdusk.shoot.setting.wished;

import org.jspecify.annotations.NullMarked;
