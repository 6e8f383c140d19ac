package org.halfdusk.sky.shapes;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.angle.LevelFrame;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarCatalogue;
import org.halfdusk.sky.Sky;

/**
 * How the pole is found by eye: the stars about it as they stand at a moment, looked at with the zenith up, and the usual
 * way from the pointers to it.
 *
 * <p>North: five times the way from Merak to Dubhe leads to Polaris. South: four and a half times the long arm of the
 * Cross, from Gacrux by Acrux; the line upright on the middle of the two Pointers meets it there.
 *
 * @param figures lines of stars
 * @param way from the pointers to the pole
 * @param pole where the pole itself is
 * @param horizon altitude of the pole, degrees: so far under it is the horizon
 */
public record PolePointers(boolean north, List<Figure> figures, List<Spot> way, Spot pole, double horizon) {
    private static final int POLARIS = 11767;
    private static final int[] PLOUGH = {67301, 65378, 62956, 59774, 58001, 53910, 54061, 59774};
    private static final int[] QUEEN = {8886, 6686, 4427, 3179, 746};
    private static final int[] CROSS_LONG = {61084, 60718};
    private static final int[] CROSS_SHORT = {62434, 59747};
    private static final int[] POINTERS = {71683, 68702};
    private static final int DUBHE = 54061;
    private static final int MERAK = 53910;
    private static final int ACRUX = 60718;
    private static final int GACRUX = 61084;

    /** A place on the plane that touches the sky at the pole, in its radius; x to the right, y up to the zenith. */
    public record Spot(double x, double y, String name, double magnitude, double altitudeDegrees) {}

    /** Stars joined by a line. */
    public record Figure(String name, List<Spot> stars) {}

    /** Of the pole that stands above the place's horizon. */
    public static PolePointers at(Sky sky, Instant at) {
        boolean north = sky.observer().latitudeDegrees() >= 0;
        View view = new View(sky, at, LevelFrame.towards(sky.pole().direction()));
        List<Figure> figures = new ArrayList<>();
        List<Spot> way = new ArrayList<>();
        Spot pole = new Spot(0, 0, "pole", 0, sky.pole().altitude().degrees());
        if (north) {
            figures.add(view.figure("Plough", PLOUGH));
            figures.add(view.figure("Cassiopeia", QUEEN));
            figures.add(view.figure("", POLARIS));
            way.add(view.spot(MERAK));
            way.add(view.spot(DUBHE));
            way.add(view.spot(POLARIS));
        } else {
            figures.add(view.figure("Southern Cross", CROSS_LONG));
            figures.add(view.figure("", CROSS_SHORT));
            figures.add(view.figure("Pointers", POINTERS));
            way.add(view.spot(GACRUX));
            way.add(view.spot(ACRUX));
            way.add(pole);
        }
        return new PolePointers(north, figures, way, pole, sky.pole().altitude().degrees());
    }

    /** How far under the pole the horizon is on that plane. */
    public double horizonBelow() {
        return Math.tan(Math.toRadians(horizon));
    }

    private record View(Sky sky, Instant at, LevelFrame frame) {
        Figure figure(String name, int... hips) {
            List<Spot> spots = new ArrayList<>();
            for (int hip : hips) {
                spots.add(spot(hip));
            }
            return new Figure(name, spots);
        }

        Spot spot(int hip) {
            Star star = StarCatalogue.instance().stars().stream()
                    .filter(s -> s.hip() == hip)
                    .findFirst()
                    .orElseThrow();
            Vector v = sky.stars(List.of(star), at).get(0);
            LevelFrame.Offset o = frame.offset(v);
            return new Spot(o.right(), o.up(), star.name(), star.magnitude(), Math.toDegrees(v.latitudeRad()));
        }
    }
}
