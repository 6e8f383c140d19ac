package org.halfdusk.shoot.programme.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.Setting;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.milkyway.MilkyWayPlan;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.setting.StarBlur;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.shoot.setting.wished.OwnLight;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.WeatherHour;
import org.junit.jupiter.api.Test;

/** People in the frame, light that is brought, glass that cools. */
class BroughtTest {
    private static final ExposureLimits PERSON =
            new ExposureLimits(ExposureLimits.NONE.mount(), 0, ExposureLimits.NONE.periodic(), true, 0);

    private static MilkyWayPlan plan(Wishes wishes) {
        return (MilkyWayPlan)
                Isle.plan(new MilkyWayPlanner(), LocalDate.of(2027, 6, 4), Isle.rig(Isle.STANDARD, 35), wishes);
    }

    private static OwnLight own(Map<String, String> texts) {
        return RigChoices.of(texts).scene().own();
    }

    /** Given as long as it needs a thing comes out as it looks; for a quarter of that two stops darker, and so beside the sky. */
    @Test
    void aLampIsHeldAgainstTheSky() {
        Plan plan = plan(Wishes.DEFAULT);
        Brought.Painted whole = (Brought.Painted)
                Brought.of(plan, own(Map.of("OWN_LIGHT", "PAINTED", "LAMP", "2 lux", "LAMP_METRES", "4")))
                        .orElseThrow();
        assertEquals(0, whole.stopsOff(), 1e-9);
        double quarter = whole.neededSeconds() / 4;
        Brought.Painted less = (Brought.Painted) Brought.of(
                        plan,
                        own(Map.of(
                                "OWN_LIGHT",
                                "PAINTED",
                                "LAMP",
                                "2 lux",
                                "LAMP_METRES",
                                "4",
                                "LAMP_SECONDS",
                                Double.toString(quarter / 2),
                                "LAMP_PASSES",
                                "2")))
                .orElseThrow();
        assertEquals(-2, less.stopsOff(), 1e-6);
        assertEquals(whole.skyUnderStops() - 2, less.skyUnderStops(), 1e-6);
        assertTrue(whole.skyUnderStops() > 1, "a sky at a seventh of the histogram lies under a thing as it looks");
    }

    /** A strong lamp is to stand so much farther off that two seconds of it are right. */
    @Test
    void aLampThatIsTooStrongIsMovedAway() {
        Brought.Painted p = (Brought.Painted) Brought.of(
                        plan(Wishes.DEFAULT),
                        own(Map.of("OWN_LIGHT", "PAINTED", "LAMP", "900 lux", "LAMP_METRES", "3")))
                .orElseThrow();
        assertTrue(p.tooStrong());
        double metres = p.metresForTwoSeconds(3);
        Brought.Painted moved = (Brought.Painted) Brought.of(
                        plan(Wishes.DEFAULT),
                        own(Map.of(
                                "OWN_LIGHT",
                                "PAINTED",
                                "LAMP",
                                "900 lux",
                                "LAMP_METRES",
                                Double.toString(Math.min(500, metres)))))
                .orElseThrow();
        assertEquals(2, moved.neededSeconds(), 0.01);
    }

    @Test
    void aWordTakesItsTimeAndNoLampIsNothing() {
        Brought.Word w =
                (Brought.Word) Brought.of(plan(Wishes.DEFAULT), own(Map.of("OWN_LIGHT", "WORD", "WORD_LETTERS", "6")))
                        .orElseThrow();
        assertEquals(9, w.seconds(), 1e-9);
        assertEquals(8, w.setting().fNumber().value(), 0.1);
        assertEquals(Optional.empty(), Brought.of(plan(Wishes.DEFAULT), own(Map.of("OWN_LIGHT", "PAINTED"))));
        assertTrue(
                Brought.of(plan(Wishes.DEFAULT), own(Map.of("OWN_LIGHT", "SILHOUETTE")))
                                .orElseThrow()
                        instanceof Brought.Silhouette);
    }

    /** c = f²/(N (s − f)): 35 mm at f/2, 1.6 m gives 0.391 mm, 1.1 % of 35.9 mm. */
    @Test
    void starsBehindANearFace() {
        StarBlur b = StarBlur.of(Isle.rig(Isle.STANDARD, 35), FNumber.of(2), 1.6);
        assertEquals(0.3914 / 35.9, b.shareOfWidth(), 1e-4);
        assertEquals(0.3914 * 7008 / 35.9, b.px(), 0.1);
        assertTrue(b.discs());
    }

