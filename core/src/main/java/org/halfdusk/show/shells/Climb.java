package org.halfdusk.show.shells;

/**
 * A shell's climb: braked as sparks are, it comes to rest at its break's height just when its fuse has burnt.
 *
 * <p>With x = T/τ both hold where (eˣ − 1 − x)/x² = h/(g T²), and it leaves the mortar with g τ (eˣ − 1): a shell of 125 mm
 * at about 100 m/s, as mortars are said to throw it†.
 *
 * @param brakingSeconds τ
 * @param speed out of the mortar, m/s
 */
record Climb(double brakingSeconds, double speed) {
    private static final double LEAST = 1e-3;
    private static final double MOST = 12;
    private static final int HALVINGS = 48;

    /**
     * @param heightMetres of the break, above ½ g T²
     * @param seconds T of the fuse
     */
    static Climb of(double heightMetres, double seconds) {
        double asked = Math.max(heightMetres / (Spark.G * seconds * seconds), 0.5 + LEAST);
        double low = LEAST;
        double high = MOST;
        for (int i = 0; i < HALVINGS; i++) {
            double x = (low + high) / 2;
            if ((Math.expm1(x) - x) / (x * x) < asked) {
                low = x;
            } else {
                high = x;
            }
        }
        double tau = seconds / low;
        return new Climb(tau, Spark.G * tau * Math.expm1(low));
    }
}
