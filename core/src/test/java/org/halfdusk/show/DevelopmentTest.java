package org.halfdusk.show;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.Isle;
import org.halfdusk.show.shells.Calibre;
import org.halfdusk.show.shells.Choreographer;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.show.shells.ShellKind;
import org.halfdusk.show.shells.Spark;
import org.halfdusk.show.shells.Tint;
import org.halfdusk.show.smoke.Drift;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Frames of one shell, whose light can be reckoned by hand. */
class DevelopmentTest {
    private static final Rig FORTY = Isle.rig(Isle.STANDARD, 40);
    private static final Viewpoint HARBOUR = new Viewpoint(Azimuth.ofDegrees(128), 420, 0);
    private static final Framing UPRIGHT = new Framing(Azimuth.ofDegrees(128), Altitude.ofDegrees(17), 90);

    private static Take take(double f, int iso) {
        return new Take(FORTY, UPRIGHT, new FNumber(f), Iso.of(iso), 0);
    }

    private static Display of(Drift drift, Backdrop behind, Cue... cues) {
        return new Display(new CueSheet(List.of(cues), 1e6, 1e6), HARBOUR, drift, behind);
    }

    private static Cue cue(ShellKind kind, double at) {
        return new Cue(at, kind, new Calibre(125), Tint.RED, 0, 0.3);
    }

    private static double sum(Developed d, int channel) {
        double sum = 0;
        for (float v : d.channels()[channel]) {
            sum += v;
        }
        return sum;
    }

    /** All light through the lens, π/4 (f/N)² · 0.75 of Σ cd·s/d², lies on the cells when nothing clips. */
    @Test
    void lightIsKept() {
        Cue peony = cue(ShellKind.PEONY, 0);
        Display display = of(Drift.NONE, Backdrop.BLACK, peony);
        Shutter all = new Shutter(peony.breakSeconds() + 0.02, peony.darkSeconds() + 1);
        Developed frame = Development.of(display, all, take(22, 25), 480);
        double candelaSeconds = 0;
        for (Spark s : display.sparks(peony)) {
            candelaSeconds += s.born() < peony.breakSeconds() ? 0 : s.candelaSeconds(all.open(), all.close());
        }
        double d = Math.hypot(420, 140);
        double lumen = candelaSeconds / (d * d) * Math.PI / 4 * Math.pow(0.040 / 22, 2) * 0.75;
        double cellMetres = FORTY.camera().sensor().widthMm() / 1000 / 480;
        double full = 78.0 / 25 * cellMetres * cellMetres;
        assertEquals(lumen / full, sum(frame, 0), 0.12 * lumen / full);
    }

    /** Time decides how much is drawn, aperture and ISO how bright: what a brief frame draws, a longer one draws as bright. */
    @Test
    void strokesDoNotBrightenWithTime() {
        Cue few = cue(ShellKind.CROSSETTE, 0);
        Display display = of(Drift.NONE, Backdrop.BLACK, few);
        double close = few.breakSeconds() + 0.9;
        Developed brief = Development.of(display, new Shutter(close - 0.3, close), take(22, 25), 960);
        Developed longer = Development.of(display, new Shutter(close - 0.8, close), take(22, 25), 960);
        Developed faster = Development.of(display, new Shutter(close - 0.3, close), take(22, 50), 960);
        double once = 0;
        double again = 0;
        for (int i = 0; i < brief.channels()[0].length; i++) {
            boolean drawn = brief.channels()[0][i] > 0.003;
            once += drawn ? brief.channels()[0][i] : 0;
            again += drawn ? longer.channels()[0][i] : 0;
        }
        assertEquals(once, again, 0.35 * once, "where both draw: afterglow and crossing strokes add a little");
        assertTrue(lit(longer) > 1.5 * lit(brief), lit(longer) + " cells against " + lit(brief));
        assertEquals(2 * sum(brief, 0), sum(faster, 0), 0.05 * sum(faster, 0));
    }

    private static long lit(Developed d) {
        long n = 0;
        for (float v : d.channels()[0]) {
            n += v > 0.003 ? 1 : 0;
        }
        return n;
    }

