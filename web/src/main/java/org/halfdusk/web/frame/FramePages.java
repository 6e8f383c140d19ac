package org.halfdusk.web.frame;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.halfdusk.shoot.kept.kit.FocusMarks;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.search.Alignments;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.StepPages;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.stereotype.Component;

/** The Frame step of a shoot. */
@Component
record FramePages(Planner planner, FocusMarks marks) implements StepPages {
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
                FramePicture.of(open.plan(), open.at(), theme),
                result.errors(),
                tonight,
                MarksPart.of(open, marks.of(open.shoot().it().rig().lensId()), result.errors()));
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
