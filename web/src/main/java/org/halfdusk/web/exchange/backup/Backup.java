package org.halfdusk.web.exchange.backup;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.place.Place;
import org.halfdusk.place.Track;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.shoot.review.Afterwards;
import org.halfdusk.shoot.review.Softness;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.practice.PractisedFrame;
import org.halfdusk.show.practice.Reaction;
import org.halfdusk.show.practice.Verdict;
import org.halfdusk.show.shells.CueTexts;
import org.jspecify.annotations.Nullable;

/**
 * Everything a person keeps. Numbers are those of the file it was taken from and only tie its parts together.
 *
 * @param furtherRigs of shoots, by their numbers
 * @param packing of shoots, by their numbers
 * @param nights what was noted in the nights of shoots, by their numbers
 * @param practised what hands did on practice shows of shoots, by their numbers, the oldest first
 * @param clocks of cameras, by their numbers
 * @param takenFrames figures of frames that were brought in, never pictures; those read without a shoot are not among them
 * @param afterwards what was noted of shoots when they were over
 * @param answers what was said of shoots where a picture cannot tell
 * @param learnt what was taken over from frames
 * @param focusMarks of lenses, by their numbers
 */
public record Backup(
        String format,
        int version,
        Instant takenAt,
        List<Kept<Place>> places,
        List<Kept<Camera>> cameras,
        List<Kept<Lens>> lenses,
        List<Kept<Converter>> converters,
        List<Kept<Accessory>> accessories,
        List<Kept<StandingRig>> rigs,
        List<Kept<Shoot>> shoots,
        List<Further> furtherRigs,
        List<Packed> packing,
        List<Noted> nights,
        List<Practised> practised,
        List<CameraClock> clocks,
        List<TakenFrame> takenFrames,
        List<NotedAfterwards> afterwards,
        List<Answered> answers,
        List<Learnt> learnt,
        List<FocusMark> focusMarks,
        List<Kept<Track>> tracks,
        Map<String, String> settings) {
    /** A section that a file leaves out, or has as null, is empty. */
    public Backup {
        places = all("places", places);
        cameras = all("cameras", cameras);
        lenses = all("lenses", lenses);
        converters = all("converters", converters);
        accessories = all("accessories", accessories);
        rigs = all("rigs", rigs);
        shoots = all("shoots", shoots);
        furtherRigs = all("furtherRigs", furtherRigs);
        packing = all("packing", packing);
        nights = all("nights", nights);
        practised = all("practised", practised);
        clocks = all("clocks", clocks);
        takenFrames = all("takenFrames", takenFrames);
        afterwards = all("afterwards", afterwards);
        answers = all("answers", answers);
        learnt = all("learnt", learnt);
        focusMarks = all("focusMarks", focusMarks);
        tracks = all("tracks", tracks);
        settings = Objects.requireNonNullElse(settings, Map.of());
    }

    private static <T> List<T> all(String section, @Nullable List<T> things) {
        if (things == null) {
            return List.of();
        }
        for (T thing : things) {
            if (thing == null || thing instanceof Kept<?> k && k.it() == null) {
                throw new IllegalArgumentException(
                        "an entry of “" + section + "” is null; things with all their figures are allowed");
            }
        }
        return List.copyOf(things);
    }

    public static final String FORMAT = "half-dusk backup";
    public static final int VERSION = 1;

    /** A rig of a shoot beside its first. */
    public record Further(long shootId, Shoot.ShootRig rig) {
        public Further {
            Objects.requireNonNull(rig, "rig is missing");
        }
    }

    /** @param own things that the person added, by their numbers */
    public record Packed(long shootId, Set<String> ticked, List<Kept<String>> own) {
        public Packed {
            ticked = Objects.requireNonNullElse(ticked, Set.of());
            own = all("packing", own);
        }
    }

    /** What was noted in a shoot's night. */
    public record Noted(long shootId, List<RunEntry> entries) {
        public Noted {
            entries = all("nights", entries);
        }
    }

    /**
     * A frame of a practice show.
     *
     * @param typed the show as it was written down, empty where it was made up by its seed
     * @param open from the show's beginning, s
     */
    public record Practised(
            long shootId,
            Instant at,
            long seed,
            String typed,
            Exercise.Smoke smoke,
            boolean finale,
            double metres,
            double open,
            double close,
            Verdict verdict,
            Optional<Reaction> reaction) {
        public Practised {
            Objects.requireNonNull(at, "time of a practised frame is missing");
            Objects.requireNonNull(smoke, "smoke of a practised frame is missing");
            Objects.requireNonNull(verdict, "verdict on a practised frame is missing");
            typed = Objects.requireNonNullElse(typed, "");
            reaction = Objects.requireNonNullElse(reaction, Optional.empty());
        }

        static Practised of(long shootId, PractisedFrame f) {
            return new Practised(
                    shootId,
                    f.at(),
                    f.exercise().seed(),
                    f.exercise().typed().map(CueTexts::written).orElse(""),
                    f.exercise().smoke(),
                    f.exercise().finale(),
                    f.exercise().metres(),
                    f.shutter().open(),
                    f.shutter().close(),
                    f.verdict(),
                    f.reaction());
        }

        /** @throws IllegalArgumentException where a figure is outside what a practice allows */
        PractisedFrame frame() {
            return new PractisedFrame(
                    0,
                    at,
                    new Exercise(
                            seed,
                            typed.isEmpty() ? Optional.empty() : Optional.of(CueTexts.read(typed)),
                            smoke,
                            finale,
                            metres),
                    new Shutter(open, close),
                    verdict,
                    reaction);
        }
    }

    /** How far a camera's clock is off. */
    public record CameraClock(long cameraId, ClockOffset offset) {
        public CameraClock {
            Objects.requireNonNull(offset, "clock offset is missing");
        }
    }

    public record NotedAfterwards(long shootId, Afterwards noted) {
        public NotedAfterwards {
            Objects.requireNonNull(noted, "note is missing");
        }
    }

    /** @param rig of the shoot, from 0 */
    public record Answered(long shootId, int rig, Softness.Cause cause, boolean so) {
        public Answered {
            Objects.requireNonNull(cause, "cause is missing");
        }
    }
}
