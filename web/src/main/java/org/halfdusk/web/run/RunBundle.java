package org.halfdusk.web.run;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.running.Hand;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.shoot.running.WayOut;
import org.halfdusk.web.layout.files.Sha256;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.words.ClockWords;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a device needs of one shoot's night, made here so that the script only counts and shows. Moments are milliseconds of UTC.
 *
 * @param version of all that a hand goes by: another one means that the plan was changed
 * @param now of this machine when it was made
 * @param moved whether that clock is not the true one
 * @param cautions that stand on every screen of the run and cannot be put away
 */
record RunBundle(
        String version,
        long shoot,
        String title,
        String where,
        String day,
        String zone,
        boolean twelveHours,
        long now,
        boolean moved,
        List<OfRig> rigs,
        List<Step> steps,
        List<Shots> shots,
        List<Ways> ways,
        List<String> cautions,
        List<Noted> noted) {
    /**
     * @param clock how far its camera's clock is off, in words; empty where that is not known
     * @param levels of its battery and card as the plan has them
     */
    record OfRig(int rig, String name, String setting, String clock, List<Level> levels) {}

    /** From a moment on. */
    record Level(long at, String battery, String card) {}

    /** @param says what a voice says of it @param sun whether an eye is hurt where it is missed */
    record Step(
            String id,
            int rig,
            long at,
            long until,
            String kind,
            String what,
            String detail,
            String setting,
            String clock,
            String says,
            boolean sun) {}

    /**
     * Frames of a block: where they are equal the first's opening, the interval and the length tell all of them, else each stands in the list.
     *
     * @param every 0 where they are listed
     * @param opens opening and closing in turn, from the first opening
     */
    record Shots(int rig, String step, long first, long every, long length, int count, List<Long> opens) {}

    /** What can be done where so many minutes of a block are lost, in words; to go by where there is no signal. */
    record Ways(int rig, String step, int minutes, List<String> words) {}

    record Noted(String id, long at, int rig, String kind, String step, String text) {}

    /** So often in a night battery and card are told. */
    private static final int LEVELS = 60;

    /** Minutes for which a phone carries the ways out. */
    private static final List<Integer> CARRIED_MINUTES = List.of(5, 10, 20, 40);

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** @param open the shoot through each of its rigs */
    static RunBundle of(List<ShootDesk.Open> open, List<RunEntry> entries, Instant now, boolean moved) {
        ShootDesk.Open first = open.get(0);
        ZoneId zone = first.plan().place().zone();
        List<OfRig> rigs = new ArrayList<>();
        List<Step> steps = new ArrayList<>();
        List<Shots> shots = new ArrayList<>();
        List<Ways> ways = new ArrayList<>();
        for (ShootDesk.Open o : open) {
            List<Hand> hands = Hand.of(o.rig(), o.plan(), o.programme());
            rigs.add(new OfRig(
                    o.rig(),
                    Words.rig(o.plan().rig()),
                    RunWords.setting(o.plan().setting(), o.plan()),
                    o.clock().map(ClockWords::said).orElse(""),
                    levels(o, zone)));
            Optional<ClockOffset> off = o.clock().filter(c -> !c.fair());
            hands.stream().map(h -> step(h, o, zone, off)).forEach(steps::add);
            hands.forEach(h -> h.block().filter(b -> !b.frames().isEmpty()).ifPresent(b -> shots.add(shots(h, b))));
            hands.stream().filter(h -> h.frames() > 0).forEach(h -> ways.addAll(ways(h, o, zone)));
        }
        steps.sort(Comparator.comparingLong(Step::at).thenComparingInt(Step::rig));
        String version = version(steps);
        return new RunBundle(
                version,
                first.shoot().id(),
                first.shoot().it().title(),
                first.plan().place().name(),
                first.subject().date(),
                zone.getId(),
                Words.units().twelveHours(),
                now.toEpochMilli(),
                moved,
                rigs,
                steps,
                shots,
                ways,
                RunWords.cautions(first),
                entries.stream().map(RunBundle::noted).toList());
    }

    private static List<Level> levels(ShootDesk.Open o, ZoneId zone) {
        RunSimulation run = o.simulated();
        List<RunSimulation.Level> course = run.course();
        int every = course.size() / LEVELS + 1;
        List<Level> all = new ArrayList<>();
        for (int i = 0; i < course.size(); i += every) {
            RunSimulation.Level l = course.get(i);
            all.add(new Level(
                    l.at().toEpochMilli(),
                    RunWords.battery(l, run, o, zone),
                    RunWords.card(l, o.plan().rig())));
        }
        return all;
    }

    static Noted noted(RunEntry e) {
        return new Noted(e.id(), e.at().toEpochMilli(), e.rig(), e.kind().name(), e.step(), e.text());
    }

    private static Step step(Hand h, ShootDesk.Open o, ZoneId zone, Optional<ClockOffset> off) {
        return new Step(
                h.id(),
                h.rig(),
                h.at().toEpochMilli(),
                h.until().toEpochMilli(),
                h.kind().name(),
                RunWords.what(h),
                RunWords.detail(h, zone)
                        + off.map(c -> RunWords.shown(c, h.at(), zone)).orElse(""),
                h.setting().map(s -> RunWords.setting(s, o.plan())).orElse(""),
                Times.clockSeconds(h.at(), zone),
                RunWords.says(h),
                h.kind() == Hand.Kind.FILTER_OFF || h.kind() == Hand.Kind.FILTER_ON);
    }

    private static Shots shots(Hand h, Block block) {
        List<Frame> frames = block.frames();
        Frame one = frames.get(0);
        long first = one.open().toEpochMilli();
        long length = Duration.between(one.open(), one.close()).toMillis();
        boolean timed = h.timer().isPresent();
        long every = timed ? Duration.between(one.open(), frames.get(1).open()).toMillis() : 0;
        List<Long> opens = new ArrayList<>();
        if (!timed) {
            for (Frame f : frames) {
                opens.add(f.open().toEpochMilli() - first);
                opens.add(f.close().toEpochMilli() - first);
            }
        }
        return new Shots(h.rig(), h.id(), first, every, length, frames.size(), opens);
    }

    private static List<Ways> ways(Hand h, ShootDesk.Open o, ZoneId zone) {
        List<Ways> all = new ArrayList<>();
        for (int minutes : CARRIED_MINUTES) {
            WayOut.Trouble late = new WayOut.Trouble(h.at(), Duration.ofMinutes(minutes), 0);
            List<String> words = WayOut.of(o.plan(), o.shoot().it().rig().choices(), late).stream()
                    .map(w -> RunWords.way(w, zone))
                    .toList();
            if (!words.isEmpty()) {
                all.add(new Ways(h.rig(), h.id(), minutes, words));
            }
        }
        return all;
    }

    private static String version(List<Step> steps) {
        byte[] hash = Sha256.of(JSON.writeValueAsString(steps).getBytes(StandardCharsets.UTF_8));
        return HexFormat.of().formatHex(hash, 0, 8);
    }

    /** As it stands inside an HTML page: nothing in it ends the element that it stands in. */
    String json() {
        return JSON.writeValueAsString(this).replace("<", "\\u003c");
    }
}
