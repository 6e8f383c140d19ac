package org.halfdusk.show.shells;

/**
 * What a shell does, by working figures†: how many stars, how wide, how long and how bright against a peony of its calibre.
 */
public enum ShellKind {
    /** A round of stars that go out together. */
    PEONY(90, 0.76, 0.45, 1, 1, 8, 0.05, 0.25),
    /** Charcoal stars that hang and sink for long, with glowing dust behind them. */
    WILLOW(70, 0.86, 0.7, 2.1, 0.14, 1.4, 1.3, 0.15),
    /** Few thick stars with a trunk. */
    PALM(14, 1.02, 0.8, 1.25, 1.6, 3, 0.5, 0.4),
    /** Stars that each split into a cross. */
    CROSSETTE(16, 0.9, 0.55, 1, 1.1, 6, 0.08, 0.3),
    /** A flash and a bang, no stars. */
    SALUTE(1, 0.05, 0.45, 0.05, 5000, 1, 0.02, 6),
    /** A bright climb without a break. */
    COMET(1, 0, 1, 0, 9, 2, 0.5, 0.4),
    /** A fountain on the ground. */
    GROUND(45, 0.16, 0.6, 5, 0.05, 2, 0.1, 0.1);

    private final int stars;
    private final double widthPerMm;
    private final double brakingSeconds;
    private final double burnShare;
    private final double lightShare;
    private final double fading;
    private final double afterglowSeconds;
    private final double flameMetres;

    ShellKind(
            int stars,
            double widthPerMm,
            double brakingSeconds,
            double burnShare,
            double lightShare,
            double fading,
            double afterglowSeconds,
            double flameMetres) {
        this.stars = stars;
        this.widthPerMm = widthPerMm;
        this.brakingSeconds = brakingSeconds;
        this.burnShare = burnShare;
        this.lightShare = lightShare;
        this.fading = fading;
        this.afterglowSeconds = afterglowSeconds;
        this.flameMetres = flameMetres;
    }

    /** Stars that it throws; of a fountain those each second. */
    public int stars() {
        return stars;
    }

    /** Half of how wide it would open if nothing sank, m. */
    double radiusMetres(Calibre calibre) {
        return widthPerMm * calibre.mm() / 2;
    }

    /** Time constant of what the air brakes, s. */
    double brakingSeconds() {
        return brakingSeconds;
    }

    /** Seconds that its stars burn after the break; of a fountain as long as it plays. */
    public double burnSeconds(Calibre calibre) {
        return burnShare * calibre.burnSeconds();
    }

    /** Light of one star against one of a peony. */
    double lightShare() {
        return lightShare;
    }

    /** Power of a star's age by which it fades: high for one that goes out at once. */
    double fading() {
        return fading;
    }

    double afterglowSeconds() {
        return afterglowSeconds;
    }

    /** Across the flame of a star, m. */
    double flameMetres() {
        return flameMetres;
    }

    /** Whether it opens in the air, so that a frame can hold its break. */
    public boolean breaks() {
        return this != COMET && this != GROUND;
    }
}
