package org.halfdusk.web.nights;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.TypicalKit;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.towns.Whereabouts;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Range;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.Subjects;

/**
 * The first page: where, with what, and what that gives.
 *
 * @param found what the text can mean; the chosen one is marked
 * @param tonight of the subject, in a line
 * @param later the best night ahead, where tonight is not it
 * @param because with the setting
 * @param strip tonight's
 */
record FirstPage(
        String where,
        int choice,
        List<Found> found,
        List<Choice> rigs,
        String rig,
        String subject,
        List<Subjects.Choice> subjects,
        String tonight,
        String later,
        String because,
        String dark,
        Optional<NightStrip> strip,
        Optional<NightsPage> nights) {
    /** Whether something was typed that means nothing. */
    public boolean nothing() {
        return found.isEmpty() && !where.isEmpty();
    }

    /** Whether there is an answer, which can be kept. */
    public boolean kept() {
        return nights.isPresent();
    }

    /** A place that a text can mean. */
    record Found(int number, String name, String what, String position, boolean chosen) {}

    /** A typical rig. */
    record Choice(String value, String name, String about, boolean chosen) {}

    private static final int MOST_FOUND = 6;

    /** Rigs to begin with. */
    enum Typical {
        WIDE("Full frame, 18 mm f/2", "wide, land and sky in one", "Full frame 33 MP", "18 mm f/2"),
        APS_C("APS-C, 10–20 mm f/2.8", "nearly as wide, two stops darker", "APS-C 24 MP", "10–20 mm f/2.8"),
        ZOOM("APS-C, 18–55 mm", "the lens that came with it", "APS-C 24 MP", "18–55 mm f/3.5–5.6"),
        TELE("Full frame, 100–400 mm", "moon and eclipses", "Full frame 33 MP", "100–400 mm f/4.5–5.6");

        private final String words;
        private final String about;
        private final String body;
        private final String glass;

        Typical(String words, String about, String body, String glass) {
            this.words = words;
            this.about = about;
            this.body = body;
            this.glass = glass;
        }

        Camera camera() {
            return TypicalKit.CAMERAS.stream()
                    .filter(c -> c.name().equals(body))
                    .findFirst()
                    .orElseThrow();
        }

        Lens lens() {
            return TypicalKit.LENSES.stream()
                    .filter(l -> l.name().equals(glass))
                    .findFirst()
                    .orElseThrow();
        }

        Rig rig() {
            return Rig.of(camera(), lens(), Optional.empty(), lens().shortestMm());
        }
    }

    /** What the person has said so far. */
    record Typed(String where, List<Whereabouts> found, int choice, Typical rig) {
        static Typed of(String where, String choice, String rig) {
            String text = where.strip();
            List<Whereabouts> found = text.isEmpty() ? List.of() : Whereabouts.found(text, MOST_FOUND);
            int number = Range.of("choice", 0, MOST_FOUND).whole(choice.isBlank() ? "0" : choice);
            Typical typical = rig.isBlank()
                    ? Typical.WIDE
                    : Codec.constant("rig", Typical.class).read(rig);
            return new Typed(text, found, Math.min(number, Math.max(0, found.size() - 1)), typical);
        }

        Optional<Whereabouts> chosen() {
            return found.isEmpty() ? Optional.empty() : Optional.of(found.get(choice));
        }
    }

    /** Without an answer: with what a text that is still typed can mean. */
    static FirstPage asking(Typed t, Subject subject) {
        return new FirstPage(
                t.where(),
                t.choice(),
                found(t),
                rigs(t),
                t.rig().name(),
                subject.name(),
                List.of(),
                "",
                "",
                "",
                "",
                Optional.empty(),
                Optional.empty());
    }

    /** @param planned with the chosen rig */
    static FirstPage of(
            Typed t,
            Place place,
            Subject subject,
            Subjects subjects,
            NightsPage nights,
            SubjectNight tonight,
            Theme theme,
            Function<LocalDate, Plan> planned) {
        Subjects.Bound<?, ?> evening = subjects.of(subject, tonight);
        NightWords words = evening.words();
        Optional<NightsPage.Answer> best = nights.best().stream().findFirst();
        boolean wait =
                best.filter(b -> !b.iso().equals(tonight.date().toString())).isPresent();
        Optional<Setting> setting =
                best.map(b -> planned.apply(LocalDate.parse(b.iso())).setting());
        return new FirstPage(
                t.where(),
                t.choice(),
                found(t),
                rigs(t),
                t.rig().name(),
                subject.name(),
                subjects.choices(subject),
                "Tonight: " + words.heading() + ".",
                wait
                        ? best.map(b -> "Wait for " + b.date() + ": " + b.window() + ".")
                                .orElse("")
                        : "",
                words.sentence()
                        + setting.map(s -> " Your rig then wants " + s.shutter().label() + " "
                                        + s.fNumber().label() + " ISO " + s.iso() + ".")
                                .orElse(""),
                "Nothing is saved yet. Its darkest sky, "
                        + Words.tenths(place.skyBrightness().magnitude())
                        + " mag/arcsec², is estimated from the towns around; one frame of yours corrects it.",
                Optional.of(NightStrip.labelled(tonight, theme, evening.stripMarks(), words.heading())),
                Optional.of(nights));
    }

    private static List<Found> found(Typed t) {
        return IntStream.range(0, t.found().size())
                .mapToObj(i -> {
                    Whereabouts w = t.found().get(i);
                    String what = w.people() == 0
                            ? "position"
                            : (w.people() < Whereabouts.VILLAGE_PEOPLE ? "village, " : "town, ") + w.country();
                    return new Found(
                            i,
                            w.name(),
                            what,
                            Words.position(Observer.of(w.latitudeDegrees(), w.longitudeDegrees(), w.elevationMetres())),
                            i == t.choice());
                })
                .toList();
    }

    private static List<Choice> rigs(Typed t) {
        return Arrays.stream(Typical.values())
                .map(r -> new Choice(r.name(), r.words, r.about, r == t.rig()))
                .toList();
    }
}
