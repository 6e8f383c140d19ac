package org.halfdusk.web.layout;

import java.time.Clock;

/** This machine's own clock, whatever the one says that the demo has moved: certificates and other programs go by it. */
public record MachineClock(Clock clock) {}
