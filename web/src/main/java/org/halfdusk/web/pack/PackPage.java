package org.halfdusk.web.pack;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.packing.Packing;

/**
 * The Pack step.
 *
 * @param cautions of the place first, then of the subject
 */
record PackPage(List<Row> rows, List<Own> own, List<Caution> cautions, String answer, String typed, String wrong) {
    record Row(String key, String name, String because, boolean packed) {}

    record Own(long id, String key, String name, boolean packed) {}

    record Caution(String what, String text) {}

    static PackPage of(
            Plan plan,
            Packing packing,
            List<Accessory> owned,
            List<Rig> others,
            Set<String> ticked,
            List<Kept<String>> own,
            List<String> cautions) {
        PackWords words = new PackWords(plan, packing, owned);
        List<Row> rows = new ArrayList<>(packing.items().stream()
                .map(i -> new Row(i.name(), words.name(i), words.because(i), ticked.contains(i.name())))
                .toList());
        for (int i = 0; i < others.size(); i++) {
            Rig r = others.get(i);
            rows.add(new Row(
                    rigKey(i),
                    r.camera().name() + " with " + r.lens().name(),
                    "Another rig of this shoot: its own tripod, cards and batteries too.",
                    ticked.contains(rigKey(i))));
        }
        List<Own> mine = own.stream()
                .map(k -> new Own(k.id(), ownKey(k.id()), k.it(), ticked.contains(ownKey(k.id()))))
                .toList();
        return new PackPage(rows, mine, cautions(plan.place().notes(), cautions), answer(rows, mine), "", "");
    }

    PackPage refused(String text, String why) {
        return new PackPage(rows, own, cautions, answer, text, why);
    }

    static String rigKey(int i) {
        return "rig." + (i + 2);
    }

    static String ownKey(long id) {
        return "own." + id;
    }

    private static String answer(List<Row> rows, List<Own> own) {
        long packed = rows.stream().filter(Row::packed).count()
                + own.stream().filter(Own::packed).count();
        return packed + " of " + (rows.size() + own.size()) + " packed";
    }

    private static List<Caution> cautions(PlaceNotes notes, List<String> others) {
        List<Caution> all = new ArrayList<>();
        add(all, "Hazards", notes.hazards());
        add(all, "Tide", notes.tide());
        add(all, "Permission", notes.permission());
        add(all, "Access", notes.access());
        add(all, "Parking", notes.parking());
        others.forEach(o -> add(all, "", o));
        return all;
    }

    private static void add(List<Caution> all, String what, String text) {
        if (!text.isBlank()) {
            all.add(new Caution(what, text));
        }
    }
}
