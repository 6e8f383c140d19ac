package org.halfdusk.web.sequence.block;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.Timer;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.time.SiderealTime;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;

/** What is typed into an intervalometer, in words and as its four numbers. */
public final class TimerWords {
    private TimerWords() {}

    /** What an intervalometer asks for, with the trap of names and real times; what it sweeps or gives. */
    public static String of(Programme.Planned p, ShootDesk.Open open) {
        return p.timer(open.plan()).map(t -> of(p.block(), t)).orElse("");
    }

    static String of(Block b, Timer t) {
        Frame first = b.frames().get(0);
        double real = t.exposure().realSeconds();
        boolean bulb = t.exposure().bulb();
        double minutes = Duration.between(b.start(), b.end()).toMillis() / 60_000.0;
        String trap = first.shutter().namedOtherwise()
                ? " The “" + first.shutter().label() + "” is really " + Words.seconds(real)
                        + ": a timer set shorter than that drops every other frame."
                : "";
        String sweep = b.kind() == Block.Kind.TRAILS
                ? " Sweeps " + Words.degrees(minutes / 60 * SiderealTime.DEGREES_PER_HOUR)
                        + "; played one after another the same frames are a time lapse of "
                        + Words.seconds(b.frames().size() / BlockSpec.CLIP_RATE) + "."
                : b.kind() == Block.Kind.TIME_LAPSE
                        ? " Plays for " + Words.seconds(b.frames().size() / BlockSpec.CLIP_RATE)
                                + " at 25 frames a second."
                        : "";
        String interval = t.from() == IntervalTimer.From.GAP
                ? ", " + Words.plain(t.intervalSeconds()) + " s from close to open"
                : ", interval " + Words.plain(t.intervalSeconds()) + " s start to start (gap "
                        + Words.plain(Math.rint((t.intervalSeconds() - real) * 10) / 10) + " s)";
        return "Timer: delay " + Words.plain(t.delaySeconds()) + " s, "
                + (bulb
                        ? "bulb " + first.shutter().label()
                        : "exposure on the camera, " + first.shutter().label())
                + interval
                + (t.endless()
                        ? ", without an end: stop it by hand after " + t.number() + " frames."
                        : ", number " + t.number() + ".")
                + trap + sweep;
    }

    /** The four numbers of a timer, and when its key is pressed. @param delay empty where no timer does the block */
    public record Dial(
            String delay, String exposure, String intervalName, String interval, String number, String press) {
        static final Dial NONE = new Dial("", "", "", "", "", "");

        static Dial of(Block b, Timer t, ZoneId zone) {
            Instant press = b.start().minusMillis(Math.round(t.delaySeconds() * 1000));
            return new Dial(
                    Words.plain(t.delaySeconds()) + " s",
                    t.exposure().label(),
                    t.from() == IntervalTimer.From.GAP ? "Gap" : "Interval",
                    Words.plain(t.intervalSeconds()) + " s",
                    t.endless() ? "no end" : Integer.toString(t.number()),
                    Times.clockSeconds(press, zone));
        }
    }
}
