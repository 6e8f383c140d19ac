package org.halfdusk.show;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.show.shells.Spark;
import org.halfdusk.show.smoke.Drift;
import org.halfdusk.show.smoke.Puff;
import org.halfdusk.show.smoke.Veil;

/**
 * A show over a place: what is fired, seen from where, in what air, before what.
 *
 * <p>Immutable but for a memory of each shell's sparks; it may be asked from several threads.
 */
public final class Display {
    private final CueSheet sheet;
    private final Viewpoint from;
    private final Drift drift;
    private final Backdrop behind;
    private final Map<Cue, List<Spark>> sparks = new ConcurrentHashMap<>();
    private final List<Puff> puffs;

    /**
     * @param from where it is seen from
     * @param drift of its smoke
     * @param behind the sky behind it
     */
    public Display(CueSheet sheet, Viewpoint from, Drift drift, Backdrop behind) {
        this.sheet = sheet;
        this.from = from;
        this.drift = drift;
        this.behind = behind;
        puffs = drift.thickness() == 0
                ? List.of()
                : sheet.cues().stream().map(c -> Puff.of(c, drift)).toList();
    }

    /** What is fired when. */
    public CueSheet sheet() {
        return sheet;
    }

    /** Where it is seen from. */
    public Viewpoint from() {
        return from;
    }

    /** How its smoke drifts. */
    public Drift drift() {
        return drift;
    }

    /** The sky behind it. */
    public Backdrop behind() {
        return behind;
    }

    /** All that glows of a shell, its climb first. */
    public List<Spark> sparks(Cue cue) {
        return sparks.computeIfAbsent(cue, c -> List.copyOf(c.sparks()));
    }

    /** All smoke of the show, in the order of its cues. */
    public List<Puff> puffs() {
        return puffs;
    }

    /** Smoke that still hides something at a time. */
    List<Puff> smoke(double seconds) {
        return puffs.stream().filter(p -> p.depthAt(seconds) > Veil.LEAST_DEPTH).toList();
    }

    /** Share of the light from a place that smoke lets through at a time, 0 to 1. */
    public double through(double seconds, Spark.Point from) {
        return veil(seconds).through(from);
    }

    /** What smoke stands in the way at a time. */
    Veil veil(double seconds) {
        return new Veil(smoke(seconds), seconds, drift.wind());
    }
}
