package org.halfdusk.web.expose.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.Plan;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/**
 * What a film makes of long times: the time that a meter says along the picture, the time to expose up it, in stops; a sensor's would
 * be the straight line.
 *
 * @param law the film's line, a path
 * @param straight the sensor's
 * @param here where the setting stands
 */
public record FilmPicture(
        String law, String straight, List<Mark> metered, List<Mark> exposed, Spot here, String words) {
    /** @param at along the picture or up it */
    record Mark(String at, String text) {}

    /** @param anchor on which side its words stand */
    record Spot(String x, String y, String textX, String anchor, String text) {}

    private static final double LEFT = 70;
    private static final double RIGHT = 840;
    private static final double BOTTOM = 186;
    private static final double TOP = 14;

    /** Stops from a second on that are shown at the least. */
    private static final int STOPS = 7;

    /** How many marks are written up the picture at the most. */
    private static final int MOST_MARKS = 6;

    private static final int POINTS = 40;
    private static final double BESIDE = 12;

    public static Optional<FilmPicture> of(Plan plan) {
        OptionalDouble law = plan.rig().camera().sensitivity().filmExponent();
        return law.isPresent()
                ? Optional.of(of(law.getAsDouble(), plan.setting().shutter()))
                : Optional.empty();
    }

    /** @param exponent of the film's law */
    private static FilmPicture of(double exponent, ShutterTime time) {
        double counts = Reciprocity.metered(time.realSeconds(), exponent);
        double most = Math.max(STOPS, Math.ceil(stops(counts)) + 1);
        Scale across = new Scale(LEFT, RIGHT, most);
        Scale up = new Scale(BOTTOM, TOP, stops(Reciprocity.exposed(Math.pow(2, most), exponent)));
        StringBuilder law = new StringBuilder();
        for (int i = 0; i <= POINTS; i++) {
            double metered = Math.pow(2, most * i / POINTS);
            law.append(i == 0 ? "M" : "L")
                    .append(across.at(metered))
                    .append(' ')
                    .append(up.at(Reciprocity.exposed(metered, exponent)));
        }
        boolean late = stops(counts) > most / 2;
        double x = across.place(Math.max(1, counts));
        return new FilmPicture(
                law.toString(),
                "M" + across.at(1) + " " + up.at(1) + "L" + across.at(Math.pow(2, most)) + " "
                        + up.at(Math.pow(2, most)),
                marks(most, across, most),
                marks(up.stops(), up, MOST_MARKS),
                new Spot(
                        Numbers.tenths(x),
                        up.at(Math.max(1, time.realSeconds())),
                        Numbers.tenths(late ? x - BESIDE : x + BESIDE),
                        late ? "end" : "start",
                        time.label() + " count as " + Words.seconds(counts)),
                "What a meter says along the picture, what this film needs up it: " + time.label() + " count as "
                        + Words.seconds(counts) + ", " + Words.stops(stops(time.realSeconds()) - stops(counts))
                        + " lost to the dark.");
    }

    private static double stops(double seconds) {
        return Math.max(0, Stops.between(seconds, 1));
    }

    /** Whole stops from a second on, so many as there is room for. */
    private static List<Mark> marks(double stops, Scale scale, double most) {
        int each = (int) Math.ceil(stops / most);
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i <= stops; i += each) {
            double seconds = Math.pow(2, i);
            marks.add(new Mark(scale.at(seconds), Words.plain(seconds) + " s"));
        }
        return marks;
    }

    /** A second at its first end, a number of stops more at its last. */
    private record Scale(double first, double last, double stops) {
        double place(double seconds) {
            return first + (last - first) * FilmPicture.stops(seconds) / stops;
        }

        String at(double seconds) {
            return Numbers.tenths(place(seconds));
        }
    }
}
