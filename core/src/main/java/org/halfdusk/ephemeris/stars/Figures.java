package org.halfdusk.ephemeris.stars;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.angle.Vector;

/** Stick figures of the constellations, read on first use. */
public final class Figures {
    private Figures() {}

    /** @param lines unit directions, mean equator J2000 */
    public record Figure(String abbreviation, List<List<Vector>> lines) {}

    private static final class Holder {
        static final List<Figure> ALL =
                StarCatalogue.lines("figures.csv").stream().map(Figures::figure).toList();
    }

    /** All that are shipped, read when they are first asked for. */
    public static List<Figure> all() {
        return Holder.ALL;
    }

    private static Figure figure(String[] cells) {
        List<List<Vector>> lines = new ArrayList<>();
        for (String line : cells[1].split("\\|")) {
            String[] n = line.split(" ");
            List<Vector> points = new ArrayList<>();
            for (int i = 0; i + 1 < n.length; i += 2) {
                points.add(Vector.ofSpherical(
                        Math.toRadians(Double.parseDouble(n[i])), Math.toRadians(Double.parseDouble(n[i + 1])), 1));
            }
            lines.add(points);
        }
        return new Figure(cells[0], lines);
    }
}
