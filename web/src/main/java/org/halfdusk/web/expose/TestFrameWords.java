package org.halfdusk.web.expose;

import java.util.List;
import java.util.Locale;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.web.layout.words.Words;

/** The dialogue about a test frame in words: what to look at, what can be seen, what to do about it and why. */
final class TestFrameWords {
    private TestFrameWords() {}

    /** Something that a test frame can show. */
    record Seen(String key, String words) {}

    static List<Seen> seen(List<Symptom> symptoms) {
        return symptoms.stream().map(s -> new Seen(s.name(), name(s))).toList();
    }

    /** Where to look before one answers. */
    static String look(List<Symptom> symptoms) {
        String where = symptoms.contains(Symptom.BURSTS_PILED)
                ? "Magnify the middle of a burst and its tips"
                : symptoms.contains(Symptom.LAMPS_DULL)
                        ? "Magnify a lit front, a lamp and a wall that no lamp reaches"
                        : symptoms.contains(Symptom.DISC_DOUBLED)
                                ? "Magnify the disc's edge and the brightest part of it"
                                : "Magnify a star in the middle and one in a corner";
        return where + ", and look at both ends of the histogram. Change one thing at a time.";
    }

    private static String name(Symptom s) {
        return switch (s) {
            case LEFT_EDGE -> "Dark touches the left edge";
            case CLIPPED -> "Highlights are clipped";
            case DASHES -> "Stars are dashes";
            case THIN_CLOUD -> "Thin cloud lies over it";
            case WINGS -> "Corners have wings";
            case SOFT -> "Everything is soft";
            case BURSTS_WHITE -> "Bursts are white";
            case BURSTS_FAINT -> "Bursts are faint";
            case BURSTS_PILED -> "Bursts lie over one another";
            case SPARKS_SHORT -> "Sparks are cut short";
            case DISC_WHITE -> "The disc is white";
            case DISC_DARK -> "The disc is too dark";
            case DISC_DOUBLED -> "Its edge is doubled";
            case TOWN_WHITE -> "Lit fronts are white";
            case TOWN_BLACK -> "Walls and water are black";
            case LAMPS_DULL -> "Lamps have no rays";
        };
    }

    /** What was seen and what is done about it, as a line of the shoot's notes. */
    static String note(Symptom seen, Symptom.Remedy r) {
        return name(seen).toLowerCase(Locale.ROOT)
                + r.change().map(c -> ", " + c.label()).orElse("");
    }

    static String heading(Symptom seen, Symptom.Remedy r) {
        return seen == Symptom.SOFT
                ? "Go through the causes in this order"
                : r.change().map(c -> "Set " + c.label()).orElse("No setting is left for that");
    }

    /** @param focus how this subject is focused */
    static String reason(Symptom seen, Symptom.Remedy r, String focus) {
        boolean nothing = r.change().isEmpty();
        String light = Words.stops(r.stops()) + " of light";
        return switch (seen) {
            case LEFT_EDGE ->
                nothing
                        ? "The camera's highest ISO is in use. Give more time and accept longer trails, or take a wider lens."
                        : "Dark tones that touch the left edge drown in read noise and cannot be lifted later. A stop of ISO moves "
                                + "them off it and costs neither time nor sharpness. Nothing else changes.";
            case CLIPPED ->
                nothing
                        ? "The camera's lowest ISO is in use. Shorten the time, or stop down."
                        : "What clips has lost its colour for good. A stop less ISO brings it back; the sky is lifted later from raw.";
            case DASHES ->
                "That is the aperture and pixel rule's pinpoint, or a third less than now: stars then trail "
                        + Words.tenths(r.trailPx()) + " px in the middle. It costs " + light
                        + ": raise ISO afterwards, not at the same time.";
            case WINGS ->
                nothing
                        ? "The lens is at its sharpest already. Keep what matters out of the corners, or crop them."
                        : "Wings in the corners are the lens wide open. At this aperture it is at its best; it costs "
                                + light + ".";
            case THIN_CLOUD ->
                nothing
                        ? "More is given already than a plan should be bent by. Wait for it to pass."
                        : "It takes about " + Words.stops(Symptom.THIN_CLOUD_STOPS)
                                + " of the stars and spreads their light; all settings of this rig shift by as much until you take "
                                + "it back. Towns light it from below: the sky's own place on the histogram may not need it.";
            case SOFT ->
                "1 Too wide an aperture: only a sliver is sharp; stop down. 2 Too slow a shutter, or the tripod shakes; "
                        + "shorten, use the remote, hang the bag on it. 3 Noise, or a dark frame lifted, which looks like "
                        + "softness; expose more. 4 Focus mode was not manual. 5 The camera chose another focus point; focus again "
                        + focus + ". 6 Last and least, a lens out of calibration: it errs one way always.";
            case BURSTS_WHITE ->
                nothing
                        ? "The lens is closed as far as it goes, at the lowest ISO: a neutral filter is left."
                        : "White sparks have lost their colour for good. A smaller aperture draws each spark darker; a shorter time "
                                + "only draws less of it.";
            case BURSTS_FAINT ->
                nothing
                        ? "The lens is wide open at the highest ISO. Go nearer, as far as the organiser allows."
                        : "Sparks move on: only aperture and ISO set how bright they draw. A longer time adds more of them, no brighter.";
            case BURSTS_PILED ->
                nothing
                        ? "This is the camera's shortest time."
                        : "Half the time holds half the bursts. How bright each one draws stays as it is.";
            case SPARKS_SHORT ->
                nothing
                        ? "This is the camera's longest time; on bulb you decide by eye."
                        : "Twice the time draws more of the climb and of the sparks' fall. How bright they draw stays as it is.";
            case DISC_WHITE ->
                nothing
                        ? "This is the camera's shortest time. Take the ISO down, or stop down."
                        : "A disc in a dark frame fools every meter. It costs " + light
                                + ", and brings back seas and craters that no lifting brings back from white.";
            case DISC_DARK ->
                nothing
                        ? "The camera's highest ISO is in use. Give more time, and watch its edge for motion."
                        : "A stop of ISO lifts it without more motion or shake. Nothing else changes.";
            case TOWN_WHITE ->
                nothing
                        ? "This is the camera's shortest time. Stop down, or take the ISO down."
                        : "Fronts under lamps shall keep their colour; the lamps themselves stay white whatever you set. It costs "
                                + light + ".";
            case TOWN_BLACK ->
                nothing
                        ? "This is the camera's longest time. Open the aperture, or come earlier, while the sky still lights them."
                        : "Twice the time lifts walls and water. Lamps grow a little; a second frame for them is joined later.";
            case LAMPS_DULL ->
                nothing
                        ? "The lens is closed as far as it goes. An iris of round blades draws hardly any rays."
                        : "Rays come of the iris's edges: a stop smaller draws them longer. It costs " + light
                                + ", which the time gives back.";
            case DISC_DOUBLED ->
                nothing
                        ? "This is the camera's shortest time: what is left is shake. Use the remote or the timer, and wait for wind."
                        : "Half the time halves motion and shake. It costs " + light
                                + ": raise ISO afterwards, not at the same time.";
        };
    }
}
