package org.halfdusk.web.map.picture;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.halfdusk.place.towns.Settlements;
import org.halfdusk.place.towns.Whereabouts;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/** Which towns and villages a map names: the largest first, each only where there is room for it. */
final class MapNames {
    private static final int MOST = 60;

    /** The first so many say how many people live there. */
    private static final int TOLD = 12;

    /** From here on it is said. */
    private static final int TELLING_ZOOM = 8;

    private static final double LEAST_WIDTH = 84;
    private static final double LETTER = 7.4;
    private static final double BESIDE = 14;
    private static final double DOWN = 19;

    private MapNames() {}

    /** A name and where it would stand. @param about under it @param people 0 for none */
    record Spot(double x, double y, String text, String about, int people, String kind) {
        boolean near(double otherX, double otherY, double across, double down) {
            return Math.abs(x - otherX) < across && Math.abs(y - otherY) < down;
        }

        MapPicture.Name name() {
            return new MapPicture.Name(
                    Numbers.tenths(x), Numbers.tenths(y), text, about, Numbers.tenths(radius()), kind);
        }

        /** Its dot grows with the digits of the people. */
        private double radius() {
            return 1.6 + 0.9 * Math.max(0, Integer.toString(people).length() - 4);
        }

        /** Whether words of both would lie over each other; each begins a little beside its dot. */
        boolean covers(Spot other) {
            return x < other.x + other.width()
                    && other.x < x + width()
                    && Math.abs(y - other.y) < Math.max(height(), other.height());
        }

        private double width() {
            return Math.max(LEAST_WIDTH, LETTER * Math.max(text.length(), about.length()) + BESIDE);
        }

        private double height() {
            return about.isEmpty() ? DOWN : 2 * DOWN;
        }
    }

    /** @param taken where words stand that nothing may cover */
    static List<MapPicture.Name> of(MapView v, MapShapes own, List<Spot> taken) {
        List<Spot> shown = new ArrayList<>(taken);
        int before = shown.size();
        own.names(v).forEach(n -> addWhereFree(shown, n));
        List<Integer> largest = largest(v);
        Settlements all = Settlements.instance();
        for (int i : largest) {
            if (shown.size() - before >= MOST) {
                break;
            }
            boolean told = v.zoom() >= TELLING_ZOOM && shown.size() - before < TOLD;
            Spot wished = new Spot(
                    v.x(all.longitude(i)),
                    v.y(all.latitude(i)),
                    all.name(i),
                    told ? about(all.people(i)) : "",
                    all.people(i),
                    "town");
            addWhereFree(shown, wished);
        }
        return shown.stream().skip(before).map(Spot::name).toList();
    }

    /** Where a ring has its own words. */
    static List<Spot> taken(SkyRing ring) {
        List<Spot> taken = new ArrayList<>();
        ring.marks().forEach(m -> taken.add(taken(m.textX(), m.textY(), m.anchor(), m.what(), m.clock())));
        ring.wedge().forEach(w -> w.edges().forEach(e -> taken.add(taken(e.x(), e.y(), e.anchor(), e.text(), ""))));
        ring.bodies().forEach(b -> taken.add(taken(b.x(), b.y(), b.anchor(), b.text(), "")));
        return taken;
    }

    private static Spot taken(String x, String y, String anchor, String text, String about) {
        double wide = LETTER * Math.max(text.length(), about.length());
        double left = Double.parseDouble(x) - (anchor.equals("end") ? wide : 0);
        return new Spot(left, Double.parseDouble(y), text, about, 0, "mark");
    }

    private static void addWhereFree(List<Spot> shown, Spot wished) {
        if (shown.stream().noneMatch(wished::covers)) {
            shown.add(wished);
        }
    }

    private static String about(int people) {
        return (people < Whereabouts.VILLAGE_PEOPLE ? "village, " : "town of ") + Words.thousands(people);
    }

    /** In sight, the largest first; more than are shown, since some stand in another's way. */
    private static List<Integer> largest(MapView v) {
        Settlements all = Settlements.instance();
        List<Integer> seen = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            // A hundred thousand are passed over by their latitude alone, before any is projected.
            boolean between = all.latitude(i) < v.north() && all.latitude(i) > v.south();
            if (between && v.holds(v.x(all.longitude(i)), v.y(all.latitude(i)), 0)) {
                seen.add(i);
            }
        }
        seen.sort(Comparator.comparingInt((Integer i) -> all.people(i)).reversed());
        return seen.subList(0, Math.min(seen.size(), 4 * MOST));
    }
}
