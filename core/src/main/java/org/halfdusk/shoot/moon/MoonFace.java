package org.halfdusk.shoot.moon;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.sky.MoonAspect;
import org.halfdusk.sky.Sky;

/**
 * The Moon's disc as it stands at a moment, in tones: how bright its lit surface is between terminator and limb, and where on it the large
 * seas and the brightest rays lie, libration and the disc's turn counted.
 *
 * <p>A surface of the same albedo goes with 2 μ₀/(μ₀ + μ) (Lommel and Seeliger), μ₀ and μ being the cosines of the angles at which light
 * comes and goes: even over a full disc, falling towards the terminator of a lit part. That depends on the longitude from the Sun alone,
 * so it is given by lunes. Albedos: seas 0.07, highlands 0.13, rays 0.17 (working figures† about a mean of 0.115).
 *
 * @param lunes from the terminator to the bright limb
 * @param spots that are seen and lit
 * @param limbFromZenithDegrees of the bright limb's middle, counter-clockwise from straight up
 */
public record MoonFace(List<MoonFace.Lune> lunes, List<MoonFace.Spot> spots, double limbFromZenithDegrees) {
    public MoonFace {
        lunes = List.copyOf(lunes);
        spots = List.copyOf(spots);
    }

    /**
     * All of the disc from a meridian to the bright limb.
     *
     * @param fraction of the disc's breadth, 0 to 1, from the bright limb on
     * @param tone of highlands just inside that meridian, 1 being the mean of what is lit
     */
    public record Lune(double fraction, double tone) {}

    /**
     * A sea or a crater's rays, as an ellipse on a disc of radius 1.
     *
     * @param x to the right and y upwards as it is seen, from the disc's middle
     * @param along and across: half axes along the radius and across it
     * @param turnDegrees of the radius, counter-clockwise from the right
     * @param tone 1 being the mean of what is lit
     */
    public record Spot(double x, double y, double along, double across, double turnDegrees, double tone, boolean sea) {}

    /** The largest rays of all, where they are lit well. */
    public Optional<Spot> rays() {
        return spots.stream().filter(s -> !s.sea() && s.tone() > 1).max(Comparator.comparingDouble(Spot::across));
    }

    /** Where the bright limb's middle is, to the right and upwards on a disc of radius 1. */
    public double limbX() {
        return -Math.sin(Math.toRadians(limbFromZenithDegrees));
    }

    /** Of the bright limb's middle, radii of the disc up from its middle, −1 to 1. */
    public double limbY() {
        return Math.cos(Math.toRadians(limbFromZenithDegrees));
    }

    private static final double MEAN_ALBEDO = 0.115;
    private static final double HIGHLAND = 0.13 / MEAN_ALBEDO;
    private static final double SEA = 0.07 / MEAN_ALBEDO;
    private static final double RAY = 0.17 / MEAN_ALBEDO;

    /** Selenographic longitude (east positive), latitude and radius in degrees: seas as one or several circles, then rayed craters. */
    private static final double[][] SEAS = {
        {-17, 33, 18},
        {18, 27, 10},
        {30, 9, 12},
        {59, 17, 7.5},
        {51, -6, 11},
        {35, -15, 6},
        {-55, 30, 13},
        {-55, 8, 14},
        {-39, -24, 7},
        {-17, -21, 10},
        {-25, 57, 6},
        {-5, 57, 6},
        {15, 57, 6},
        {4, 13, 4.5},
        {-23, -10, 7},
        {-30, 7, 9}
    };

    private static final double[][] RAYS = {
        {-11, -43, 6}, {-20, 10, 3.5}, {-38, 8, 2.5}, {-47, 24, 1.8}, {47, 16, 1.5}, {54, -32, 1.5}, {61, -9, 2}
    };

    private static final int LUNES = 14;

    /** Below this a lit surface lies in its own hills' shadow. */
    private static final double LEAST_TONE = 0.02;

