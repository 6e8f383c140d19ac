package org.halfdusk.exposure;

/**
 * What a camera is set to for one frame.
 *
 * @param fNumber on the sensor
 * @param kelvin white balance to begin with
 */
public record Setting(ShutterTime shutter, double fNumber, int iso, int kelvin) {}
