package org.halfdusk.ephemeris.stars;

/** The planets that are seen without a telescope, with their mean elements (see {@link Planets}). */
public enum Planet {
    MERCURY(
            "Mercury",
            new double[] {0.38709927, 0.20563593, 7.00497902, 252.25032350, 77.45779628, 48.33076593},
            new double[] {0.00000037, 0.00001906, -0.00594749, 149472.67411175, 0.16047689, -0.12534081},
            -0.42,
            new double[] {0.0380, -0.000273, 2e-6}),
    VENUS(
            "Venus",
            new double[] {0.72333566, 0.00677672, 3.39467605, 181.97909950, 131.60246718, 76.67984255},
            new double[] {0.00000390, -0.00004107, -0.00078890, 58517.81538729, 0.00268329, -0.27769418},
            -4.40,
            new double[] {0.0009, 0.000239, -6.5e-7}),
    MARS(
            "Mars",
            new double[] {1.52371034, 0.09339410, 1.84969142, -4.55343205, -23.94362959, 49.55953891},
            new double[] {0.00001847, 0.00007882, -0.00813131, 19140.30268499, 0.44441088, -0.29257343},
            -1.52,
            new double[] {0.016, 0, 0}),
    JUPITER(
            "Jupiter",
            new double[] {5.20288700, 0.04838624, 1.30439695, 34.39644051, 14.72847983, 100.47390909},
            new double[] {-0.00011607, -0.00013253, -0.00183714, 3034.74612775, 0.21252668, 0.20469106},
            -9.40,
            new double[] {0.005, 0, 0}),
    SATURN(
            "Saturn",
            new double[] {9.53667594, 0.05386179, 2.48599187, 49.95424423, 92.59887831, 113.66242448},
            new double[] {-0.00125060, -0.00050991, 0.00193609, 1222.49362201, -0.41897216, -0.28867794},
            -8.88,
            new double[] {0.044, 0, 0});

    /** Elements of the Earth–Moon barycentre's orbit, which stands for the Earth's: 5″ of direction at most. */
    static final double[] EARTH = {1.00000261, 0.01671123, -0.00001531, 100.46457166, 102.93768193, 0};

    static final double[] EARTH_PER_CENTURY = {0.00000562, -0.00004392, -0.01294668, 35999.37244981, 0.32327364, 0};

    private final String words;
    private final double[] elements;
    private final double[] perCentury;
    private final double brightness;
    private final double[] byPhase;

    Planet(String words, double[] elements, double[] perCentury, double brightness, double[] byPhase) {
        this.words = words;
        this.elements = elements;
        this.perCentury = perCentury;
        this.brightness = brightness;
        this.byPhase = byPhase;
    }

    /** Its English name. */
    public String words() {
        return words;
    }

    double[] elements() {
        return elements;
    }

    double[] perCentury() {
        return perCentury;
    }

    /**
     * V of the planet (The Astronomical Almanac since 1984, after Meeus, Astronomical Algorithms 2nd ed., chapter 41;
     * Saturn's rings neglected, up to a magnitude).
     *
     * @param phaseAngle degrees between the Sun and the Earth seen from it
     */
    double magnitude(double fromSunAu, double fromEarthAu, double phaseAngle) {
        double i = phaseAngle;
        return brightness
                + 5 * Math.log10(fromSunAu * fromEarthAu)
                + i * (byPhase[0] + i * (byPhase[1] + i * byPhase[2]));
    }
}
