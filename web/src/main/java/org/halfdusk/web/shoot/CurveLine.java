package org.halfdusk.web.shoot;

import java.time.Instant;
import java.util.List;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.programme.SettingCurve;
import org.halfdusk.shoot.programme.SettingCurve.Point;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.subject.words.ReasonWords;

/**
 * The setting over the night, drawn under the strip on its scale: higher takes in more light.
 *
 * @param shown where what is photographed shows, a path
 * @param hidden where it does not
 * @param x and y of the playhead's own setting, of 1000 and {@link #HEIGHT}
 * @param most the setting that takes in most while it shows, in words
 * @param least that which takes in least
 */
public record CurveLine(String shown, String hidden, String x, String y, String most, String least, String words) {
    public static final int HEIGHT = 34;
    private static final double WIDTH = 1000;
    private static final double MARGIN = 4;

    /** A night in which the setting hardly changes is drawn flat, not magnified. */
    private static final double LEAST_SPAN = 3;

    static CurveLine of(Plan programme, Plan now, SettingCurve curve) {
        List<Point> shows = curve.points().stream().filter(Point::visible).toList();
        Point most = shows.get(0);
        Point least = shows.get(0);
        for (Point p : shows) {
            most = p.stops() > most.stops() ? p : most;
            least = p.stops() < least.stops() ? p : least;
        }
        String highest = ReasonWords.line(programme.at(most.at()).setting());
        String lowest = ReasonWords.line(programme.at(least.at()).setting());
        double spare = Math.max(0, LEAST_SPAN - (most.stops() - least.stops())) / 2;
        Scale scale = new Scale(curve.axis(), least.stops() - spare, most.stops() + spare);
        return new CurveLine(
                path(curve.points(), true, scale),
                path(curve.points(), false, scale),
                Numbers.tenths(scale.x(now.moment())),
                Numbers.tenths(scale.y(SettingCurve.stops(now.setting()))),
                highest,
                lowest,
                "The setting over the night, from " + lowest + " to " + highest);
    }

    /** Pieces whose both ends show, or the others. */
    private static String path(List<Point> points, boolean shown, Scale scale) {
        StringBuilder path = new StringBuilder();
        boolean open = false;
        for (int i = 1; i < points.size(); i++) {
            Point a = points.get(i - 1);
            Point b = points.get(i);
            if ((a.visible() && b.visible()) != shown) {
                open = false;
                continue;
            }
            if (!open) {
                path.append('M').append(scale.place(a));
            }
            path.append('L').append(scale.place(b));
            open = true;
        }
        return path.toString();
    }

    private record Scale(Interval axis, double least, double most) {
        double x(Instant at) {
            return WIDTH * axis.share(at);
        }

        double y(double stops) {
            double share = Math.max(0, Math.min(1, (stops - least) / (most - least)));
            return HEIGHT - MARGIN - share * (HEIGHT - 2 * MARGIN);
        }

        String place(Point p) {
            return Numbers.tenths(x(p.at())) + " " + Numbers.tenths(y(p.stops()));
        }
    }
}
