package org.halfdusk.web.exchange.backup;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.shoot.kept.Kept;

/** Whether all numbers that parts of a backup name are in it. */
final class BackupCheck {
    private final Set<Long> place;
    private final Set<Long> camera;
    private final Set<Long> lens;
    private final Set<Long> converter;
    private final Set<Long> accessory;
    private final Set<Long> shoot;

    private BackupCheck(Backup b) {
        place = ids(b.places());
        camera = ids(b.cameras());
        lens = ids(b.lenses());
        converter = ids(b.converters());
        accessory = ids(b.accessories());
        shoot = ids(b.shoots());
    }

    /** @throws IllegalArgumentException naming what has a number that the backup does not hold */
    static void of(Backup b) {
        BackupCheck check = new BackupCheck(b);
        check.shoots(b);
        check.kit(b);
        check.nights(b);
        SettingTexts.check(b.settings());
    }

    private void shoots(Backup b) {
        b.shoots().forEach(k -> {
            String of = " of the shoot “" + k.it().title() + "”";
            has(place, Optional.of(k.it().placeId()), "place" + of);
            has(camera, Optional.of(k.it().rig().cameraId()), "camera" + of);
            has(lens, Optional.of(k.it().rig().lensId()), "lens" + of);
            has(converter, k.it().rig().converterId(), "converter" + of);
        });
        b.furtherRigs().forEach(f -> {
            has(shoot, Optional.of(f.shootId()), "shoot of a further rig");
            has(camera, Optional.of(f.rig().cameraId()), "camera of a further rig");
            has(lens, Optional.of(f.rig().lensId()), "lens of a further rig");
            has(converter, f.rig().converterId(), "converter of a further rig");
        });
        b.packing().forEach(p -> has(shoot, Optional.of(p.shootId()), "shoot of a packing list"));
    }

    private void kit(Backup b) {
        b.rigs().forEach(k -> {
            String of = " of the rig “" + k.it().name() + "”";
            has(camera, Optional.of(k.it().cameraId()), "camera" + of);
            has(lens, Optional.of(k.it().lensId()), "lens" + of);
            has(converter, k.it().converterId(), "converter" + of);
            has(accessory, k.it().filterId(), "filter" + of);
            has(accessory, k.it().supportId(), "tripod or mount" + of);
            has(accessory, k.it().cardId(), "card" + of);
            has(accessory, k.it().batteryId(), "battery" + of);
        });
        b.clocks().forEach(c -> has(camera, Optional.of(c.cameraId()), "camera of a clock"));
        b.focusMarks().forEach(m -> has(lens, Optional.of(m.lensId()), "lens of the focus mark “" + m.mark() + "”"));
    }

    /** What was written down of nights, and learnt from their frames. */
    private void nights(Backup b) {
        b.takenFrames()
                .forEach(f -> has(
                        shoot, f.shootId(), "shoot of the frame “" + f.file().name() + "”"));
        b.afterwards().forEach(a -> has(shoot, Optional.of(a.shootId()), "shoot of a note"));
        b.answers().forEach(a -> has(shoot, Optional.of(a.shootId()), "shoot of an answer"));
        b.nights().forEach(n -> has(shoot, Optional.of(n.shootId()), "shoot of a night's notes"));
        b.learnt()
                .forEach(l -> has(
                        switch (l.figure().of()) {
                            case CAMERA -> camera;
                            case LENS -> lens;
                            case PLACE -> place;
                            case MOUNT -> accessory;
                        },
                        Optional.of(l.id()),
                        "thing that a figure was learnt of"));
    }

    /** Numbers of things. */
    static Set<Long> ids(List<? extends Kept<?>> kept) {
        Set<Long> ids = new HashSet<>();
        kept.forEach(k -> ids.add(k.id()));
        return ids;
    }

    private static void has(Set<Long> ids, Optional<Long> id, String what) {
        if (id.filter(i -> !ids.contains(i)).isPresent()) {
            throw new IllegalArgumentException(
                    what + " has the number " + id.get() + ", which the backup does not hold");
        }
    }
}
