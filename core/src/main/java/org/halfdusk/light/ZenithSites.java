package org.halfdusk.light;

import java.util.List;
import org.halfdusk.place.Observer;
import org.halfdusk.shipped.Shipped;

/**
 * Night skies at the zenith as they are commonly reported for kinds of places: what the light of towns is fitted to and compared
 * with. Working figures with wide tolerances, measured by nobody for this project.
 */
public final class ZenithSites {
    /**
     * A kind of place.
     *
     * @param reported moonless zenith with the Sun under −18°, V mag/arcsec²
     * @param tolerance magnitudes by which a model may be off before one should ask why
     */
    public record Site(String name, Observer observer, double reported, double tolerance) {
        /** What the model says, mag/arcsec². */
        public double modelled() {
            return DarkSite.estimate(observer).magnitude();
        }
    }

    private ZenithSites() {}

    /** In the order of the list, dark ones first. */
    public static List<Site> all() {
        return Holder.SITES;
    }

    /** Root of the mean square of what the model is off, magnitudes. */
    public static double misfit() {
        return Math.sqrt(all().stream()
                .mapToDouble(s -> Math.pow(s.modelled() - s.reported(), 2))
                .average()
                .orElseThrow());
    }

    private static final class Holder {
        static final List<Site> SITES = read();
    }

    private static List<Site> read() {
        return Shipped.lines(ZenithSites.class, "zenith-sites.csv", "the list of zenith sites").stream()
                .skip(1)
                .map(l -> site(l.split(",")))
                .toList();
    }

    private static Site site(String[] cells) {
        return new Site(
                cells[0],
                Observer.of(Double.parseDouble(cells[1]), Double.parseDouble(cells[2]), Double.parseDouble(cells[3])),
                Double.parseDouble(cells[4]),
                Double.parseDouble(cells[5]));
    }
}
