package org.halfdusk.shoot.packing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.halfdusk.exposure.Setting;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.Traits;
import org.halfdusk.weather.Spell;

/**
 * What a shoot needs, from its rig, subject, weather and place.
 *
 * @param items in the order of packing
 * @param air that batteries are reckoned for
 * @param charges battery charges that the programme takes there
 * @param megabytes files of the programme; 0 on film
 */
public record Packing(List<Item> items, Air air, double charges, double megabytes) {
    /** Composing, focusing and looking at frames take about a third of what the frames take†. */
    private static final double BESIDES = 1.3;

    private static final double COLD_CELSIUS = 12;
    /** Focal length from which every shake shows, mm†. */
    public static final double LONG_LENS_MM = 135;

    private static final int MANY_FRAMES = 2;

    /** Things that are packed. */
    public enum Item {
        CAMERA,
        LENS,
        CONVERTER,
        TRIPOD,
        TRACKING_MOUNT,
        SOLAR_FILTER,
        REMOTE_TIMER,
        SPARE_BATTERIES,
        CARDS,
        FILM_ROLLS,
        LENS_CAP,
        LENS_HOOD,
        LENS_WARMER,
        CLOTH,
        TAPE,
        STABILISING_WEIGHT,
        RAIN_COVER,
        RED_LAMP,
        PAINTING_LAMP,
        COMPASS,
        EXACT_CLOCK,
        ECLIPSE_GLASSES,
        EAR_PROTECTION,
        WARM_CLOTHES,
        WATER,
        CHAIR,
        PHONE,
        TIDE_TABLE,
        PERMIT
    }

    /**
     * @param blocks the programme, computed or laid by hand
     * @param run what becomes of them on the camera: the one simulation that card and battery are taken from everywhere
     */
    public static Packing of(
            Subject subject, Plan plan, List<Block> blocks, RunSimulation run, Air air, Optional<Spell> weather) {
        int frames = Block.frames(blocks);
        return new Packing(items(subject, plan, weather, air, frames), air, run.charges(), run.megabytes());
    }

    /** Batteries beside the one in the camera: as many as the programme and what is done beside it take, at least one. */
    public int spareBatteries() {
        return (int) Math.max(1, Math.ceil(charges * BESIDES) - 1);
    }

    private static List<Item> items(Subject subject, Plan plan, Optional<Spell> weather, Air air, int frames) {
        List<Item> items = new ArrayList<>();
        Traits traits = Traits.of(subject);
        Set<Item> needs = traits.needs();
        boolean night = !traits.byDay();
        boolean longLens = plan.rig().focalMm() >= LONG_LENS_MM;
        boolean film = plan.rig().camera().film();
        boolean hand = plan.handheld();
        PlaceNotes notes = plan.place().notes();
        Set<Spell.Trouble> troubles = weather.map(
                        w -> w.warnings().stream().map(Spell.Warning::trouble).collect(Collectors.toSet()))
                .orElse(Set.of());
        items.add(Item.CAMERA);
        items.add(Item.LENS);
        add(items, Item.CONVERTER, plan.rig().converter().isPresent());
        add(items, Item.TRIPOD, !hand);
        boolean turns = plan.wishes().limits().mount().turns();
        add(items, Item.TRACKING_MOUNT, turns || needs.contains(Item.TRACKING_MOUNT) && longLens && !hand);
        add(items, Item.SOLAR_FILTER, needs.contains(Item.SOLAR_FILTER));
        add(items, Item.REMOTE_TIMER, !hand && (frames >= MANY_FRAMES || longLens));
        items.add(Item.SPARE_BATTERIES);
        add(items, Item.CARDS, !film);
        add(items, Item.FILM_ROLLS, film);
        add(items, Item.LENS_CAP, !film && needs.contains(Item.LENS_CAP));
        add(items, Item.LENS_HOOD, needs.contains(Item.LENS_HOOD));
        add(items, Item.LENS_WARMER, night && (weather.isEmpty() || troubles.contains(Spell.Trouble.DEW)));
        items.add(Item.CLOTH);
        add(items, Item.TAPE, night);
        add(items, Item.STABILISING_WEIGHT, !hand && (longLens || troubles.contains(Spell.Trouble.WIND)));
        add(items, Item.RAIN_COVER, troubles.contains(Spell.Trouble.RAIN));
        add(items, Item.RED_LAMP, night);
        add(items, Item.PAINTING_LAMP, needs.contains(Item.PAINTING_LAMP));
        items.add(Item.COMPASS);
        add(items, Item.EXACT_CLOCK, needs.contains(Item.EXACT_CLOCK));
        add(items, Item.ECLIPSE_GLASSES, needs.contains(Item.ECLIPSE_GLASSES));
        add(items, Item.EAR_PROTECTION, needs.contains(Item.EAR_PROTECTION));
        add(items, Item.WARM_CLOTHES, night && air.celsius() < COLD_CELSIUS);
        items.add(Item.WATER);
        add(items, Item.CHAIR, needs.contains(Item.CHAIR));
        items.add(Item.PHONE);
        add(items, Item.TIDE_TABLE, !notes.tide().isBlank());
        add(items, Item.PERMIT, !notes.permission().isBlank());
        return List.copyOf(items);
    }

    private static void add(List<Item> items, Item item, boolean needed) {
        if (needed) {
            items.add(item);
        }
    }

    /** Longer than this nobody holds a camera still, s†. */
    private static final double HELD_SECONDS = 1 / 30.0;

    /** Whether a setting is short enough to be held by hand. */
    public static boolean heldStill(Setting setting) {
        return setting.shutter().realSeconds() <= HELD_SECONDS;
    }
}
