package org.halfdusk.place;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import org.halfdusk.shipped.Shipped;

/**
 * The earth's main field by the World Magnetic Model 2025 (NOAA NCEI and BGS): spherical harmonics to degree and order 12 with
 * linear change, epoch 2025.0, for 2025 to 2030; other times are taken at the nearer end. Good to about half a degree of
 * declination in middle latitudes and worse near the magnetic poles; iron, rock and cables nearby turn a compass further.
 *
 * @param declinationDegrees of the needle from true north, east positive
 * @param inclinationDegrees down positive
 * @param horizontalNanotesla under about 2,000 a compass hardly works
 * @param valid whether the time lies within the model's years
 */
public record MagneticField(
        double declinationDegrees, double inclinationDegrees, double horizontalNanotesla, boolean valid) {
    public static final String MODEL = "WMM2025";

    private static final int DEGREE = 12;
    private static final double EPOCH = 2025;
    private static final double END = 2030;
    private static final double REFERENCE_RADIUS_KM = 6371.2;
    private static final double SEMI_MAJOR_KM = 6378.137;
    private static final double FLATTENING = 1 / 298.257223563;

    private record Coefficients(double[][] g, double[][] h, double[][] gDot, double[][] hDot) {}

    private static final class Holder {
        static final Coefficients IT = read();
    }

    /** At a place, its elevation counted from the ellipsoid, and a time. */
    public static MagneticField at(Observer where, Instant at) {
        return at(where.latitudeDegrees(), where.longitudeDegrees(), where.elevationMetres() / 1000, year(at));
    }

    /** At any height over the ellipsoid, km, and a decimal year. */
    static MagneticField at(double latitudeDegrees, double longitudeDegrees, double height, double year) {
        double used = Math.max(EPOCH, Math.min(END, year));
        double latitude = Math.toRadians(latitudeDegrees);
        double e2 = FLATTENING * (2 - FLATTENING);
        double prime = SEMI_MAJOR_KM / Math.sqrt(1 - e2 * Math.sin(latitude) * Math.sin(latitude));
        double axis = (prime + height) * Math.cos(latitude);
        double z = (prime * (1 - e2) + height) * Math.sin(latitude);
        double radius = Math.hypot(axis, z);
        double geocentric = Math.atan2(z, axis);
        double[] field = spherical(geocentric, Math.toRadians(longitudeDegrees), radius, used - EPOCH);
        // From the sphere's upright to the ellipsoid's.
        double turn = geocentric - latitude;
        double north = field[0] * Math.cos(turn) - field[2] * Math.sin(turn);
        double down = field[0] * Math.sin(turn) + field[2] * Math.cos(turn);
        double horizontal = Math.hypot(north, field[1]);
        return new MagneticField(
                Math.toDegrees(Math.atan2(field[1], north)),
                Math.toDegrees(Math.atan2(down, horizontal)),
                horizontal,
                year >= EPOCH && year <= END);
    }

    private static double year(Instant at) {
        OffsetDateTime t = at.atOffset(ZoneOffset.UTC);
        OffsetDateTime begin = OffsetDateTime.of(t.getYear(), 1, 1, 0, 0, 0, 0, ZoneOffset.UTC);
        double length = begin.plusYears(1).toEpochSecond() - begin.toEpochSecond();
        return t.getYear() + (t.toEpochSecond() - begin.toEpochSecond()) / length;
    }

    /** North, east, down on the sphere, nT (WMM technical report, equations 10 to 12). */
    private static double[] spherical(double latitude, double longitude, double radius, double years) {
        Coefficients c = Holder.IT;
        // Kept off the very pole, where east has no direction.
        double sin = Math.sin(latitude);
        double cos = Math.max(1e-10, Math.cos(latitude));
        double[][] p = new double[DEGREE + 1][DEGREE + 1];
        double[][] dp = new double[DEGREE + 1][DEGREE + 1];
        legendre(sin, cos, p, dp);
        double north = 0;
        double east = 0;
        double down = 0;
        double ratio = REFERENCE_RADIUS_KM / radius;
        double power = ratio * ratio;
        for (int n = 1; n <= DEGREE; n++) {
            power *= ratio;
            for (int m = 0; m <= n; m++) {
                double g = c.g[n][m] + years * c.gDot[n][m];
                double h = c.h[n][m] + years * c.hDot[n][m];
                double cosM = Math.cos(m * longitude);
                double sinM = Math.sin(m * longitude);
                double along = g * cosM + h * sinM;
                north -= power * along * dp[n][m];
                east += power * m * (g * sinM - h * cosM) * p[n][m] / cos;
                down -= (n + 1) * power * along * p[n][m];
            }
        }
        return new double[] {north, east, down};
    }

    /** Schmidt semi-normalised associated Legendre functions of sin φ, and their derivatives by φ. */
    private static void legendre(double sin, double cos, double[][] p, double[][] dp) {
        p[0][0] = 1;
        for (int n = 1; n <= DEGREE; n++) {
            for (int m = 0; m <= n; m++) {
                if (m == n) {
                    double k = n == 1 ? 1 : Math.sqrt((2 * n - 1.0) / (2 * n));
                    p[n][n] = k * cos * p[n - 1][n - 1];
                    dp[n][n] = k * (cos * dp[n - 1][n - 1] - sin * p[n - 1][n - 1]);
                } else {
                    double root = Math.sqrt(n * n - m * m);
                    double a = (2 * n - 1) / root;
                    double b = n > 1 && m <= n - 2 ? Math.sqrt((n - 1.0) * (n - 1) - m * m) / root : 0;
                    double before = n > 1 && m <= n - 2 ? p[n - 2][m] : 0;
                    double dBefore = n > 1 && m <= n - 2 ? dp[n - 2][m] : 0;
                    p[n][m] = a * sin * p[n - 1][m] - b * before;
                    dp[n][m] = a * (cos * p[n - 1][m] + sin * dp[n - 1][m]) - b * dBefore;
                }
            }
        }
    }

    private static Coefficients read() {
        double[][][] c = new double[4][DEGREE + 1][DEGREE + 1];
        for (String line : Shipped.lines(MagneticField.class, "wmm2025.csv", "the magnetic model")) {
            if (!line.startsWith("n,")) {
                String[] cells = line.split(",", -1);
                int n = Integer.parseInt(cells[0]);
                int m = Integer.parseInt(cells[1]);
                for (int k = 0; k < 4; k++) {
                    c[k][n][m] = Double.parseDouble(cells[2 + k]);
                }
            }
        }
        return new Coefficients(c[0], c[1], c[2], c[3]);
    }
}
