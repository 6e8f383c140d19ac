package org.halfdusk.web.frame;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.kept.kit.FocusMarks;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.search.Alignments;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Units;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.StepPages;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.stereotype.Component;

/** The Frame step of a shoot. */
@Component
class FramePages implements StepPages {
    /** Some 70 kB each. */
    private static final int MOST_PICTURES = 20;

    private final Planner planner;
    private final FocusMarks marks;
    private final Cache<Pictured, FramePicture> pictures =
            Caffeine.newBuilder().maximumSize(MOST_PICTURES).build();

    FramePages(Planner planner, FocusMarks marks) {
        this.planner = planner;
        this.marks = marks;
    }

    /** All that a picture follows from, the words of its hours too. */
    private record Pictured(
            Framing framing,
            Rig rig,
            Place place,
            Optional<Body> followed,
            Interval axis,
            Instant at,
            Theme theme,
            Units units) {}

    @Override
    public String step() {
        return "frame";
    }

    @Override
    public Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme) {
        List<Alignments.Match> tonight = Alignments.usual(
                        AlignmentController.sought(open), open.plan().place().objects())
                .map(w -> Alignments.search(
                        planner.site(open.plan().place()),
                        w,
                        open.plan().night().date(),
                        1))
                .orElse(List.of());
        return FramePage.of(
                open,
                picture(open.plan(), open.at(), theme),
                result.errors(),
                tonight,
                MarksPart.of(open, marks.of(open.shoot().it().rig().lensId()), result.errors()));
    }

    /** With its stars it takes a third of the page, and most pages show one that was drawn before: another field was changed. */
    private FramePicture picture(Plan plan, Instant at, Theme theme) {
        Pictured key = new Pictured(
                plan.framing(),
                plan.rig(),
                plan.place(),
                plan.night().followed(),
                plan.night().axis(),
                at,
                theme,
                Words.units());
        return pictures.get(key, k -> FramePicture.of(plan, at, theme));
    }

    /** Azimuth, altitude and roll are typed apart and kept together. */
    @Override
    public Map<String, String> fields(Map<String, String> form) {
        if (form.containsKey("panoramaFrom")) {
            return panorama(form);
        }
        if (!form.containsKey("azimuth")) {
            return form;
        }
        Map<String, String> fields = new HashMap<>(form);
        String altitude = form.getOrDefault("altitude", "").trim();
        fields.put(
                "AIM", form.getOrDefault("azimuth", "").trim() + " " + altitude + " " + form.getOrDefault("roll", "0"));
        return fields;
    }

    private static Map<String, String> panorama(Map<String, String> form) {
        Map<String, String> fields = new HashMap<>(form);
        fields.put(
                "PANORAMA",
                Stream.of("From", "Span", "Overlap", "Rows", "Spares")
                        .map(n -> form.getOrDefault("panorama" + n, "").trim())
                        .map(t -> t.isEmpty() ? "–" : t.replace(' ', '_'))
                        .collect(Collectors.joining(" ")));
        return fields;
    }

    @Override
    public String answer(ShootDesk.Open open) {
        boolean panorama = open.shoot().it().rig().choices().panorama().isPresent();
        String azimuth = Words.azimuth(open.plan().framing().azimuth().degrees());
        return panorama
                ? "panorama, " + azimuth
                : "aim " + azimuth + ", "
                        + Words.wholeDegrees(open.plan().framing().altitude().degrees()) + " up";
    }
}
