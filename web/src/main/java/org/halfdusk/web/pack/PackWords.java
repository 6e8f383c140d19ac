package org.halfdusk.web.pack;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.optics.kit.BatteryPack;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.optics.kit.Filter;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.shoot.packing.Packing;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.words.ReasonWords;

/** What a thing to pack is called, and why it is on the list. */
record PackWords(Plan plan, Packing packing, List<Accessory> owned) {

    String name(Packing.Item item) {
        return switch (item) {
            case CAMERA -> plan.rig().camera().name();
            case LENS -> plan.rig().lens().name();
            case CONVERTER -> plan.rig().converter().map(Converter::name).orElse("Converter");
            case TRIPOD -> own(Support.class, s -> !s.tracks(), "Tripod");
            case TRACKING_MOUNT -> own(Support.class, Support::tracks, "Tracking mount");
            case SOLAR_FILTER ->
                own(Filter.class, f -> f.use() == Filter.Use.SOLAR, "Solar filter") + ", one for every lens and finder";
            case REMOTE_TIMER -> "Remote timer and its cable";
            case SPARE_BATTERIES ->
                packing.spareBatteries() == 1 ? "A spare battery" : packing.spareBatteries() + " spare batteries";
            case CARDS -> "Cards for " + Words.gigabytes(packing.megabytes());
            case FILM_ROLLS -> "Film";
            case LENS_CAP -> "Lens cap";
            case LENS_HOOD -> "Lens hood";
            case LENS_WARMER -> "Warmer band for the lens and its power";
            case CLOTH -> "Cloth and blower";
            case TAPE -> "Tape for the focus ring";
            case STABILISING_WEIGHT -> "Weight or bag for the tripod's hook";
            case RAIN_COVER -> "Rain cover";
            case RED_LAMP -> "Red head lamp, spare cells";
            case PAINTING_LAMP -> "A white lamp for the foreground";
            case COMPASS -> "Compass";
            case EXACT_CLOCK -> "A clock right to the second";
            case ECLIPSE_GLASSES -> "Eclipse glasses for everyone";
            case EAR_PROTECTION -> "Ear protection";
            case WARM_CLOTHES -> "Warm clothes, gloves, hat";
            case WATER -> "Water and food";
            case CHAIR -> "A chair";
            case PHONE -> "Phone, charged";
            case TIDE_TABLE -> "Tide table";
            case PERMIT -> "Permission in writing, or whom you asked";
        };
    }

    private <A extends Accessory> String own(Class<A> type, Predicate<A> which, String otherwise) {
        return owned.stream()
                .filter(type::isInstance)
                .map(type::cast)
                .filter(which)
                .findFirst()
                .map(Accessory::name)
                .orElse(otherwise);
    }

    String because(Packing.Item item) {
        Camera camera = plan.rig().camera();
        return switch (item) {
            case CAMERA ->
                "The rig of this shoot. Clean sensor, settings known blind, stabiliser "
                        + (plan.handheld() ? "on" : "off on the tripod")
                        + (camera.shutter().mirror() ? ", mirror locked up." : ".");
            case LENS ->
                "Set to " + Words.plain(plan.rig().lensFocalMm()) + " mm"
                        + (plan.rig().lens().electronicAperture()
                                ? "."
                                : "; its aperture is set by hand, the camera cannot.");
            case CONVERTER -> "Part of the rig.";
            case TRIPOD ->
                !Packing.heldStill(plan.setting())
                        ? "Exposures of " + plan.setting().shutter().label() + " cannot be held."
                        : "All frames must look the same way.";
            case TRACKING_MOUNT ->
                "It follows the disc through the long exposures, at its own rate; without one the motion limit holds.";
            case SOLAR_FILTER ->
                "Over every lens until second contact and again before third; never off in a partial or annular eclipse.";
            case REMOTE_TIMER ->
                plan.setting().shutter().nominalSeconds() > camera.shutter().longestTimedSeconds()
                        ? "The camera times no longer than "
                                + Words.plain(camera.shutter().longestTimedSeconds())
                                + " s itself; the plan asks for "
                                + plan.setting().shutter().label() + "."
                        : "Frames without touching the camera.";
            case SPARE_BATTERIES -> batteries();
            case CARDS -> cards();
            case FILM_ROLLS -> ReasonWords.rolls(Block.frames(plan.blocks())).value() + ", and one more.";
            case LENS_CAP -> "On for the dark frame at the end, same time, ISO and temperature.";
            case LENS_HOOD -> "Lamps beside the frame lay ghosts in it; a black card does for what no hood covers.";
            case LENS_WARMER ->
                packing.air().source() == Air.Source.FORECAST
                        ? "The glass falls under the dew point in the window."
                        : "No forecast reaches this night: dew cannot be excluded.";
            case CLOTH -> "Dew, salt and fingerprints make glow.";
            case TAPE -> "Focus found once stays found.";
            case STABILISING_WEIGHT ->
                plan.rig().focalMm() >= Packing.LONG_LENS_MM
                        ? Words.plain(plan.rig().focalMm()) + " mm shows every shake."
                        : "Wind over a tripod's comfort is forecast.";
            case RAIN_COVER -> "Rain is forecast in the window.";
            case RED_LAMP -> "Eyes take 20 to 30 minutes to adapt, white light undoes it.";
            case PAINTING_LAMP -> "From the side, never from the camera's axis; not across others' frames.";
            case COMPASS ->
                "It shows " + Words.degrees(Math.abs(declination())) + " " + (declination() > 0 ? "less" : "more")
                        + " than the true azimuths here.";
            case EXACT_CLOCK -> "Contacts are known to a second, camera clocks differ by ten: set them all to UTC.";
            case ECLIPSE_GLASSES -> "ISO 12312-2, unscratched. For eyes; never behind a lens.";
            case EAR_PROTECTION -> "Salutes near by hurt.";
            case WARM_CLOTHES ->
                packing.air().source() != Air.Source.ASSUMED
                        ? Words.celsius(packing.air().celsius()) + " at the coldest, and you stand still."
                        : "Nights are colder than days, and you stand still.";
            case WATER -> "Hours outdoors, no shop.";
            case CHAIR -> "The sequence runs by itself for long.";
            case PHONE -> "Somebody knows where you are and when you are back; do not go alone.";
            case TIDE_TABLE -> plan.place().notes().tide();
            case PERMIT -> plan.place().notes().permission();
        };
    }

    private String batteries() {
        long have = owned.stream()
                .filter(BatteryPack.class::isInstance)
                .mapToLong(a -> ((BatteryPack) a).count())
                .sum();
        return "The programme takes " + ReasonWords.charges(packing.charges()) + " at "
                + ReasonWords.air(packing.air()) + "; composing and looking at frames take a third more"
                + (have > 0 ? "; the kit has " + have + "." : ".");
    }

    private String cards() {
        List<Card> cards = owned.stream()
                .filter(Card.class::isInstance)
                .map(Card.class::cast)
                .toList();
        double room = cards.stream().mapToDouble(Card::totalMegabytes).sum();
        String need = "Raw files of all frames, at "
                + Words.plain(plan.rig().camera().files().rawMegabytes()) + " MB each";
        if (cards.isEmpty()) {
            return need + ".";
        }
        return need + "; the kit's "
                + cards.stream().map(Card::name).distinct().collect(Collectors.joining(", ")) + " hold "
                + Words.gigabytes(room) + (room < packing.megabytes() ? ": too little." : ".");
    }

    private double declination() {
        return plan.place().declinationDegrees(plan.night().bestMoment());
    }
}
