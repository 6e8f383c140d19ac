package org.halfdusk.shoot.review.learnt;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.light.MeasuredDark;
import org.halfdusk.optics.Measured;
import org.halfdusk.photometry.Measurement;
import org.halfdusk.place.Observer;

/**
 * What was taken over and is not switched off: of several shoots the mean by their frames.
 *
 * @param where the places stand that figures are of
 */
public record Knowledge(List<Learnt> all, Map<Observer, Long> where) {
    public static final Knowledge NONE = new Knowledge(List.of(), Map.of());

    public Knowledge {
        all = List.copyOf(all);
        where = Map.copyOf(where);
    }

    /** What frames have shown of a figure, the mean by their numbers. @param id of the camera, lens or place @param detail "" where the figure needs none */
    public Optional<Measurement> of(Learnt.Figure figure, long id, String detail) {
        List<Measurement> shown = all.stream()
                .filter(l -> l.on()
                        && l.figure() == figure
                        && l.id() == id
                        && l.detail().equals(detail))
                .map(Learnt::value)
                .toList();
        int frames = shown.stream().mapToInt(Measurement::frames).sum();
        if (frames == 0) {
            return Optional.empty();
        }
        double value = shown.stream().mapToDouble(m -> m.value() * m.frames()).sum() / frames;
        double variance = shown.stream()
                        .mapToDouble(
                                m -> m.frames() * (m.spread() * m.spread() + (m.value() - value) * (m.value() - value)))
                        .sum()
                / frames;
        return Optional.of(new Measurement(value, Math.sqrt(variance), frames));
    }

    /** What frames have shown of a camera and a lens, by their numbers. */
    public Measured rig(long cameraId, long lensId) {
        return all.isEmpty()
                ? Measured.NOTHING
                : new Measured(
                        of(Learnt.Figure.CAMERA_STOPS, cameraId, ""),
                        of(Learnt.Figure.LENS_STOPS, lensId, ""),
                        of(Learnt.Figure.LENS_STAR, lensId, ""),
                        of(Learnt.Figure.LENS_CORNER, lensId, ""),
                        of(Learnt.Figure.LENS_FALL, lensId, ""));
    }

    /** What was measured of the dark at a place, matched by where it lies; nothing known elsewhere. */
    public MeasuredDark place(Observer observer) {
        return Optional.ofNullable(where.get(observer)).map(this::place).orElse(MeasuredDark.NOTHING);
    }

    private MeasuredDark place(long placeId) {
        MeasuredDark dark = new MeasuredDark(
                of(Learnt.Figure.PLACE_ZENITH, placeId, ""),
                Collections.nCopies(MeasuredDark.OCTANTS, Optional.empty()));
        for (int i = 0; i < MeasuredDark.OCTANTS; i++) {
            Optional<Measurement> towards = of(Learnt.Figure.PLACE_TOWARDS, placeId, Integer.toString(i));
            dark = towards.isPresent() ? dark.with(i, towards.get()) : dark;
        }
        return dark;
    }
}
