/** Mathematics that belong to no notion of the sky: functions that the JDK lacks, values between values. */
@NullMarked
package org.halfdusk.numeric;

import org.jspecify.annotations.NullMarked;
