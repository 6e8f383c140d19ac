package org.halfdusk.web.layout.drawing;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Times;

/** The words over a night strip, moved apart where they would cover one another. */
final class StripLabels {
    private StripLabels() {}
    /** Width of a letter on a desk's strip. */
    private static final double LETTER = 5.4;

    /** Half of the playhead's label and half of another, of the strip's width. */
    private static final double COVERED = 50;

    /** Width of a letter on a phone's strip in the largest type. */
    private static final double LETTER_SMALL = 26;

    private static final int HEAD_LETTERS = 6;
    private static final int TIME_LETTERS = 6;

    /** Those that neither the playhead's own label nor a weightier one covers: sunset and sunrise give way. */
    static List<NightStrip.Label> labels(NightStrip.Extras extras, Interval axis, NightStrip.Scale scale, ZoneId zone) {
        double head = extras.playhead().map(scale::x).orElse(-NightStrip.WIDTH);
        List<NightStrip.Mark> wished = extras.marks().stream()
                .filter(m -> axis.contains(m.at()) && Math.abs(scale.x(m.at()) - head) > COVERED)
                .sorted(Comparator.comparing(NightStrip.Mark::weighty).reversed())
                .toList();
        List<NightStrip.Mark> kept = apart(wished, scale, LETTER, head);
        List<NightStrip.Mark> small = apart(kept, scale, LETTER_SMALL, head);
        return kept.stream()
                .sorted(Comparator.comparing(NightStrip.Mark::at))
                .map(m -> new NightStrip.Label(
                        scale.percent(m.at()),
                        m.what() + " " + Times.clock(m.at(), zone),
                        NightStrip.anchor(scale.x(m.at())),
                        !small.contains(m)))
                .toList();
    }

    /** Those that find room one after another, and beside the playhead's label, where a letter is so wide. */
    private static List<NightStrip.Mark> apart(
            List<NightStrip.Mark> wished, NightStrip.Scale scale, double letter, double head) {
        double left = head - StripPlayhead.lean(head) * HEAD_LETTERS * letter;
        List<double[]> taken = new ArrayList<>(List.of(new double[] {left, left + HEAD_LETTERS * letter}));
        List<NightStrip.Mark> kept = new ArrayList<>();
        for (NightStrip.Mark m : wished) {
            double[] own = extent(m, scale, letter);
            if (taken.stream().noneMatch(t -> own[0] < t[1] + letter && t[0] < own[1] + letter)) {
                taken.add(own);
                kept.add(m);
            }
        }
        return kept;
    }

    /** From where to where a label reaches: its words, a space and a time. */
    private static double[] extent(NightStrip.Mark m, NightStrip.Scale scale, double letter) {
        double x = scale.x(m.at());
        double width = (m.what().length() + TIME_LETTERS) * letter;
        double left = switch (NightStrip.anchor(x)) {
            case "start" -> x;
            case "end" -> x - width;
            default -> x - width / 2;
        };
        return new double[] {left, left + width};
    }
}
