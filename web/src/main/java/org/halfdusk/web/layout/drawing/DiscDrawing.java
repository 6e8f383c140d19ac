package org.halfdusk.web.layout.drawing;

import org.halfdusk.web.layout.words.Numbers;

/**
 * A Moon's disc for SVG: its lit part as a path about the origin, and how the drawing is turned.
 *
 * @param radius in the drawing
 * @param lit path of the lit part, lit to the right
 * @param turn SVG's clockwise degrees
 */
public record DiscDrawing(String x, String y, String radius, String lit, String turn) {
    /** @param limbFromZenithDegrees of the bright limb, counter-clockwise from straight up */
    public static DiscDrawing of(
            double x, double y, double radius, double illuminatedFraction, double limbFromZenithDegrees) {
        String r = Numbers.tenths(radius);
        double inner = 2 * illuminatedFraction - 1;
        String terminator = Numbers.tenths(Math.max(0.1, Math.abs(inner) * radius));
        String lit = "M0 -" + r + "A" + r + " " + r + " 0 0 1 0 " + r + "A" + terminator + " " + r + " 0 0 "
                + (inner > 0 ? 1 : 0) + " 0 -" + r + "Z";
        return new DiscDrawing(
                Numbers.tenths(x), Numbers.tenths(y), r, lit, Numbers.tenths(-(limbFromZenithDegrees + 90)));
    }
}
