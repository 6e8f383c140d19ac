package org.halfdusk.shoot.town;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;

/**
 * What of a town sends light, by classes of luminance with their spread.
 *
 * <p>Streets as they are lit by EN 13201-2 (M6 0.3, M3 1.0, M1 2.0 cd/m²), floodlit fronts of a centre as CIE 94 wants them (4 to 12
 * cd/m²). Windows, bare lamps, unlit walls and hulls are working figures†, as are spreads and shares of a picture. What the sky still
 * gives is added to all that is matt: ρE/π of its light E on level ground. The sky itself comes from the light engine.
 *
 * @param sky over it, as it was told
 * @param parts in the order of their luminance, brightest first
 */
record TownScene(SkyBrightness sky, List<TownScene.Part> parts) {
    TownScene {
        parts = List.copyOf(parts);
    }

    /**
     * A class.
     *
     * @param luminance of its middle, cd/m², above 0
     * @param share of the picture, 0 to 1
     */
    record Part(TownPart what, double luminance, double share) {}

    /** Of a street's luminance, what else in it has†. */
    private static final double WALLS = 1 / 16.0;

    private static final double HULLS = 1 / 64.0;

    /** Water gives back a part of the sky and, broken up, of the lamps' light†. */
    private static final double WATER_OF_SKY = 0.4;

    private static final double WATER_OF_STREET = 0.1;

    /** @param skyLux of sun and sky on level ground */
    static TownScene of(TownLight light, double skyLux, SkyBrightness sky) {
        double street = light.street();
        Map<TownPart, Double> all = new EnumMap<>(TownPart.class);
        all.put(TownPart.LAMPS, LAMPS);
        all.put(TownPart.WINDOWS, WINDOWS);
        all.put(TownPart.FRONTS, light.fronts() + matt(0.3, skyLux));
        all.put(TownPart.STREET, street + matt(0.2, skyLux));
        all.put(TownPart.SKY, sky.luminance());
        all.put(TownPart.WATER, WATER_OF_SKY * sky.luminance() + WATER_OF_STREET * street);
        all.put(TownPart.WALLS, WALLS * street + matt(0.15, skyLux));
        all.put(TownPart.HULLS, HULLS * street + matt(0.05, skyLux));
        return new TownScene(
                sky,
                all.entrySet().stream()
                        .map(e -> new Part(e.getKey(), e.getValue(), e.getKey().share()))
                        .sorted((a, b) -> Double.compare(b.luminance(), a.luminance()))
                        .toList());
    }

    private static final double LAMPS = 5_000;
    private static final double WINDOWS = 15;

    private static double matt(double reflectance, double lux) {
        return reflectance * lux / Math.PI;
    }

    double luminance(TownPart part) {
        return parts.stream()
                .filter(p -> p.what() == part)
                .mapToDouble(Part::luminance)
                .findFirst()
                .orElseThrow();
    }

    /** What a meter that averages the whole picture sees, cd/m². */
    double average() {
        return parts.stream()
                .mapToDouble(p -> p.share() * p.luminance() * meanOverMiddle(p.what()))
                .sum();
    }

    /** The mean of a spread in stops lies over its middle: of a normal spread σ in stops by 2^(σ² ln 2/2). */
    private static double meanOverMiddle(TownPart part) {
        double s = part.spreadStops();
        return Math.pow(2, s * s * Math.log(2) / 2);
    }

    /**
     * How much of the picture comes out in which tone.
     *
     * @param clipsAt luminance at which the picture clips, cd/m²
     */
    Map<Tone, Double> tones(double clipsAt, Tone.Latitude latitude) {
        Map<Tone, Double> shares = new EnumMap<>(Tone.class);
        for (Tone t : Tone.values()) {
            shares.put(t, 0.0);
        }
        for (Part p : parts) {
            for (int i = -STEPS; i <= STEPS; i++) {
                double under = Stops.between(clipsAt, p.luminance())
                        - REACH * i / STEPS * p.what().spreadStops();
                shares.merge(Tone.of(under, latitude), p.share() * WEIGHT[i + STEPS], Double::sum);
            }
        }
        return shares;
    }

    /** So many steps to either side, over so many standard deviations. */
    private static final int STEPS = 12;

    private static final double REACH = 2.5;
    private static final double[] WEIGHT = weights();

    private static double[] weights() {
        double[] w = new double[2 * STEPS + 1];
        double sum = 0;
        for (int i = 0; i < w.length; i++) {
            double x = REACH * (i - STEPS) / STEPS;
            w[i] = Math.exp(-x * x / 2);
            sum += w[i];
        }
        for (int i = 0; i < w.length; i++) {
            w[i] /= sum;
        }
        return w;
    }
}
