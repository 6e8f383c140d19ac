package org.halfdusk.web.town;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.halfdusk.shoot.town.Tone;
import org.halfdusk.shoot.town.TownExposure;
import org.halfdusk.shoot.town.TownNight;
import org.halfdusk.shoot.town.TownPart;
import org.halfdusk.shoot.town.TownPlan;
import org.halfdusk.shoot.town.TownWish;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.words.ReasonWords;

/** A night of a town in words. */
final class TownWords {
    private TownWords() {}

    static NightWords of(TownNight n) {
        return new NightWords(
                n.main().map(w -> Times.span(w, n.zone())).orElse("No blue hour"),
                n.main()
                        .map(w -> blue(n)
                                ? Times.minutes(w.duration()) + " from " + Times.clock(w.start(), n.zone())
                                : "from " + Times.clock(w.start(), n.zone()))
                        .orElse("no blue hour"),
                sentence(n),
                whyNotMore(n),
                n.main().isEmpty() ? "" : Times.clock(n.bestMoment(), n.zone()),
                ReasonWords.parts(n.score(), blue(n) ? "minutes of blue" : "hours", "rooms lit", "moon on the land"));
    }

    private static boolean blue(TownNight n) {
        return n.wish().picture() == TownWish.Picture.BLUE_HOUR;
    }

    static String sentence(TownNight n) {
        if (n.main().isEmpty()) {
            return blue(n)
                    ? "The sky never passes from pale to dark this night: lamps and sky ask for two exposures, or lamps do not show."
                    : "The sky stays too bright all night for lamps to have it for themselves.";
        }
        if (!blue(n)) {
            return "From " + Times.clock(n.bestMoment(), n.zone())
                    + " on the sky is lost beside the lamps: the setting then holds all night.";
        }
        return "Sky and lit fronts are alike at " + Times.clock(n.bestMoment(), n.zone()) + "; for "
                + Times.minutes(n.main().orElseThrow().duration()) + " one exposure holds both.";
    }

    private static String whyNotMore(TownNight n) {
        if (n.main().isEmpty()) {
            return "the sky does not pass from pale to dark";
        }
        if (!n.roomsLit()) {
            return "rooms are dark at that hour";
        }
        String blue =
                blue(n) ? "blue for " + Times.minutes(n.main().orElseThrow().duration()) : "lamps until dawn";
        return n.moonUp() ? blue : blue + ", no moon on the land";
    }

    /** The sky's fall beside the lamps. */
    static String evening(TownNight n) {
        if (n.main().isEmpty()) {
            return sentence(n);
        }
        String falls = n.stopLost(n.bestMoment())
                .map(d -> "About " + Times.clock(n.bestMoment(), n.zone()) + " the sky loses a stop in "
                        + Times.minutesSeconds(d) + ", lamps none. ")
                .orElse("");
        return falls
                + n.main()
                        .filter(w -> blue(n))
                        .map(w -> "After " + Times.clock(w.end(), n.zone()) + " the sky is lost.")
                        .orElse("");
    }

    /** "the sky is 2 stops over the lit fronts". */
    static String over(double stops) {
        return Words.told(stops)
                ? "the sky is " + Words.stops(Math.abs(stops)) + (stops > 0 ? " over" : " under") + " the lit fronts"
                : "sky and lit fronts are alike";
    }

    static String name(TownPart part) {
        return switch (part) {
            case LAMPS -> "lamps";
            case WINDOWS -> "windows";
            case FRONTS -> "lit fronts";
            case STREET -> "street";
            case SKY -> "sky";
            case WATER -> "water";
            case WALLS -> "walls";
            case HULLS -> "boats";
        };
    }

    /** "clips: lamps". */
    static String tone(Tone tone, TownExposure e) {
        String of = String.join(", ", parts(e, tone));
        return tone.name().toLowerCase(Locale.ROOT) + (of.isEmpty() ? "" : ": " + of);
    }

    /** What clips and what goes black, in a sentence. */
    static String verdict(TownPlan plan) {
        List<String> clips = parts(plan.exposure(), Tone.CLIPS);
        List<String> black = parts(plan.exposure(), Tone.BLOCKED);
        String over = clips.isEmpty() ? "Nothing clips" : Words.capital(list(clips)) + " clip";
        return black.isEmpty() ? over + ", shadows hold" : over + ", " + list(black) + " go black";
    }

    private static List<String> parts(TownExposure e, Tone tone) {
        return Arrays.stream(TownPart.values())
                .filter(p -> e.toneOf(p) == tone)
                .map(TownWords::name)
                .toList();
    }

    private static String list(List<String> names) {
        return String.join(names.size() == 2 ? " and " : ", ", names);
    }

    static String school(TownExposure.School school) {
        return switch (school) {
            case MID_TONE_AND_A_THIRD -> "Mid-tone and a third";
            case MID_TONE -> "Mid-tone as read";
            case SHADOWS -> "Shadows minus two";
            case AVERAGED -> "Averaged, lamps in view";
        };
    }
}
