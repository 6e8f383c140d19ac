package org.halfdusk.shoot;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.halfdusk.optics.Camera;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.sequence.Battery;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.weather.Spell;

/**
 * What a shoot needs, from its rig, subject, weather and place.
 *
 * @param items in the order of packing
 * @param celsius the temperature that batteries are reckoned for
 * @param charges battery charges that the programme takes there
 * @param megabytes raw files of the programme
 */
public record Packing(List<Item> items, double celsius, boolean forecast, double charges, double megabytes) {
    /** Where no forecast reaches, batteries are reckoned for a cool night†. */
    public static final double ASSUMED_CELSIUS = 10;

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
        LENS_CAP,
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

    /** For the computed programme. */
    public static Packing of(Subject subject, Plan plan, Optional<Spell> weather) {
        return of(subject, plan, plan.blocks(), weather);
    }

    /** For a programme that may have been laid by hand. */
    public static Packing of(Subject subject, Plan plan, List<Block> blocks, Optional<Spell> weather) {
        Camera camera = plan.rig().camera();
        List<Frame> frames =
                blocks.stream().map(Block::frames).flatMap(List::stream).toList();
        double celsius = weather.map(Spell::coldestCelsius).orElse(ASSUMED_CELSIUS);
        double minutes =
                frames.stream().mapToDouble(f -> f.shutter().realSeconds()).sum() / 60;
        double charges = BESIDES
                * Math.max((double) frames.size() / camera.batteryFrames(), minutes / camera.batteryMinutes())
                / Battery.share(Math.max(-60, Math.min(60, celsius)), camera.coldLoss(), camera.heatLoss());
        return new Packing(
                items(subject, plan, weather, frames.size()),
                celsius,
                weather.isPresent(),
                charges,
                frames.size() * camera.rawMegabytes());
    }

    /** Batteries beside the one in the camera: as many as the programme takes, at least one. */
    public int spareBatteries() {
        return (int) Math.max(1, Math.ceil(charges) - 1);
    }

    private static List<Item> items(Subject subject, Plan plan, Optional<Spell> weather, int frames) {
        List<Item> items = new ArrayList<>();
        boolean night = subject != Subject.SOLAR_ECLIPSE;
        boolean trails = subject == Subject.STAR_TRAILS;
        boolean eclipse = subject == Subject.LUNAR_ECLIPSE || subject == Subject.SOLAR_ECLIPSE;
        boolean longLens = plan.rig().focalMm() >= LONG_LENS_MM;
        PlaceNotes notes = plan.place().notes();
        Set<Spell.Trouble> troubles = weather.map(
                        w -> w.warnings().stream().map(Spell.Warning::trouble).collect(Collectors.toSet()))
                .orElse(Set.of());
        items.add(Item.CAMERA);
        items.add(Item.LENS);
        add(items, Item.CONVERTER, plan.rig().converter().isPresent());
        items.add(Item.TRIPOD);
        add(items, Item.TRACKING_MOUNT, eclipse && longLens);
        add(items, Item.SOLAR_FILTER, subject == Subject.SOLAR_ECLIPSE);
        add(items, Item.REMOTE_TIMER, frames >= MANY_FRAMES || longLens);
        items.add(Item.SPARE_BATTERIES);
        items.add(Item.CARDS);
        add(items, Item.LENS_CAP, trails || subject == Subject.MILKY_WAY);
        add(items, Item.LENS_WARMER, night && (weather.isEmpty() || troubles.contains(Spell.Trouble.DEW)));
        items.add(Item.CLOTH);
        add(items, Item.TAPE, night);
        add(items, Item.STABILISING_WEIGHT, longLens || troubles.contains(Spell.Trouble.WIND));
        add(items, Item.RAIN_COVER, troubles.contains(Spell.Trouble.RAIN));
        add(items, Item.RED_LAMP, night);
        add(items, Item.PAINTING_LAMP, subject == Subject.MILKY_WAY || trails);
        items.add(Item.COMPASS);
        add(items, Item.EXACT_CLOCK, eclipse);
        add(items, Item.ECLIPSE_GLASSES, subject == Subject.SOLAR_ECLIPSE);
        add(items, Item.EAR_PROTECTION, subject == Subject.FIREWORKS);
        add(
                items,
                Item.WARM_CLOTHES,
                night && weather.map(Spell::coldestCelsius).orElse(ASSUMED_CELSIUS) < COLD_CELSIUS);
        items.add(Item.WATER);
        add(items, Item.CHAIR, trails || eclipse || subject == Subject.FIREWORKS);
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
}
