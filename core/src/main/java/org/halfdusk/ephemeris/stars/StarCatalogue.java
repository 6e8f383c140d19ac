package org.halfdusk.ephemeris.stars;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Vector;
import org.halfdusk.shipped.Shipped;

/**
 * Stars to magnitude 6.5, brightest first, read on first use.
 *
 * <p>Places are XHIP's to four decimals of a degree (0.2″) without motion: by 2050 within 3″ but for the few fast stars.
 * The brightest twenty-one and Polaris have their motion and parallax from the Hipparcos new reduction: within 0.3″, 2015–2045.
 */
public final class StarCatalogue {
    private static final double MAS = 1 / (1000 * Angle.ARCSECONDS_PER_RADIAN);

    private final List<Star> stars;
    private final List<Star> bright;

    private StarCatalogue() {
        Map<Integer, String[]> precise = new HashMap<>();
        lines("bright-stars.csv").forEach(cells -> precise.put(Integer.valueOf(cells[0]), cells));
        stars = lines("stars.csv").stream().map(c -> star(c, precise)).toList();
        bright = stars.stream().filter(s -> precise.containsKey(s.hip())).toList();
    }

    /** All stars that ship, read when first asked for. */
    public static StarCatalogue instance() {
        return Holder.INSTANCE;
    }

    private static final class Holder {
        static final StarCatalogue INSTANCE = new StarCatalogue();
    }

    /** All, brightest first. */
    public List<Star> stars() {
        return stars;
    }

    /** Those with motion and parallax, brightest first. */
    public List<Star> bright() {
        return bright;
    }

    /** The star of a proper name, written as the catalogue writes it; nothing where it has none such. */
    public Optional<Star> named(String name) {
        return stars.stream().filter(s -> s.name().equals(name)).findFirst();
    }

    static List<String[]> lines(String resource) {
        return Shipped.lines(StarCatalogue.class, resource, "star table").stream()
                .map(l -> l.split(",", -1))
                .toList();
    }

    private static Star star(String[] c, Map<Integer, String[]> precise) {
        int hip = Integer.parseInt(c[0]);
        double ra = Math.toRadians(Double.parseDouble(c[1]));
        double dec = Math.toRadians(Double.parseDouble(c[2]));
        Vector motion = new Vector(0, 0, 0);
        double parallax = 0;
        String[] p = precise.get(hip);
        if (p != null) {
            ra = Math.toRadians(15 * sexagesimal(p[1]));
            dec = Math.toRadians(sexagesimal(p[2]));
            Vector east = new Vector(-Math.sin(ra), Math.cos(ra), 0);
            Vector north = new Vector(-Math.sin(dec) * Math.cos(ra), -Math.sin(dec) * Math.sin(ra), Math.cos(dec));
            motion = east.times(Double.parseDouble(p[3]) * MAS).plus(north.times(Double.parseDouble(p[4]) * MAS));
            parallax = Double.parseDouble(p[5]) * MAS;
        }
        double colour = c[4].isEmpty() ? 0 : Double.parseDouble(c[4]);
        Vector j2000 = Vector.ofSpherical(ra, dec, 1);
        return new Star(hip, c[5], c[6], c[7], Double.parseDouble(c[3]), colour, j2000, motion, parallax);
    }

    private static double sexagesimal(String text) {
        String[] parts = text.trim().split("\\s+");
        double value = Math.abs(Double.parseDouble(parts[0]))
                + Double.parseDouble(parts[1]) / 60
                + Double.parseDouble(parts[2]) / 3600;
        return parts[0].startsWith("-") ? -value : value;
    }
}
