package org.halfdusk.web.trails;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.sequence.camera.TrailGap;
import org.halfdusk.shoot.trails.TrailsPlan;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Histogram;

/**
 * One trail across a gap at 100 %, and the sky on the histogram of one frame and of all in one.
 *
 * @param all nothing where the night has no window
 */
public record TrailsExposePicture(List<Pixel> trail, String gap, Histogram one, Optional<Histogram> all, String words) {
    private static final int ACROSS = 43;
    private static final int DOWN = 9;
    private static final double SIDE = 20;

    public record Pixel(String x, String y, String colour) {}

    static TrailsExposePicture of(TrailsPlan plan, Theme theme) {
        TrailGap gap = plan.widestGap().orElse(TrailGap.NONE);
        List<Pixel> pixels = new ArrayList<>();
        for (int row = 0; row < DOWN; row++) {
            double off = row - (DOWN - 1) / 2.0;
            double across = gap.across(off);
            for (int column = 0; column < ACROSS; column++) {
                double light = across * gap.brightness(column - (ACROSS - 1) / 2.0);
                if (light > 0.02) {
                    int grey = (int) Math.round(255 * Math.pow(light, 1 / 2.2));
                    pixels.add(new Pixel(
                            Numbers.tenths(column * SIDE),
                            Numbers.tenths(row * SIDE),
                            theme.colour(String.format(Locale.ROOT, "#%02x%02x%02x", grey, grey, grey))));
                }
            }
        }
        String words = Words.tenths(gap.px()) + " px between two dashes of the fastest star, beside a star "
                + Words.tenths(FrameRun.STAR_WIDTH_PX) + " px wide: the middle is " + Words.percent(gap.dip())
                + " darker.";
        return new TrailsExposePicture(
                pixels,
                words,
                Histogram.of(plan.exposure().sky()),
                plan.oneLongFrame().map(Histogram::of),
                words);
    }
}
