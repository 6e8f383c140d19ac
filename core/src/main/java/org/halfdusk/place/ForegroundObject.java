package org.halfdusk.place;

import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.place.geodesy.LineOfSight;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.Range;

/**
 * Something that stands before the sky: a tower, a tree, a ridge.
 *
 * @param heightMetres of its top above its foot, 0 to 5000
 * @param widthMetres 0 to 5000
 * @param azimuth from the tripod
 * @param distanceMetres from the tripod, 1 to 100,000
 * @param baseMetres its foot's height above the tripod's ground, −5000 to 5000
 * @param position of its foot, where that is known; direction, distance and height then follow from it
 */
public record ForegroundObject(
        String name,
        double heightMetres,
        double widthMetres,
        Azimuth azimuth,
        double distanceMetres,
        double baseMetres,
        Optional<Observer> position) {
    /** Height of a tripod's camera above the ground, m. */
    public static final double EYE_METRES = 1.5;

    public ForegroundObject {
        name = PlainText.line("name of an object", name, 80);
        new Range("height of an object", 0, 5000, "m").check(heightMetres);
        new Range("width of an object", 0, 5000, "m").check(widthMetres);
        new Range("distance of an object", 1, 100_000, "m").check(distanceMetres);
        new Range("foot of an object", -5000, 5000, "m").check(baseMetres);
    }

    /** Without a position of its own. */
    public ForegroundObject(
            String name,
            double heightMetres,
            double widthMetres,
            Azimuth azimuth,
            double distanceMetres,
            double baseMetres) {
        this(name, heightMetres, widthMetres, azimuth, distanceMetres, baseMetres, Optional.empty());
    }

    /** Something that stands at a position, seen from a place. */
    public static ForegroundObject at(
            String name, double heightMetres, double widthMetres, Observer position, Observer from) {
        return new ForegroundObject(name, heightMetres, widthMetres, Azimuth.ofDegrees(0), 1, 0, Optional.of(position))
                .seenFrom(from);
    }

    /**
     * A gap in a skyline as something that a body can stand in: its floor is the top.
     *
     * @param name of it
     * @param away how far off its hills stand, 1 to 100,000 m; for the direction alone any will do
     */
    public static ForegroundObject in(Skyline.Gap gap, String name, double away) {
        double drop = LineOfSight.altitudeDegrees(0, away);
        double floor = away * Math.tan(Math.toRadians(gap.altitudeDegrees() - drop));
        double width = 2 * away * Math.tan(Math.toRadians(Math.min(50, gap.widthDegrees()) / 2));
        return new ForegroundObject(
                name,
                0,
                Math.min(5000, width),
                Azimuth.ofDegrees(gap.azimuthDegrees()),
                away,
                new Range("floor", -5000, 5000, "m").clamped(floor + EYE_METRES));
    }

    /** The same from another place; what has no position of its own stays where it was seen. */
    public ForegroundObject seenFrom(Observer from) {
        return position.map(p -> new ForegroundObject(
                        name,
                        heightMetres,
                        widthMetres,
                        Azimuth.ofDegrees(from.bearingDegrees(p.latitudeDegrees(), p.longitudeDegrees())),
                        Math.max(1, 1000 * from.distanceKm(p.latitudeDegrees(), p.longitudeDegrees())),
                        p.elevationMetres() - from.elevationMetres(),
                        position))
                .orElse(this);
    }

    /** Altitude of the top, degrees: atan(height above the eye over distance), the earth's curve counted. */
    public double topDegrees() {
        return LineOfSight.altitudeDegrees(baseMetres + heightMetres - EYE_METRES, distanceMetres);
    }

    /** Angle between its sides, degrees. */
    public double widthDegrees() {
        return Math.toDegrees(2 * Math.atan(widthMetres / 2 / distanceMetres));
    }
}
