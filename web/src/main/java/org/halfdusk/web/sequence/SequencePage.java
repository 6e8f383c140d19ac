package org.halfdusk.web.sequence;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.halfdusk.exposure.FNumber;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.Planner;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.WishForm;
import org.halfdusk.web.subject.SequenceStep;

/** The Sequence step: the programme as a list of blocks, each with its frames. */
record SequencePage(SequenceStep step, WishForm wishes, List<Part> blocks, int frames) {
    /** Frames of one block that are listed one by one. */
    private static final int MOST_LISTED = 400;

    /**
     * A block.
     *
     * @param tone stop for filter steps
     * @param shots its frames, at most some hundreds
     * @param more how many are not listed
     */
    record Part(
            String name,
            String from,
            String to,
            String count,
            String settings,
            String tone,
            List<Shot> shots,
            int more) {}

    record Shot(String at, String shutter, String aperture, String iso) {}

    static SequencePage of(ShootDesk.Open open, Planner planner, FormErrors errors) {
        List<Block> blocks = open.plan().blocks();
        ZoneId zone = open.plan().place().zone();
        return new SequencePage(
                open.subject().sequence(open.plan()),
                WishForm.of(
                        planner.of(open.shoot().it().subject()).wishFields(),
                        open.shoot().it(),
                        errors),
                blocks.stream().map(b -> part(b, zone)).toList(),
                Block.frames(blocks));
    }

    private static Part part(Block b, ZoneId zone) {
        List<Frame> frames = b.frames();
        List<Shot> shots = frames.stream()
                .limit(MOST_LISTED)
                .map(f -> new Shot(
                        Words.clockSeconds(f.open(), zone),
                        f.shutter().label(),
                        FNumber.label(f.fNumber()),
                        Integer.toString(f.iso())))
                .toList();
        boolean filter = b.kind() == Block.Kind.FILTER_OFF || b.kind() == Block.Kind.FILTER_ON;
        return new Part(
                BlockWords.name(b.kind()),
                Words.clockSeconds(b.start(), zone),
                b.end().equals(b.start()) ? "" : Words.clockSeconds(b.end(), zone),
                frames.isEmpty() ? "" : frames.size() == 1 ? "1 frame" : frames.size() + " frames",
                settings(frames),
                filter ? "stop" : "",
                shots,
                Math.max(0, frames.size() - MOST_LISTED));
    }

    /** "1/500 s f/8 ISO 100", or from the shortest to the longest where they differ. */
    private static String settings(List<Frame> frames) {
        if (frames.isEmpty()) {
            return "";
        }
        List<Frame> byTime = new ArrayList<>(frames);
        byTime.sort((a, b) -> a.shutter().compareTo(b.shutter()));
        String shortest = byTime.get(0).shutter().label();
        String longest = byTime.get(byTime.size() - 1).shutter().label();
        Set<String> apertures = new LinkedHashSet<>();
        Set<Integer> isos = new LinkedHashSet<>();
        frames.forEach(f -> {
            apertures.add(FNumber.label(f.fNumber()));
            isos.add(f.iso());
        });
        return (shortest.equals(longest) ? shortest : shortest + " to " + longest) + ", "
                + range(List.copyOf(apertures)) + ", ISO "
                + range(isos.stream().sorted().map(String::valueOf).toList());
    }

    private static String range(List<String> values) {
        return values.size() == 1 ? values.get(0) : values.get(0) + " to " + values.get(values.size() - 1);
    }
}
