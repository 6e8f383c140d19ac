package org.halfdusk.shoot.camera;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Frame;
import org.junit.jupiter.api.Test;

/** Frames told by a clock that stands until somebody waits. */
class ConductorTest {
    private static final Instant NINE = Instant.parse("2027-08-02T09:00:00Z");

    private static final class Moved extends Clock {
        private Instant now = NINE;

        @Override
        public Instant instant() {
            return now;
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }

    /** A camera that opens so long after it is told, knows that after its first frame, and is busy so long after it closes. */
    private static final class Slow implements CameraPort {
        private final Moved clock;
        private final Duration opens;
        private final Duration busy;
        private Duration known = Duration.ZERO;

        Slow(Moved clock, long opensMillis, long busyMillis) {
            this.clock = clock;
            this.opens = Duration.ofMillis(opensMillis);
            this.busy = Duration.ofMillis(busyMillis);
        }

        @Override
        public Duration lead() {
            return known;
        }

        @Override
        public Taken take(Order order) {
            Instant opened = clock.now.plus(opens);
            known = opens;
            clock.now = opened.plusMillis(Math.round(order.frame().shutter().realSeconds() * 1000))
                    .plus(busy);
            return new Taken(Optional.of(opened), Optional.empty());
        }
    }

    private static List<CameraPort.Order> orders(int frames, long everyMillis) {
        return IntStream.range(0, frames)
                .mapToObj(i -> new CameraPort.Order(
                        i + 1,
                        new Frame(
                                NINE.plusSeconds(5).plusMillis(i * everyMillis),
                                ShutterTime.nearest(1, ShutterTime.available(1, 30, false)),
                                FNumber.of(8),
                                Iso.of(100)),
                        false))
                .toList();
    }

    private static List<Conductor.Shot> gone(long opensMillis, long busyMillis, long everyMillis) throws Exception {
        Moved clock = new Moved();
        List<Conductor.Shot> heard = new ArrayList<>();
        new Conductor(
                        new Slow(clock, opensMillis, busyMillis),
                        clock,
                        at -> clock.now = at.isAfter(clock.now) ? at : clock.now)
                .go(orders(20, everyMillis), heard::add);
        assertEquals(20, heard.size(), "each frame is heard of once");
        return heard;
    }

    /** What a camera is slow by is known after its first frame, and the others are told as much earlier. */
    @Test
    void aSlowCameraIsToldEarlier() throws Exception {
        List<Conductor.Shot> heard = gone(180, 0, 3000);
        assertEquals(Optional.of(Duration.ofMillis(180)), heard.get(0).late());
        assertFalse(heard.get(0).onTime());
        assertTrue(heard.stream().skip(1).allMatch(s -> s.late().equals(Optional.of(Duration.ZERO))));
    }

    /** One that is not free in time takes the next frame when that is due, never a frame late. */
    @Test
    void aFrameWhoseMomentIsOverIsNotTaken() throws Exception {
        List<Conductor.Shot> heard = gone(0, 1200, 2000);
        assertTrue(heard.stream().skip(1).filter(s -> s.late().isPresent()).allMatch(Conductor.Shot::onTime));
        assertEquals(10, heard.stream().filter(s -> s.late().isEmpty()).count(), "every other one");
        assertTrue(heard.stream()
                .filter(s -> s.late().isEmpty())
                .allMatch(s -> s.trouble().isPresent()));
    }

    @Test
    void withinTheToleranceItIsTaken() throws Exception {
        assertEquals(
                Optional.of(Duration.ofMillis(40)), gone(0, 1040, 2000).get(1).late());
        assertEquals(Optional.empty(), gone(0, 1060, 2000).get(1).late());
    }
}
