package org.halfdusk.web.shoot.begin;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.Subjects;

/** The choice of subject, place and rig, and the nights that suit, worded. */
record NewShootPage(
        String subject,
        List<Subjects.Choice> subjects,
        List<ShootEditing.Choice> places,
        List<ShootEditing.Choice> cameras,
        List<ShootEditing.Choice> lenses,
        String rig,
        String from,
        String window,
        List<Offer> offers,
        int without,
        String none) {
    /** Nights offered at once. */
    private static final int OFFERED = 15;

    /** A night to choose. */
    record Offer(String iso, String date, String window, String sentence, int score, String parts) {}

    static NewShootPage of(
            Subject subject,
            Subjects subjects,
            Kept<Place> place,
            List<Kept<Place>> all,
            Kits kits,
            Rig rig,
            Shoot.ShootRig kept,
            List<SubjectNight> nights,
            LocalDate start) {
        List<SubjectNight> usable = nights.stream()
                .filter(n -> n.main().isPresent())
                .sorted(Planner.BEST_FIRST)
                .toList();
        String none = usable.isEmpty()
                ? nights.stream()
                        .min(Planner.BEST_FIRST)
                        .map(n -> subjects.of(subject, n).words().sentence())
                        .orElse("Nothing is seen from here in the years that can be planned.")
                : "";
        return new NewShootPage(
                subject.name(),
                subjects.choices(subject),
                ShootEditing.choices(all, Optional.of(place.id()), id -> Optional.of(place), p -> p.name()),
                ShootEditing.choices(kits.cameras(), Optional.of(kept.cameraId()), kits::camera, c -> c.name()),
                ShootEditing.choices(kits.lenses(), Optional.of(kept.lensId()), kits::lens, l -> l.name()),
                Words.plain(rig.focalMm()) + " mm, " + Words.degrees(rig.longFieldDegrees()) + " × "
                        + Words.degrees(rig.shortFieldDegrees()) + " of sky",
                start.toString(),
                subjects.heads(subject).window(),
                usable.stream()
                        .limit(OFFERED)
                        .map(n -> offer(n, subjects.of(subject, n).words()))
                        .toList(),
                nights.size() - usable.size(),
                none);
    }

    private static Offer offer(SubjectNight n, NightWords words) {
        return new Offer(
                n.date().toString(),
                Times.longDate(n.date()),
                words.heading(),
                words.sentence(),
                n.score().total(),
                words.parts());
    }
}
