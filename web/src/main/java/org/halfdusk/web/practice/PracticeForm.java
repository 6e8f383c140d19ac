package org.halfdusk.web.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.show.shells.CueTexts;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.Range;
import org.halfdusk.typed.TypedNumber;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What an address of the practice says.
 *
 * @param exercise the show
 * @param sound how its bangs come
 * @param release what the hand presses
 */
record PracticeForm(Exercise exercise, Sounding sound, Release release) {
    static final Codec<Exercise.Smoke> SMOKE = Codec.constant("smoke", Exercise.Smoke.class);
    static final Codec<Sounding> SOUND = Codec.constant("sound", Sounding.class);
    static final Codec<Release> RELEASE = Codec.constant("release", Release.class);
    private static final Codec<Boolean> FINALE = Codec.flag("without a finale", "without");
    private static final Range MOMENT = new Range("moment of the show", 0, 20_000, "s");

    /** How bangs reach the hand. */
    enum Sounding {
        /** As late as they are at the tripod. */
        DELAYED,
        AT_ONCE,
        NONE
    }

    /** What the hand presses. */
    enum Release {
        CABLE(0),
        /** The camera's own button, pressed softly so that nothing shakes. */
        BUTTON(0.3);

        private final double lag;

        Release(double lag) {
            this.lag = lag;
        }

        /** Seconds from the press to the opening†. */
        double lagSeconds() {
            return lag;
        }
    }

    /** @param usual what holds where nothing is said */
    static PracticeForm read(Map<String, String> form, Exercise usual) {
        String text = form.getOrDefault("cues", "");
        Optional<CueSheet> typed =
                text.isBlank() ? Optional.empty() : Optional.of(CueTexts.read(PlainText.lines("show", text, 8000)));
        return new PracticeForm(
                new Exercise(
                        said(form, "show", t -> (long) Exercise.SEED.whole(t), usual.seed()),
                        typed,
                        said(form, "smoke", SMOKE::read, usual.smoke()),
                        !FINALE.read(form.getOrDefault("finale", "")),
                        said(form, "metres", Exercise.DISTANCE::read, usual.metres())),
                said(form, "sound", SOUND::read, Sounding.DELAYED),
                said(form, "release", RELEASE::read, Release.CABLE));
    }

    private static <T> T said(Map<String, String> form, String name, Function<String, T> read, T usual) {
        String text = form.getOrDefault(name, "");
        return text.isEmpty() ? usual : read.apply(text);
    }

    /** When the shutter was open, as a form says it. */
    static Shutter shutter(Map<String, String> form) {
        return new Shutter(MOMENT.read(form.getOrDefault("open", "")), MOMENT.read(form.getOrDefault("close", "")));
    }

    /** How an address turns the camera; nothing where it leaves it as planned. */
    static Optional<Boolean> upright(Map<String, String> form) {
        return said(form, "turned", t -> Optional.of(TURNED.read(t) == Turned.UPRIGHT), Optional.empty());
    }

    private enum Turned {
        LEVEL,
        UPRIGHT
    }

    private static final Codec<Turned> TURNED = Codec.constant("turned", Turned.class);

    static double moment(String text) {
        return MOMENT.read(text);
    }

    /** The query that says the same again. */
    String query() {
        UriComponentsBuilder to = UriComponentsBuilder.newInstance();
        parts().forEach(p -> to.queryParam(p.name(), "{" + p.name() + "}"));
        return to.encode()
                .buildAndExpand(parts().stream().map(Part::value).toArray())
                .toUriString();
    }

    /** A named value, for hidden fields. */
    record Part(String name, String value) {}

    List<Part> parts() {
        List<Part> parts = new ArrayList<>();
        parts.add(new Part("show", Long.toString(exercise.seed())));
        parts.add(new Part("smoke", exercise.smoke().name()));
        if (!exercise.finale()) {
            parts.add(new Part("finale", "without"));
        }
        parts.add(new Part("metres", metres()));
        parts.add(new Part("sound", sound.name()));
        parts.add(new Part("release", release.name()));
        exercise.typed().ifPresent(s -> parts.add(new Part("cues", CueTexts.written(s))));
        return parts;
    }

    /** The distance as it is typed. */
    String metres() {
        return TypedNumber.plain(exercise.metres());
    }

    PracticeForm with(Exercise other) {
        return new PracticeForm(other, sound, release);
    }

    PracticeForm with(Sounding other) {
        return new PracticeForm(exercise, other, release);
    }

    PracticeForm with(Release other) {
        return new PracticeForm(exercise, sound, other);
    }
}
