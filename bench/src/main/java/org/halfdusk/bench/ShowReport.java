package org.halfdusk.bench;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.TypicalKit;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.place.Skyline;
import org.halfdusk.show.Backdrop;
import org.halfdusk.show.Development;
import org.halfdusk.show.Display;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.Take;
import org.halfdusk.show.Viewpoint;
import org.halfdusk.show.practice.FrameTimes;
import org.halfdusk.show.shells.Calibre;
import org.halfdusk.show.shells.Choreographer;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.show.shells.Spark;
import org.halfdusk.show.smoke.Drift;

/** How long a show of twenty minutes takes to be computed, its times to be counted, and a frame of it to be developed. */
final class ShowReport {
    private static final int ROUNDS = 15;
    private static final int CELLS = 240;

    private ShowReport() {}

    static void print() {
        Choreographer town = new Choreographer(new Calibre(75), new Calibre(150), 1200, 120);
        line("a show of 20 minutes, every spark", () -> {
            Display made = display(town.made(14));
            return made.sheet().cues().stream()
                    .mapToInt(c -> made.sparks(c).size())
                    .sum();
        });
        CueSheet sheet = town.made(14);
        line(
                "its times for body and finale",
                () -> FrameTimes.tried(sheet, CueSheet.Part.BODY, 1.1, 3).size()
                        + FrameTimes.tried(sheet, CueSheet.Part.FINALE, 0.3, 0.5)
                                .size());
        Display display = display(sheet);
        Take take = new Take(
                Rig.of(TypicalKit.CAMERAS.get(0), TypicalKit.LENSES.get(0), Optional.empty(), 40),
                new Framing(Azimuth.ofDegrees(128), Altitude.ofDegrees(17), 90),
                new FNumber(11),
                Iso.HUNDRED,
                0);
        for (double seconds : List.of(1.0, 3.5, 15.0)) {
            line(
                    "a frame of " + seconds + " s in the body",
                    () -> Development.of(display, new Shutter(300, 300 + seconds), take, CELLS));
        }
        line("a frame of 2.0 s in the finale", () -> Development.of(display, new Shutter(1150, 1152), take, CELLS));
    }

    private static Display display(CueSheet sheet) {
        Backdrop behind = new Backdrop(
                List.of(new Backdrop.Glow(0, 0.003), new Backdrop.Glow(30, 0.001)),
                Optional.empty(),
                Skyline.FLAT,
                true,
                Backdrop.madeUpWindows(140, 420));
        return new Display(
                sheet,
                new Viewpoint(Azimuth.ofDegrees(128), 420, 0),
                new Drift(new Spark.Point(1.5, 0, 0.3), 1),
                behind);
    }

    private static void line(String what, Supplier<?> work) {
        Took.line(what, ROUNDS, work);
    }
}
