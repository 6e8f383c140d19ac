package org.halfdusk.web.shoot.begin;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.Lens;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.sky.events.Night;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.shoot.NightsAhead;
import org.halfdusk.web.subject.Subjects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A new shoot: subject, place and rig, then the nights that suit them, best first. */
@Controller
class NewShootController {
    private final Shoots shoots;
    private final Places places;
    private final Kits kits;
    private final Planner planner;
    private final Subjects subjects;
    private final UsualPlace usualPlace;
    private final Clock clock;

    NewShootController(
            Shoots shoots,
            Places places,
            Kits kits,
            Planner planner,
            Subjects subjects,
            UsualPlace usualPlace,
            Clock clock) {
        this.usualPlace = usualPlace;
        this.shoots = shoots;
        this.places = places;
        this.kits = kits;
        this.planner = planner;
        this.subjects = subjects;
        this.clock = clock;
    }

    @GetMapping("/shoots/new")
    String choose(
            @RequestParam(name = "subject", defaultValue = "MILKY_WAY") Subject subject,
            @RequestParam(name = "was", required = false) Optional<Subject> was,
            @RequestParam(name = "place") Optional<Long> placeId,
            @RequestParam(name = "camera") Optional<Long> cameraId,
            @RequestParam(name = "lens") Optional<Long> lensId,
            @RequestParam Optional<String> from,
            Model model) {
        List<Kept<Place>> all = places.list();
        if (all.isEmpty() || kits.cameras().isEmpty() || kits.lenses().isEmpty()) {
            return "nights/empty";
        }
        Kept<Place> place = placeId.map(this::place).orElseGet(() -> usualPlace.of(subject, all));
        LocalDate start = from.filter(f -> !f.isBlank())
                .map(ShootField.NIGHT.codec()::read)
                .orElseGet(() -> Night.dateAt(
                        planner.sky(place.it()), clock.instant(), place.it().zone()));
        // Another subject wants another lens, so its own suggestion counts until the person chooses for it.
        boolean sameSubject = was.filter(w -> w != subject).isEmpty();
        Shoot.ShootRig rig =
                rig(subject, sameSubject ? cameraId : Optional.empty(), sameSubject ? lensId : Optional.empty());
        var nights = planner.nights(subject, place.it(), start, NightsAhead.count(subject));
        model.addAttribute(
                "page", NewShootPage.of(subject, subjects, place, all, kits, planner.rig(rig), rig, nights, start));
        return "shoot/new";
    }

    @PostMapping("/shoots/new")
    String make(
            @RequestParam(name = "subject") Subject subject,
            @RequestParam(name = "place") long placeId,
            @RequestParam(name = "camera") Optional<Long> cameraId,
            @RequestParam(name = "lens") Optional<Long> lensId,
            @RequestParam String night) {
        LocalDate date = ShootField.NIGHT.codec().read(night);
        Shoot.ShootRig rig = rig(subject, cameraId, lensId);
        long id = shoots.add(planner.newShoot(subject, place(placeId), rig, date, clock.instant()));
        return "redirect:/shoots/" + id + "/night";
    }

    private Shoot.ShootRig rig(Subject subject, Optional<Long> cameraId, Optional<Long> lensId) {
        Shoot.ShootRig suggested = planner.suggestedRig(subject);
        long camera = cameraId.map(id -> kits.camera(id)
                        .orElseThrow(() -> new NotFound("There is no camera number " + id + "."))
                        .id())
                .orElse(suggested.cameraId());
        Kept<Lens> lens = lensId.map(
                        id -> kits.lens(id).orElseThrow(() -> new NotFound("There is no lens number " + id + ".")))
                .orElseGet(() -> kits.lens(suggested.lensId()).orElseThrow());
        // The usual rig as it stands, its focal length and converter too, unless other kit was chosen.
        return camera == suggested.cameraId() && lens.id() == suggested.lensId()
                ? suggested
                : planner.rig(subject, camera, lens);
    }

    private Kept<Place> place(long id) {
        return NotFound.place(places, id);
    }
}