    /** With a person the stack keeps its own time, and frames with them stand before it. */
    @Test
    void peopleAreKeptOutOfTheStack() {
        MilkyWayPlan with = plan(Wishes.DEFAULT.with(PERSON));
        List<Block> blocks = with.blocks();
        assertEquals(
                List.of(Block.Kind.PEOPLE, Block.Kind.STACK, Block.Kind.DARK_FRAME),
                blocks.stream().map(Block::kind).toList());
        Frame people = blocks.get(0).frames().get(0);
        Frame stack = blocks.get(1).frames().get(0);
        assertTrue(people.shutter().realSeconds() <= ExposureLimits.PERSON_SECONDS * 1.01);
        Setting alone = plan(Wishes.DEFAULT).setting();
        assertEquals(alone.shutter(), stack.shutter());
        assertEquals(alone.iso(), stack.iso());
        assertTrue(!blocks.get(1).start().isBefore(blocks.get(0).end()));
        assertEquals(
                0,
                Stops.between(
                        people.shutter().realSeconds() * people.iso().value(),
                        stack.shutter().realSeconds() * stack.iso().value()),
                0.35,
                "the same sky in both");
    }

    /** From 14 °C it falls two degrees an hour: focus anew after two hours and four. */
    @Test
    void coolingGlassIsFocusedAnew() {
        Instant start = Instant.parse("2027-06-04T22:00:00Z");
        List<WeatherHour> hours = new java.util.ArrayList<>();
        for (int i = 0; i < 6; i++) {
            hours.add(new WeatherHour(
                    start.plusSeconds(3600L * i),
                    0,
                    0,
                    0,
                    1,
                    OptionalDouble.empty(),
                    14 - 2 * i,
                    2,
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    0));
        }
        Forecast f = new Forecast("test", false, start, hours);
        MilkyWayPlan p = plan(Wishes.DEFAULT);
        Setting s = p.setting();
        Block night = Block.of(
                Block.Kind.TRAILS,
                start.plusSeconds(60),
                new org.halfdusk.sequence.FrameRun(
                        s.shutter(), 1, (int) (5 * 3600 / (s.shutter().realSeconds() + 1))),
                s);
        List<Refocus> due = Refocus.of(List.of(night), f);
        assertEquals(2, due.size());
        assertEquals(start.plusSeconds(2 * 3600), due.get(0).at());
        assertEquals(-4, due.get(0).by(), 1e-9);
        assertEquals(start.plusSeconds(4 * 3600), due.get(1).at());
        assertEquals(List.of(), Refocus.of(List.of(), f));
    }

    /** One camera cannot look two ways at once. */
    @Test
    void twoAimsOfOneCameraMayNotOverlap() {
        List<Block> blocks = plan(Wishes.DEFAULT).blocks();
        assertEquals(
                blocks.get(0).start(),
                Programme.overlap(blocks, blocks).orElseThrow().start());
        assertEquals(Optional.empty(), Programme.overlap(blocks.subList(0, 1), blocks.subList(1, 2)));
        assertEquals(Optional.empty(), Programme.overlap(List.of(), blocks));
    }

    /** Two aims of one camera, one after the other: between them it is turned and focused, and needs the time. */
    @Test
    void oneCameraIsHandedFromAimToAim() {
        Instant t = Instant.parse("2027-07-05T22:00:00Z");
        List<Block> first = List.of(frames(t, 10), frames(t.plusSeconds(7200), 10));
        List<Block> second = List.of(frames(t.plusSeconds(3600), 10));
        List<Handover> there = Handover.of(second, first);
        assertEquals(1, there.size());
        assertEquals(first.get(0).end(), there.get(0).since());
        assertEquals(t.plusSeconds(3600), there.get(0).at());
        assertEquals(t.plusSeconds(3300), there.get(0).pause());
        assertFalse(there.get(0).hurried());
        List<Handover> back = Handover.of(first, second);
        assertEquals(1, back.size(), "the first block comes from nowhere, the second from the other aim");
        assertEquals(t.plusSeconds(7200), back.get(0).at());
        Instant soon = first.get(0).end().plusSeconds(60);
        Handover hurried = Handover.of(List.of(frames(soon, 3)), first).get(0);
        assertTrue(hurried.hurried());
        assertEquals(hurried.since(), hurried.pause(), "no pause over frames of the other aim");
        assertEquals(List.of(), Handover.of(List.of(frames(t.plusSeconds(20), 3)), first), "that is an overlap");
    }

    private static Block frames(Instant start, int count) {
        Setting s = plan(Wishes.DEFAULT).setting();
        return Block.of(Block.Kind.STACK, start, new org.halfdusk.sequence.FrameRun(s.shutter(), 2, count), s);
    }
}