    /** A stop of aperture: half the light of strokes and sky alike. */
    @Test
    void aStopIsAStop() {
        Cue peony = cue(ShellKind.PEONY, 0);
        Display display = of(Drift.NONE, Backdrop.BLACK, peony);
        Shutter s = new Shutter(0, peony.darkSeconds());
        double wide = sum(Development.of(display, s, take(16, 25), 320), 0);
        double narrow = sum(Development.of(display, s, take(22.6, 25), 320), 0);
        assertEquals(2, wide / narrow, 0.05);
    }

    @Test
    void theSkyBehindIsThatOfTheExposureRules() {
        SkyBrightness sky = SkyBrightness.of(14);
        Backdrop behind = new Backdrop(
                List.of(new Backdrop.Glow(0, sky.luminance())), Optional.empty(), Skyline.FLAT, false, List.of());
        Developed frame =
                Development.of(of(Drift.NONE, behind, cue(ShellKind.PEONY, 0)), new Shutter(50, 60), take(11, 100), 64);
        double share = SkyExposure.shareOfFull(
                new SkyExposure(sky, new FNumber(11), 10, Iso.HUNDRED).exposureLuxSeconds(), Iso.HUNDRED);
        assertEquals(share, frame.channels()[1][frame.width() / 2], 1e-3 * share);
        int foot = (frame.height() - 1) * frame.width();
        assertTrue(frame.channels()[1][foot] < 0.1 * share, "below the skyline it is dark");
    }

    @Test
    void anUprightFrameIsUpright() {
        Developed frame = Development.of(
                of(Drift.NONE, Backdrop.BLACK, cue(ShellKind.PEONY, 0)), new Shutter(0, 1), take(11, 100), 96);
        assertEquals(96, frame.height());
        assertEquals(64, frame.width());
    }

    /** The middle of a break's light stands where the projection puts it. */
    @Test
    void breaksStandWhereTheyShould() {
        Cue right = new Cue(0, ShellKind.PEONY, new Calibre(100), Tint.GREEN, 40, 0);
        Developed frame = Development.of(
                of(Drift.NONE, Backdrop.BLACK, right),
                new Shutter(right.breakSeconds(), right.breakSeconds() + 0.3),
                take(16, 50),
                480);
        double x = 0;
        double y = 0;
        for (int i = 0; i < frame.channels()[1].length; i++) {
            x += frame.channels()[1][i] * (i % frame.width() + 0.5);
            y += frame.channels()[1][i] * (i / frame.width() + 0.5);
        }
        double cell = FORTY.camera().sensor().widthMm() / 480;
        double sum = sum(frame, 1);
        double azimuth = 128 + Math.toDegrees(Math.atan2(40, 420));
        double altitude = Math.toDegrees(Math.atan2(120, Math.hypot(420, 40)));
        var at = take(16, 50)
                .projection()
                .of(Azimuth.ofDegrees(azimuth), altitude)
                .orElseThrow();
        assertEquals(frame.width() / 2.0 + at.x() / cell, x / sum, 3);
        assertEquals(frame.height() / 2.0 - at.y() / cell, y / sum, 4);
    }

    @Test
    void aSaluteIsWhite() {
        Cue salute = cue(ShellKind.SALUTE, 0);
        Developed frame = Development.of(of(Drift.NONE, Backdrop.BLACK, salute), new Shutter(1, 8), take(8, 400), 240);
        assertTrue(frame.whiteShare() > 0.3, () -> frame.whiteShare() + " white");
        assertTrue(frame.headroomStops() < 0);
    }

    @ParameterizedTest
    @EnumSource(
            value = ShellKind.class,
            names = {"PEONY", "WILLOW", "PALM", "CROSSETTE", "COMET", "GROUND"})
    void usualSettingsLeaveColourAndLight(ShellKind kind) {
        Cue cue = cue(kind, 0);
        Developed frame = Development.of(
                of(Drift.NONE, Backdrop.BLACK, cue), new Shutter(0, cue.darkSeconds()), take(11, 100), 480);
        assertTrue(frame.whiteShare() < 0.05, () -> frame.whiteShare() + " white");
        assertTrue(frame.headroomStops() < 4, () -> frame.headroomStops() + " stops under full");
    }

