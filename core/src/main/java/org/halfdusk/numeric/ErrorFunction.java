package org.halfdusk.numeric;

/** The error function erf x = 2/√π ∫ exp(−t²) dt from 0 to x: what a bell lets through between two places. */
public final class ErrorFunction {
    private ErrorFunction() {}

    /** @return −1 to 1, to 1.5·10⁻⁷ (Abramowitz and Stegun 1964, 7.1.26) */
    public static double of(double x) {
        double t = 1 / (1 + 0.3275911 * Math.abs(x));
        double y = 1
                - (((((1.061405429 * t - 1.453152027) * t) + 1.421413741) * t - 0.284496736) * t + 0.254829592)
                        * t
                        * Math.exp(-x * x);
        return Math.copySign(y, x);
    }
}
