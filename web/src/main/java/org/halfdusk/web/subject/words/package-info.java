/** Words for what the core gives as data, alike for every subject: reasons, faults, blocks, weather, clocks. */
@NullMarked
package org.halfdusk.web.subject.words;

import org.jspecify.annotations.NullMarked;
