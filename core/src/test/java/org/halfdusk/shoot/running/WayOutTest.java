package org.halfdusk.shoot.running;

import static org.halfdusk.shoot.Isle.rig;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.shoot.trails.TrailsPlanner;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What can be made of a night when something goes wrong in it. */
class WayOutTest {
    private static Plan plan(SubjectPlanner<?, ?> planner, LocalDate night, double mm) {
        return Isle.plan(planner, night, rig(mm > 100 ? Isle.TELE : Isle.WIDE, mm), Wishes.DEFAULT);
    }

    private static final Plan TRAILS = plan(new TrailsPlanner(), LocalDate.of(2027, 6, 4), 14);

    private static Block trails() {
        return Programme.of(TRAILS, RigChoices.NONE).blocks().get(0);
    }

    private static WayOut way(List<WayOut> ways, WayOut.Kind kind) {
        return ways.stream().filter(w -> w.kind() == kind).findFirst().orElseThrow();
    }

    private static List<WayOut> ways(Instant at, int minutes, int spoilt) {
        return WayOut.of(TRAILS, RigChoices.NONE, new WayOut.Trouble(at, Duration.ofMinutes(minutes), spoilt));
    }

    /** Cloud for twenty minutes after ten frames: given up, later, or shorter; each keeps what was taken. */
    @Test
    void cloudLeavesThreeWays() {
        Block planned = trails();
        Instant cloud = planned.frames().get(10).open();
        List<WayOut> ways = ways(cloud, 20, 0);
        double interval =
                Duration.between(cloud, planned.frames().get(11).open()).toMillis() / 1000.0;
        int gone = (int) Math.ceil(20 * 60 / interval);

        WayOut lose = way(ways, WayOut.Kind.LOSE);
        assertEquals(gone, lose.lost(), 1);
        assertEquals(planned.frames().size() - lose.lost(), lose.frames());
        assertFalse(lose.end().isAfter(planned.end()));

        WayOut later = way(ways, WayOut.Kind.LATER);
        assertEquals(0, later.lost());
        assertEquals(20 * 60, Duration.between(planned.end(), later.end()).toSeconds(), 2);

        WayOut shorter = way(ways, WayOut.Kind.SHORTER);
        assertEquals(0, shorter.lost());
        assertFalse(shorter.end().isAfter(planned.end()));
        ShutterTime before = planned.frames().get(0).shutter();
        assertTrue(shorter.time().realSeconds() < before.realSeconds());
        double light = Stops.between(
                shorter.time().realSeconds() * shorter.iso().value(),
                before.realSeconds() * planned.frames().get(0).iso().value());
        assertEquals(0, light, 0.34, "ISO makes up for the time");
    }

    /** Ten minutes late: nothing was taken, all of it begins then. */
    @Test
    void aLateStart() {
        Block planned = trails();
        List<WayOut> ways = ways(planned.start(), 10, 0);
        WayOut later = way(ways, WayOut.Kind.LATER);
        BlockSpec first = later.laid().blocks().get(0);
        assertEquals(planned.start().plusSeconds(600), first.start());
        assertEquals(planned.frames().size(), first.frames());
        assertEquals(planned.frames().size(), later.frames());
    }

    /** Spoilt frames are taken again behind the others, or are lost. */
    @Test
    void spoiltFrames() {
        Block planned = trails();
        Instant at = planned.frames().get(20).open();
        List<WayOut> ways = ways(at, 0, 6);
        assertEquals(6, way(ways, WayOut.Kind.LOSE).lost());
        WayOut later = way(ways, WayOut.Kind.LATER);
        assertEquals(0, later.lost());
        assertTrue(later.end().isAfter(planned.end()));
        assertEquals(List.of(), ways(at, 0, 0), "nothing went wrong");
    }

    /** Whatever goes wrong and when: nothing overlaps, no way out invents frames, what was taken stays as it was. */
    @Test
    void whateverGoesWrong() {
        Block planned = trails();
        Random random = new Random(20261129);
        long span = Duration.between(planned.start(), planned.end()).toSeconds();
        int some = 0;
        for (int i = 0; i < 200; i++) {
            Instant at = planned.start().plusSeconds((long) (random.nextDouble() * (span + 300)) - 300);
            for (WayOut w : ways(at, random.nextInt(90), random.nextInt(8))) {
                some++;
                List<Block> blocks = w.laid().blocks().stream()
                        .map(s -> s.block(w.laid().timing()))
                        .toList();
                for (int k = 1; k < blocks.size(); k++) {
                    assertFalse(blocks.get(k).start().isBefore(blocks.get(k - 1).end()), "overlap");
                }
                assertTrue(w.frames() <= planned.frames().size());
                assertEquals(planned.frames().size(), w.frames() + w.lost());
                assertTrue(w.kind() == WayOut.Kind.LATER || !w.end().isAfter(planned.end()), w.kind() + " ends later");
                assertTrue(w.kind() == WayOut.Kind.LOSE || w.lost() == 0);
            }
        }
        assertTrue(some > 300, "hardly any way out: " + some);
    }

    /** A script of the sky's own clock has none. */
    @Test
    void anEclipseDoesNotWait() {
        Plan solar = plan(new SolarEclipsePlanner(), LocalDate.of(2027, 8, 2), 400);
        Instant first = Programme.of(solar, RigChoices.NONE).blocks().get(0).start();
        assertEquals(List.of(), WayOut.of(solar, RigChoices.NONE, new WayOut.Trouble(first, Duration.ofMinutes(5), 0)));
    }

    @ParameterizedTest
    @ValueSource(longs = {-1, 481})
    void minutesHaveBounds(long minutes) {
        assertThrows(
                IllegalArgumentException.class,
                () -> new WayOut.Trouble(Instant.EPOCH, Duration.ofMinutes(minutes), 0));
    }
}
