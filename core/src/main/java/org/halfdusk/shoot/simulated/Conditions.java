package org.halfdusk.shoot.simulated;

import java.util.Optional;

/**
 * What a simulated frame is taken with that the plan does not say: the camera's and the lens's own ways, and mishaps.
 *
 * @param starSigmaPx standard deviation of a star's light, px
 * @param comaPx length of the flare that points outward in the very corner, px; it grows with the square of the distance from the middle
 * @param stops by which the camera comes out lighter than the model has it
 * @param rightDegrees by which it was aimed to the right of the plan
 * @param upDegrees by which it was aimed above it
 * @param rollDegrees by which its right side stands too high
 * @param fallStops by which the lens darkens the corner beyond its geometry
 * @param cap whether the cap is on
 * @param aircraft from where to where one draws its dashes, as shares of the frame's width and height
 * @param lamp whether a headlamp floods the lower part
 * @param seed of its noise
 */
public record Conditions(
        double starSigmaPx,
        double comaPx,
        double stops,
        double rightDegrees,
        double upDegrees,
        double rollDegrees,
        double fallStops,
        boolean cap,
        Optional<Line> aircraft,
        boolean lamp,
        long seed) {
    /** Across the frame, shares of its width and height from the top left. */
    public record Line(double x1, double y1, double x2, double y2) {}

    /** A sharp lens on a camera that does as the model says, aimed as planned. */
    public static Conditions good(long seed) {
        return new Conditions(1.0, 0, 0, 0, 0, 0, 0, false, Optional.empty(), false, seed);
    }

    /** With other chances. */
    public Conditions withSeed(long other) {
        return new Conditions(
                starSigmaPx,
                comaPx,
                stops,
                rightDegrees,
                upDegrees,
                rollDegrees,
                fallStops,
                cap,
                aircraft,
                lamp,
                other);
    }

    /** With stars blurred by a Gaussian of that sigma, px. */
    public Conditions withSigma(double px) {
        return new Conditions(
                px, comaPx, stops, rightDegrees, upDegrees, rollDegrees, fallStops, cap, aircraft, lamp, seed);
    }

    /** The same with the lights of an aircraft along a line. */
    public Conditions with(Line plane) {
        return new Conditions(
                starSigmaPx,
                comaPx,
                stops,
                rightDegrees,
                upDegrees,
                rollDegrees,
                fallStops,
                cap,
                Optional.of(plane),
                lamp,
                seed);
    }

    /** The same with a headlamp that floods the lower part. */
    public Conditions withLamp() {
        return new Conditions(
                starSigmaPx, comaPx, stops, rightDegrees, upDegrees, rollDegrees, fallStops, cap, aircraft, true, seed);
    }

    /** The same with the cap on. */
    public Conditions withCap() {
        return new Conditions(
                starSigmaPx,
                comaPx,
                stops,
                rightDegrees,
                upDegrees,
                rollDegrees,
                fallStops,
                true,
                aircraft,
                lamp,
                seed);
    }
}
