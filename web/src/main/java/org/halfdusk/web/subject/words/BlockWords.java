package org.halfdusk.web.subject.words;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.programme.NewBlock;

/** What a block of a programme is for, in words. */
public final class BlockWords {
    private BlockWords() {}

    public static String name(Block.Kind kind) {
        return switch (kind) {
            case STACK -> "Stack";
            case TRAILS -> "Trails";
            case BRACKETS -> "Brackets";
            case GROUND -> "Ground";
            case PANORAMA -> "Panorama";
            case TIME_LAPSE -> "Time lapse";
            case BRACKET -> "Bracket";
            case PEOPLE -> "With people, not for the stack";
            case HEADLIGHTS -> "Waiting for headlights";
            case DARK_FRAME -> "Cap on: dark frame";
            case TOWN -> "The town alone";
            case TRIAL -> "Trial of apertures, on the first bursts";
            case SHOW -> "Show, on each climbing spark";
            case FINALE -> "Finale";
            case FULL_MOON -> "Full moon";
            case PENUMBRA -> "Penumbra";
            case PARTIAL_MOON -> "Partial, exposed for the lit part";
            case SHADOW -> "Shadow";
            case PARTIAL_SUN -> "Partial, filter on";
            case RING -> "Ring, filter on";
            case FILTER_OFF -> "Filter off";
            case TOTALITY -> "Totality";
            case FILTER_ON -> "Filter on";
            case PAUSE -> "Pause: focus, battery, card";
        };
    }

    /** What is added to a programme, as a button says it. */
    public static String added(NewBlock block) {
        return switch (block) {
            case STACK -> "a stack";
            case TRAILS -> "trails";
            case GROUND -> "ground frames";
            case PEOPLE -> "frames with people";
            case HEADLIGHTS -> "waiting for headlights";
            case TIME_LAPSE -> "a time lapse";
            case BRACKET -> "a bracket";
            case DARK_FRAME -> "dark frames";
            case PAUSE -> "a pause";
            case PANORAMA -> "the panorama";
        };
    }

    /** "1/500 s f/8 ISO 100", or from the shortest to the longest where they differ. */
    public static String settings(List<Frame> frames) {
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
            apertures.add(f.fNumber().label());
            isos.add(f.iso().number());
        });
        return (shortest.equals(longest) ? shortest : shortest + " to " + longest) + ", "
                + range(List.copyOf(apertures)) + ", ISO "
                + range(isos.stream().sorted().map(String::valueOf).toList());
    }

    private static String range(List<String> values) {
        return values.size() == 1 ? values.get(0) : values.get(0) + " to " + values.get(values.size() - 1);
    }
}
