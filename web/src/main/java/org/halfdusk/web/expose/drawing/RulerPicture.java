package org.halfdusk.web.expose.drawing;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.ruler.Part;
import org.halfdusk.shoot.ruler.Ruler;
import org.halfdusk.shoot.setting.Zone;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Html;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/**
 * One of time, aperture and ISO as it is drawn and set.
 *
 * @param key of the part, for the form
 * @param value of the setting, in words
 * @param typed as its field takes it
 * @param drawing its zones, ticks and the kit's marks, SVG: hundreds on a page cost a template engine more than the plan they stand for
 * @param at where the handle stands, percent
 * @param notch the same in thirds of a stop from the ruler's left
 * @param from the ruler's left end on the scale of stops
 * @param labels what each third of a stop is called: that of the kit's nearest mark
 * @param state held, computed or follows
 * @param error what was wrong with what was typed
 */
public record RulerPicture(
        String key,
        String name,
        String value,
        String typed,
        String drawing,
        String at,
        int notch,
        int notches,
        String from,
        String labels,
        String state,
        String error) {
    private static final double PERCENT = 100;

    /** Percent that a letter of a zone's words takes on a desk. */
    private static final double LETTER = 1.15;

    /** A phone's ruler is so many times shorter. */
    private static final double PHONE = 1.9;

    /** From here on, in percent, the words of a tick end at it. */
    private static final double NEAR_END = 82;

    /** Stops to each side that the handle covers. */
    private static final double UNDER_HANDLE = 0.85;

    /** Percent that two labels of ticks keep apart. */
    private static final double APART = 9;

    public static List<RulerPicture> of(Plan plan, FormErrors errors) {
        return Ruler.of(plan).stream().map(r -> of(r, plan, errors)).toList();
    }

    private static RulerPicture of(Ruler r, Plan plan, FormErrors errors) {
        String key = r.part().name();
        int notches = Ruler.STOPS * Ruler.THIRDS;
        boolean refused =
                !errors.of(key(r.part())).isEmpty() && errors.text("part").equals(key);
        List<String> labels = IntStream.rangeClosed(0, notches)
                .mapToObj(i -> Ruler.nearest(r.marks(), r.from() + i / (double) Ruler.THIRDS)
                        .map(Ruler.Mark::label)
                        .orElse(""))
                .toList();
        String value = value(r.part(), plan);
        return new RulerPicture(
                key,
                switch (r.part()) {
                    case TIME -> "Time";
                    case APERTURE -> "Aperture";
                    case ISO -> "ISO";
                },
                value,
                refused ? errors.text("typed") : value,
                zones(r) + ticks(r) + marks(r),
                percent(r, r.at()),
                Math.max(0, Math.min(notches, (int) Math.round((r.at() - r.from()) * Ruler.THIRDS))),
                notches,
                Numbers.typed(r.from()),
                String.join("|", labels),
                r.state().name().toLowerCase(Locale.ROOT),
                refused ? errors.of(key(r.part())) : "");
    }

    /** The field of the shoot that a part is fixed by. */
    public static String key(Part part) {
        return part == Part.TIME ? "SHUTTER" : part.name();
    }

    private static String value(Part part, Plan plan) {
        return switch (part) {
            case TIME -> plan.setting().shutter().label();
            case APERTURE -> plan.setting().fNumber().label();
            case ISO -> plan.setting().iso().toString();
        };
    }

    private static String percent(Ruler r, double stops) {
        return Numbers.tenths(PERCENT * (stops - r.from()) / (r.to() - r.from()));
    }

    /** Words always are the title of their zone; they stand in it where it has room for them, on a phone in wide ones only. */
    private static String zones(Ruler r) {
        StringBuilder svg = new StringBuilder();
        for (Ruler.Span z : r.zones()) {
            double width = PERCENT * (z.to() - z.from()) / (r.to() - r.from());
            String words = words(z.kind());
            String tone = z.kind().tone().name().toLowerCase(Locale.ROOT);
            svg.append("<svg y=\"20\" height=\"24\" x=\"").append(percent(r, z.from()));
            svg.append("%\" width=\"").append(Numbers.tenths(width));
            svg.append("%\"><title>").append(words);
            svg.append("</title><rect class=\"zone\" width=\"100%\" height=\"24\" data-tone=\"");
            svg.append(tone).append("\"/>");
            if (width > LETTER * words.length()) {
                boolean narrow = width < PHONE * LETTER * words.length();
                svg.append("<text x=\"7\" y=\"17\" class=\"zone-words").append(narrow ? " second" : "");
                svg.append("\" data-tone=\"").append(tone).append("\">");
                svg.append(words).append("</text>");
            }
            svg.append("</svg>");
        }
        return svg.toString();
    }

    private static String marks(Ruler r) {
        StringBuilder svg = new StringBuilder();
        int whole = 0;
        for (Ruler.Mark m : r.marks()) {
            boolean under = Math.abs(m.stops() - r.at()) < UNDER_HANDLE;
            boolean second = m.whole() && whole % 2 == 1;
            svg.append("<svg overflow=\"visible\" y=\"44\" x=\"")
                    .append(percent(r, m.stops()))
                    .append("%\"><line class=\"");
            svg.append(m.whole() ? "mark whole\" y2=\"8\"/>" : "mark\" y2=\"4\"/>");
            if (m.whole() && !under) {
                svg.append("<text y=\"24\" text-anchor=\"middle\" class=\"")
                        .append(second ? "mark-words second" : "mark-words");
                svg.append("\">").append(Html.escaped(m.label())).append("</text>");
            }
            svg.append("</svg>");
            whole += m.whole() ? 1 : 0;
        }
        return svg.toString();
    }

    /** Those that stand too near to the one before keep their line and lose their words. */
    private static String ticks(Ruler r) {
        StringBuilder svg = new StringBuilder();
        double last = Double.NEGATIVE_INFINITY;
        for (Ruler.Tick t : r.ticks()) {
            double at = PERCENT * (t.stops() - r.from()) / (r.to() - r.from());
            String words = words(t);
            boolean room = at - last > APART + LETTER * words.length() / 3;
            boolean crowded = at - last < PHONE * (APART + LETTER * words.length() / 3);
            svg.append("<svg overflow=\"visible\" x=\"").append(Numbers.tenths(at));
            svg.append("%\"><line class=\"tick\" y1=\"15\" y2=\"20\"/><text y=\"12\" class=\"tick-words");
            svg.append(crowded ? " second" : "").append("\" text-anchor=\"");
            svg.append(at > NEAR_END ? "end" : "middle").append("\">");
            svg.append(room ? Html.escaped(words) : "").append("</text></svg>");
            last = room ? at : last;
        }
        return svg.toString();
    }

    private static String words(Ruler.Tick t) {
        return switch (t.what()) {
            case NPF_1 -> "k 1";
            case NPF_2 -> "k 2";
            case NPF_3 -> "k 3";
            case RULE_500 -> "500 rule " + Words.seconds(t.value());
            case PERSON -> "a person, 3 s";
            case HAND -> "by hand " + Words.fraction(t.value());
            case HAND_STABILISED -> "stabilised " + Words.fraction(t.value());
            case MOTION -> "moves 1 px, " + Words.fraction(t.value());
            case SHARPEST -> "sharpest";
            case TARGET -> "target";
            case LIFT -> "lift at the camera";
        };
    }

    private static String words(Zone.Kind kind) {
        return switch (kind) {
            case PINPOINT -> "pinpoint";
            case ROUND -> "round";
            case TRAILS -> "trails";
            case BULB -> "bulb, for the ground";
            case MANY_FILES -> "many files";
            case CLEAN_TRAILS -> "clean trails";
            case GLOW -> "the sky glows";
            case SHARP -> "sharp";
            case BLURRED -> "it moves";
            case HAND_SHAKES -> "blurs by hand";
            case LENS_SHAKES -> "a touch shows";
            case STROKES -> "short strokes";
            case WHOLE_BREAK -> "one whole break";
            case SEVERAL_BREAKS -> "several over each other";
            case AS_METERED -> "film as metered";
            case RECIPROCITY -> "reciprocity: more than the meter says";
            case PEOPLE_SHARP -> "people sharp";
            case PEOPLE_BLURRED -> "people blur";
            case PEOPLE_GONE -> "people vanish, cars draw lines";
            case RAYS -> "rays from lamps";
            case SOFTENED -> "softened";
            case SHARP_LENS -> "sharp";
            case SOFT_CORNERS -> "soft corners";
            case OUT_OF_REACH -> "out of reach";
            case LIFTED -> "noisy when lifted";
            case COLOURS_SAFE -> "colours safe";
            case CORES_CLIP -> "cores clip";
            case DARK -> "dark";
            case RIGHT -> "right";
            case BRIGHT -> "bright";
            case CLIPPED -> "clipped";
        };
    }
}