    @Test
    void smokeDullsAndGlows() {
        Cue first = cue(ShellKind.PEONY, 0);
        Cue second = cue(ShellKind.PEONY, 4);
        Shutter s = new Shutter(second.breakSeconds() - 0.5, second.darkSeconds());
        Display thick = of(new Drift(Spark.Point.GROUND, 5), Backdrop.BLACK, first, second);
        Display clear = of(Drift.NONE, Backdrop.BLACK, first, second);
        assertTrue(thick.veil(s.open()).through(second.breakPoint()) < 0.8);
        assertEquals(1, clear.veil(s.open()).through(second.breakPoint()));
        Developed smoky = Development.of(thick, s, take(11, 100), 240);
        Developed bare = Development.of(clear, s, take(11, 100), 240);
        assertTrue(dark(smoky) < dark(bare), "smoke fills the dark between the strokes");
    }

    private static long dark(Developed d) {
        long n = 0;
        for (float v : d.channels()[0]) {
            n += v < 1e-4 ? 1 : 0;
        }
        return n;
    }

    @Test
    void waterDoublesTheBreak() {
        Cue peony = cue(ShellKind.PEONY, 0);
        Backdrop water =
                new Backdrop(List.of(new Backdrop.Glow(0, 0)), Optional.empty(), Skyline.FLAT, true, List.of());
        Shutter s = new Shutter(0, peony.darkSeconds());
        Take low = new Take(
                FORTY, new Framing(Azimuth.ofDegrees(128), Altitude.ofDegrees(0), 90), new FNumber(11), Iso.HUNDRED, 0);
        double with = lower(Development.of(of(Drift.NONE, water, peony), s, low, 240));
        double without = lower(Development.of(of(Drift.NONE, Backdrop.BLACK, peony), s, low, 240));
        assertTrue(with > without + 1, with + " against " + without);
    }

    private static double lower(Developed d) {
        double sum = 0;
        for (int i = d.width() * (d.height() / 2 + 5); i < d.width() * d.height(); i++) {
            sum += d.channels()[0][i];
        }
        return sum;
    }

    @Test
    void theSameAskedTwiceIsTheSame() {
        Display display = new Display(
                new Choreographer(new Calibre(75), new Calibre(150), 60, 20).made(5),
                HARBOUR,
                new Drift(new Spark.Point(2, 0, 0), 1),
                Backdrop.BLACK);
        Shutter s = new Shutter(20, 24);
        assertArrayEquals(
                Development.of(display, s, take(11, 100), 160).colours(),
                Development.of(display, s, take(11, 100), 160).colours());
    }

    @Test
    void framesGoTogetherByTheirLightest() {
        Developed a = new Developed(2, 1, new float[][] {{0.1f, 0.5f}, {0, 0}, {1, 0}}, 1);
        Developed b = new Developed(2, 1, new float[][] {{0.3f, 0.2f}, {0, 0.1f}, {0, 0}}, 0.3);
        assertArrayEquals(new float[] {0.3f, 0.5f}, a.lightest(b).channels()[0]);
        Developed other = new Developed(1, 1, new float[3][1], 0);
        assertThrows(IllegalArgumentException.class, () -> a.lightest(other));
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 15, 1601})
    void sizesAreBounded(int cells) {
        Display display = of(Drift.NONE, Backdrop.BLACK, cue(ShellKind.PEONY, 0));
        IllegalArgumentException e = assertThrows(
                IllegalArgumentException.class, () -> Development.of(display, new Shutter(0, 1), take(11, 100), cells));
        assertTrue(String.valueOf(e.getMessage()).contains(Integer.toString(cells)));
        assertThrows(IllegalArgumentException.class, () -> new Shutter(3, 3));
        assertThrows(IllegalArgumentException.class, () -> new Shutter(0, 601));
    }
}
