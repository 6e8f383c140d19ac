package org.halfdusk.web.run;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.sequence.Timer;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.running.Hand;
import org.halfdusk.shoot.running.WayOut;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.words.BlockWords;

/** The night in words: for the eye at arm's length, and for a voice. */
final class RunWords {
    private RunWords() {}

    static String setting(Setting s, Plan plan) {
        return s.shutter().label() + "  " + s.fNumber().label() + "  ISO " + s.iso() + "  "
                + Words.plain(plan.rig().focalMm()) + " mm";
    }

    /** What the hand does, in as few words as there are. */
    static String what(Hand h) {
        return switch (h.kind()) {
            case START -> block(h);
            case CAP_ON -> "Cap on";
            case PAUSE -> "Pause";
            case TURN -> "Turn " + Words.tenths(h.degrees().orElseThrow()) + "°";
            case FILTER_OFF -> "Filter off";
            case FILTER_ON -> "Filter on";
            case OVER -> "Over";
        };
    }

    private static String block(Hand h) {
        return BlockWords.name(h.block().orElseThrow().kind());
    }

    static String detail(Hand h, ZoneId zone) {
        String until = Times.clockSeconds(h.until(), zone);
        return switch (h.kind()) {
            case START ->
                Words.count(h.frames(), "frame") + " to " + until
                        + h.timer().map(RunWords::typed).orElse("");
            case CAP_ON -> Words.count(h.frames(), "dark frame") + ", the time and ISO of the others, to " + until;
            case PAUSE -> "battery, focus, cloth; to " + until;
            case TURN -> "back to what moves, by " + until;
            case FILTER_OFF -> "off every lens, in totality alone";
            case FILTER_ON -> "on every lens, finder and eye";
            case OVER -> "the last frame is closed";
        };
    }

    private static String typed(Timer t) {
        return "; timer: " + Words.plain(t.delaySeconds()) + " s delay, "
                + t.exposure().label() + ", " + Words.plain(t.intervalSeconds()) + " s, "
                + (t.endless() ? "no end" : "×" + t.number());
    }

    static String says(Hand h) {
        return switch (h.kind()) {
            case START -> "Start " + block(h);
            case CAP_ON -> "Cap on, dark frames";
            case PAUSE -> "Pause. Battery, focus, lens";
            case TURN -> "Turn the camera";
            case FILTER_OFF -> "Filter off";
            case FILTER_ON -> "Filter on";
            case OVER -> "All frames are taken";
        };
    }

    /** "lose 12 of 79, end at 01:38 as planned". */
    static String way(WayOut w, ZoneId zone) {
        String end = Times.clock(w.end(), zone);
        String planned = Times.clock(w.plannedEnd(), zone);
        String outside = w.outside() ? ", behind the window" : "";
        return switch (w.kind()) {
            case LOSE -> "lose " + w.lost() + " of " + (w.frames() + w.lost()) + ", end by " + planned;
            case LATER -> "take all " + w.frames() + ", end at " + end + " instead of " + planned + outside;
            case SHORTER ->
                "take all " + w.frames() + " and end by " + planned + ": shorten to "
                        + w.time().label() + " at ISO " + w.iso();
        };
    }

    /** What a camera whose clock is off shows at a moment: a hand that goes by it has to know. */
    static String shown(ClockOffset o, Instant at, ZoneId zone) {
        return "; its own clock shows " + Times.clockSeconds(o.shown(at), zone);
    }

    /** "about 58 %, to 22:00 at 4 °C". */
    static String battery(RunSimulation.Level l, RunSimulation run, ShootDesk.Open o, ZoneId zone) {
        String fed = o.shoot().it().rig().choices().recording().outsidePower() ? "fed from outside" : "";
        String until = run.emptyAt()
                .filter(e -> e.isAfter(l.at()))
                .map(e -> ", to " + Times.clock(e, zone))
                .orElse("");
        return fed.isEmpty()
                ? "about " + Words.percentFloor(l.charge()) + until + " at "
                        + Words.celsius(o.air().celsius())
                : fed;
    }

    /** "63 of 64 GB free, 1,850 frames". */
    static String card(RunSimulation.Level l, Rig rig) {
        double all = rig.cardMegabytes();
        double free = Math.max(0, all - l.megabytes());
        return Double.isInfinite(all)
                ? Words.gigabytes(l.megabytes()) + " taken"
                : Words.gigabytes(free) + " of " + Words.gigabytes(all) + " free, "
                        + Words.thousands(Math.floor(free / rig.fileMegabytes(false))) + " frames";
    }

    /** What can hurt stands in the run; the sun's stands in the page's own banner too. */
    static List<String> cautions(ShootDesk.Open open) {
        List<String> all = new ArrayList<>();
        Subject subject = open.shoot().it().subject();
        if (subject == Subject.SOLAR_ECLIPSE) {
            all.add(
                    "Filter on every lens, finder and eye, except in totality as the steps say. One look through a bare lens blinds.");
        }
        if (subject == Subject.FIREWORKS) {
            all.add("Stay behind the organiser's line; what they say goes before any picture.");
        }
        PlaceNotes notes = open.plan().place().notes();
        add(all, "Hazards: ", notes.hazards());
        add(all, "Tide: ", notes.tide());
        return all;
    }

    private static void add(List<String> all, String what, String text) {
        if (!text.isBlank()) {
            all.add(what + text);
        }
    }
}
