package org.halfdusk.web.practice;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Practice;
import org.halfdusk.shoot.kept.done.PracticeLog;
import org.halfdusk.show.Developed;
import org.halfdusk.show.Development;
import org.halfdusk.show.Display;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.practice.Judgement;
import org.halfdusk.show.practice.PractisedFrame;
import org.halfdusk.show.practice.Reaction;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.picture.Previews;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.stereotype.Component;

/** Shows to practise on as they are asked for, their frames, and what is kept of them. */
@Component
class PracticeDesk {
    /** Cells of the longest side of a frame that is judged. */
    static final int JUDGED_CELLS = 240;

    private static final int KEPT = 6;

    private final PracticeLog log;
    private final Clock clock;
    private final Cache<Key, Display> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    PracticeDesk(PracticeLog log, Clock clock) {
        this.log = log;
        this.clock = clock;
    }

    private record Key(Shoot shoot, int rig, Exercise exercise) {}

    /** The plan of a fireworks shoot. */
    static FireworksPlan plan(ShootDesk.Open open) {
        Plan plan = open.plan();
        if (plan instanceof FireworksPlan fireworks) {
            return fireworks;
        }
        throw new NotFound("There is no practice show for this shoot: one is needed whose subject is fireworks.");
    }

    /** The show of an exercise: a page, its pictures and its sparks want the same one shortly after one another. */
    Display display(ShootDesk.Open open, Exercise exercise) {
        Key key = new Key(open.shoot().it(), open.rig(), exercise);
        return kept.get(key, k -> Practice.display(plan(open), exercise));
    }

    /** What the shoot's rig records while a shutter is open. */
    Developed developed(ShootDesk.Open open, Exercise exercise, Shutter shutter, int cells) {
        Display display = display(open, exercise);
        return Development.of(
                display, shutter, Practice.take(plan(open), display.sheet().part(shutter.open())), cells);
    }

    /** The same with the camera turned one way, zoomed as that asks for. */
    Developed turned(ShootDesk.Open open, Exercise exercise, Shutter shutter, boolean upright, int cells) {
        Display display = display(open, exercise);
        return Development.of(
                display, shutter, Practice.take(plan(open), display.sheet().part(shutter.open()), upright), cells);
    }

    Judgement judged(ShootDesk.Open open, Exercise exercise, Shutter shutter) {
        Developed developed = developed(open, exercise, shutter, JUDGED_CELLS);
        return Judgement.of(display(open, exercise), shutter, developed.whiteShare());
    }

    /** Takes a frame: judged, and kept. */
    PractisedFrame take(ShootDesk.Open open, Exercise exercise, Shutter shutter) {
        Judgement judgement = judged(open, exercise, shutter);
        Optional<Cue> shell = judgement.shell().filter(c -> c.seconds() < shutter.close());
        double lag = plan(open).show().lagSeconds(exercise.metres());
        PractisedFrame frame = new PractisedFrame(
                0,
                clock.instant(),
                exercise,
                shutter,
                judgement.verdict(),
                shell.map(c -> Reaction.of(c, shutter, lag)));
        long number = log.add(open.shoot().id(), frame);
        return frame(open, number);
    }

    List<PractisedFrame> frames(ShootDesk.Open open) {
        return log.frames(open.shoot().id());
    }

    PractisedFrame frame(ShootDesk.Open open, long number) {
        return log.frame(open.shoot().id(), number)
                .orElseThrow(() -> new NotFound("There is no practice frame number " + number + " of this shoot."));
    }

    void forget(ShootDesk.Open open) {
        log.forget(open.shoot().id());
    }

    /** Frames of a session put together by their lightest. */
    Developed together(ShootDesk.Open open, List<PractisedFrame> frames, int cells) {
        return frames.stream()
                .map(f -> developed(open, f.exercise(), f.shutter(), cells))
                .reduce(Developed::lightest)
                .orElseThrow(() -> new NotFound("There is no frame chosen: tick one at least."));
    }

    static byte[] png(Developed frame) {
        BufferedImage image = new BufferedImage(frame.width(), frame.height(), BufferedImage.TYPE_INT_RGB);
        image.setRGB(0, 0, frame.width(), frame.height(), frame.colours(), 0, frame.width());
        try {
            return Previews.png(image);
        } catch (IOException e) {
            throw new UncheckedIOException("the frame cannot be written as a picture", e);
        }
    }
}
