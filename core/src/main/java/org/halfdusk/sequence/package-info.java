/**
 * Many frames after one another: interval timing, what a run of frames sweeps, and what it asks of card and battery.
 *
 * <p>An interval is the real exposure and the gap after it. Timers often count from start to start, so an interval that
 * was set by the nominal time ("30 s" is 32 s) drops every other frame.
 */
@NullMarked
package org.halfdusk.sequence;

import org.jspecify.annotations.NullMarked;
