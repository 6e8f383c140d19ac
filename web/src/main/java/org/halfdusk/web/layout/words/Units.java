package org.halfdusk.web.layout.words;

/**
 * How lengths, temperatures and times are said. One person uses the application, so there is one of these at a time;
 * {@link Words} says everything by it.
 */
public record Units(boolean feet, boolean fahrenheit, boolean twelveHours) {
    public static final Units METRIC = new Units(false, false, false);
}
