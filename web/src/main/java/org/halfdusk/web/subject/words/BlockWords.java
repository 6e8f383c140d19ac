package org.halfdusk.web.subject.words;

import org.halfdusk.sequence.Block;
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
}