    /** As it is seen from a place. */
    public static MoonFace at(Sky sky, Instant at) {
        MoonAspect aspect = sky.moonAspect(at);
        double parallactic = sky.parallacticAngleDegrees(Body.MOON, at);
        return of(
                sky.moonPhase(at).phaseAngleDegrees(),
                aspect,
                aspect.brightLimbDegrees() - parallactic,
                aspect.axisDegrees() - parallactic);
    }

    /** @param limb and axis: counter-clockwise from straight up, degrees */
    static MoonFace of(double phaseAngleDegrees, MoonAspect aspect, double limb, double axis) {
        double alpha = Math.toRadians(Math.min(170, phaseAngleDegrees));
        double mean = mean(alpha);
        List<Lune> lunes = new ArrayList<>();
        // Longitudes from the terminator, where the Sun stands in the horizon, to the limb.
        double from = alpha - Math.PI / 2;
        for (int i = 0; i < LUNES; i++) {
            double share = (double) i / LUNES;
            double longitude = from + (Math.PI / 2 - from) * share * share;
            double inside = longitude + (Math.PI / 2 - from) / LUNES / 2;
            lunes.add(new Lune((1 - Math.sin(longitude)) / 2, HIGHLAND * lit(inside, alpha) / mean));
        }
        // Towards the Sun as seen on the disc: right is x, up is y, z to us.
        double up = Math.toRadians(limb);
        Vector sun = new Vector(-Math.sin(alpha) * Math.sin(up), Math.sin(alpha) * Math.cos(up), Math.cos(alpha));
        List<Spot> spots = new ArrayList<>();
        for (double[] s : SEAS) {
            add(spots, spot(s, aspect, axis, sun, mean, true));
        }
        for (double[] s : RAYS) {
            add(spots, spot(s, aspect, axis, sun, mean, false));
        }
        return new MoonFace(lunes, spots, limb);
    }

    private static void add(List<Spot> spots, Spot spot) {
        if (spot.tone() > LEAST_TONE && spot.along() > 0) {
            spots.add(spot);
        }
    }

    /** Of a meridian so far from the disc's middle towards the Sun: 2 μ₀/(μ₀ + μ), alike along it. */
    private static double lit(double longitude, double alpha) {
        double in = Math.max(0, Math.cos(longitude - alpha));
        double out = Math.max(1e-6, Math.cos(longitude));
        return 2 * in / (in + out);
    }

    /** Over what is lit, by area on the disc. */
    private static double mean(double alpha) {
        double from = alpha - Math.PI / 2;
        double sum = 0;
        double area = 0;
        for (int i = 0; i < STEPS; i++) {
            double longitude = from + (Math.PI / 2 - from) * (i + 0.5) / STEPS;
            sum += lit(longitude, alpha) * Math.cos(longitude);
            area += Math.cos(longitude);
        }
        return sum / area;
    }

    private static final int STEPS = 90;

    private static Spot spot(double[] s, MoonAspect aspect, double axis, Vector sun, double mean, boolean sea) {
        double longitude = Math.toRadians(s[0] - aspect.librationLongitudeDegrees());
        double latitude = Math.toRadians(s[1]);
        double middle = Math.toRadians(aspect.librationLatitudeDegrees());
        double east = Math.cos(latitude) * Math.sin(longitude);
        double north =
                Math.sin(latitude) * Math.cos(middle) - Math.cos(latitude) * Math.sin(middle) * Math.cos(longitude);
        double towards =
                Math.sin(latitude) * Math.sin(middle) + Math.cos(latitude) * Math.cos(middle) * Math.cos(longitude);
        double turn = Math.toRadians(axis);
        double x = east * Math.cos(turn) - north * Math.sin(turn);
        double y = east * Math.sin(turn) + north * Math.cos(turn);
        double in = Math.max(0, sun.dot(new Vector(x, y, towards)));
        double tone = (sea ? SEA : RAY) * (towards > 0 ? 2 * in / (in + towards) : 0) / mean;
        double radius = Math.sin(Math.toRadians(s[2]));
        return new Spot(x, y, radius * Math.max(0, towards), radius, Math.toDegrees(Math.atan2(y, x)), tone, sea);
    }
}
