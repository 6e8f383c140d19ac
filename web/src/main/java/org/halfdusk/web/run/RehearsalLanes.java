package org.halfdusk.web.run;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.running.Rehearsal;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.rehearsal.RehearsalDesk;
import org.halfdusk.web.shoot.rehearsal.RehearsalWords;
import org.halfdusk.web.subject.words.BlockWords;
import tools.jackson.databind.json.JsonMapper;

/**
 * A rehearsal drawn: for each rig a lane with what it was told, what it took and what it lost, and how it stood through the night. The
 * script shows of it what has happened by the clock that it moves.
 *
 * @param from and to: milliseconds of UTC at the lanes' ends
 * @param looks for the script: by rig, how it stood from a moment on
 */
record RehearsalLanes(
        long from, long to, List<Lane> lanes, List<Tick> ticks, String looks, List<Happened> happened, String fired) {
    /** Width of a lane's drawing; the script moves along it. */
    static final double WIDTH = 860;

    private static final double LETTERS = 96;
    private static final double EDGE = 20;

    /** Frames closer than this are one stroke. */
    private static final double APART = 0.6;

    private static final int MOST_SHOWN = 200;
    private static final int CROSSES = 60;

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /**
     * @param planned strokes where frames are told @param fired where they are taken
     * @param spans blocks without frames, and where the filter is off
     * @param last how it stands when all is over: shown without a script
     */
    record Lane(
            int rig,
            String name,
            String planned,
            String fired,
            List<Cross> crosses,
            List<Span> spans,
            CameraStateWords last) {}

    /** A frame that was lost or spoilt, or a fault that struck. */
    record Cross(String x, long at, boolean fault, String words) {}

    record Span(String x, String width, String kind, String label) {}

    record Tick(String x, String text) {}

    record Happened(long at, String clock, String rig, String words, boolean bad) {}

    static RehearsalLanes of(RehearsalDesk.Gone gone, Interval shown) {
        Scale scale = new Scale(shown);
        ZoneId zone = gone.zone();
        List<Lane> lanes = new ArrayList<>();
        List<List<CameraStateWords>> looks = new ArrayList<>();
        for (ShootDesk.Open o : gone.open()) {
            List<CameraStateWords> states = states(o, gone.rehearsal());
            looks.add(states);
            lanes.add(lane(o, gone.rehearsal(), scale, zone, states));
        }
        List<Happened> happened = gone.rehearsal().events().stream()
                .filter(e -> e.what() != Rehearsal.What.FIRED)
                .limit(MOST_SHOWN)
                .map(e -> new Happened(
                        e.at().toEpochMilli(),
                        Times.clockSeconds(e.at(), zone),
                        gone.many() ? "Rig " + (e.rig() + 1) : "",
                        RehearsalWords.event(e),
                        e.what() != Rehearsal.What.MENDED))
                .toList();
        long fired = gone.rehearsal().events().stream()
                .filter(e -> e.what() == Rehearsal.What.FIRED)
                .count();
        return new RehearsalLanes(
                shown.start().toEpochMilli(),
                shown.end().toEpochMilli(),
                lanes,
                scale.ticks(zone),
                JSON.writeValueAsString(looks).replace("<", "\\u003c"),
                happened,
                Words.count(fired, "frame") + " fired as planned, "
                        + gone.rehearsal().missed().size() + " lost or spoilt.");
    }

    private static Lane lane(ShootDesk.Open o, Rehearsal r, Scale scale, ZoneId zone, List<CameraStateWords> states) {
        List<Instant> told = o.blocks().stream()
                .flatMap(b -> b.frames().stream())
                .map(f -> f.open())
                .toList();
        List<Instant> taken = r.events().stream()
                .filter(e -> e.rig() == o.rig() && e.what() == Rehearsal.What.FIRED)
                .map(Rehearsal.Event::at)
                .toList();
        List<Cross> crosses = new ArrayList<>();
        r.events().stream()
                .filter(e ->
                        e.rig() == o.rig() && (e.what() == Rehearsal.What.MISSED || e.what() == Rehearsal.What.SPOILT))
                .limit(CROSSES)
                .forEach(e -> crosses.add(cross(e.at(), false, scale, RehearsalWords.event(e))));
        r.injected().stream()
                .filter(i -> i.rig() == o.rig())
                .forEach(i -> crosses.add(cross(
                        i.from(),
                        true,
                        scale,
                        Times.clockSeconds(i.from(), zone) + " " + RehearsalWords.name(i.fault()))));
        return new Lane(
                o.rig(),
                Words.rig(o.plan().rig()),
                scale.strokes(told),
                scale.strokes(taken),
                crosses,
                o.blocks().stream()
                        .filter(b ->
                                b.frames().isEmpty() && b.end().isAfter(b.start()) || b.kind() == Block.Kind.TOTALITY)
                        .map(b -> span(b, scale))
                        .toList(),
                states.get(states.size() - 1));
    }

    private static Cross cross(Instant at, boolean fault, Scale scale, String words) {
        return new Cross(Numbers.tenths(scale.x(at)), at.toEpochMilli(), fault, words);
    }

    private static Span span(Block b, Scale scale) {
        double x = scale.x(b.start());
        double width = scale.x(b.end()) - x;
        boolean bare = b.kind() == Block.Kind.TOTALITY;
        String label = bare ? "no filter" : BlockWords.name(b.kind()).toLowerCase(Locale.ROOT);
        return new Span(Numbers.tenths(x), Numbers.tenths(width), bare ? "bare" : "pause", label);
    }

    private static List<CameraStateWords> states(ShootDesk.Open o, Rehearsal r) {
        int all = Block.frames(o.blocks());
        List<Rehearsal.Look> looks =
                r.looks().stream().filter(l -> l.rig() == o.rig()).toList();
        List<Rehearsal.Event> events = r.events().stream()
                .filter(e -> e.rig() == o.rig() && e.frame() > 0)
                .toList();
        List<CameraStateWords> states = new ArrayList<>();
        int fired = 0;
        int lost = 0;
        int next = 0;
        for (Rehearsal.Look l : looks) {
            while (next < events.size() && !events.get(next).at().isAfter(l.at())) {
                boolean good = events.get(next).what() == Rehearsal.What.FIRED;
                fired += good ? 1 : 0;
                lost += good ? 0 : 1;
                next++;
            }
            CameraStateWords s = CameraStateWords.of(
                    l, fired + " of " + all + " fired" + (lost > 0 ? ", " + lost + " lost or spoilt" : ""));
            states.add(s);
        }
        if (states.isEmpty()) {
            states.add(CameraStateWords.nothing());
        }
        return states;
    }

    /** Hours along the lanes. */
    private record Scale(Interval shown) {
        double x(Instant at) {
            double share = (double) Duration.between(shown.start(), at).toMillis()
                    / shown.duration().toMillis();
            return Math.max(0, Math.min(1, share)) * WIDTH;
        }

        String strokes(List<Instant> at) {
            StringBuilder path = new StringBuilder();
            double before = -WIDTH;
            for (Instant t : at) {
                double x = x(t);
                if (x - before >= APART) {
                    path.append('M').append(Numbers.tenths(x)).append(" 5v20");
                    before = x;
                }
            }
            return path.toString();
        }

        List<Tick> ticks(ZoneId zone) {
            List<Tick> all = new ArrayList<>();
            long minutes = shown.duration().toMinutes();
            Duration step = STEPS.stream()
                    .filter(s -> minutes * LETTERS / WIDTH <= s.toMinutes())
                    .findFirst()
                    .orElse(STEPS.get(STEPS.size() - 1));
            long seconds = step.toSeconds();
            long first = (shown.start().getEpochSecond() / seconds + 1) * seconds;
            for (long t = first; t < shown.end().getEpochSecond(); t += seconds) {
                Instant at = Instant.ofEpochSecond(t);
                if (x(at) > EDGE && x(at) < WIDTH - EDGE) {
                    all.add(new Tick(Numbers.tenths(x(at)), Times.clock(at, zone)));
                }
            }
            return all;
        }

        private static final List<Duration> STEPS = List.of(
                Duration.ofMinutes(1),
                Duration.ofMinutes(5),
                Duration.ofMinutes(10),
                Duration.ofMinutes(15),
                Duration.ofMinutes(30),
                Duration.ofHours(1),
                Duration.ofHours(2));
    }
}
