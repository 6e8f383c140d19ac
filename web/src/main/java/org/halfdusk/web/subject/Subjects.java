package org.halfdusk.web.subject;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.search.EclipseInSight;
import org.halfdusk.time.CivilTime;
import org.halfdusk.weather.Spell;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.subject.page.Banner;
import org.halfdusk.web.subject.page.Contact;
import org.halfdusk.web.subject.words.EclipseWords;
import org.halfdusk.web.subject.words.WeatherWords;
import org.springframework.stereotype.Component;

/** The subjects' views, each asked through the types that are its own. */
@Component
public class Subjects {
    private final Map<Subject, SubjectView<?, ?>> views = new EnumMap<>(Subject.class);

    Subjects(List<SubjectView<?, ?>> found) {
        found.forEach(v -> views.put(v.subject(), v));
    }

    private SubjectView<?, ?> of(Subject subject) {
        return Optional.<SubjectView<?, ?>>ofNullable(views.get(subject)).orElseThrow();
    }

    /** A subject with what the pages say of a night. */
    public Bound<?, ?> of(Subject subject, SubjectNight night) {
        return bind(of(subject), night);
    }

    private static <N extends SubjectNight, P extends Plan> Bound<N, P> bind(
            SubjectView<N, P> view, SubjectNight night) {
        List<EclipseInSight> others = EclipseInSight.of(night).stream()
                .filter(e -> e.subject() != view.subject())
                .toList();
        return new Bound<>(view, view.nightType().cast(night), others);
    }

    public String name(Subject subject) {
        return of(subject).name();
    }

    public String about(Subject subject) {
        return of(subject).about();
    }

    public SubjectView.ListHeads heads(Subject subject) {
        return of(subject).heads();
    }

    public String dayName(Subject subject) {
        return of(subject).dayName();
    }

    /** One of a list of subjects to choose from. */
    public record Choice(String value, String name, String about, boolean selected) {}

    public List<Choice> choices(Subject selected) {
        return Arrays.stream(Subject.values())
                .map(s -> new Choice(s.name(), name(s), about(s), s == selected))
                .toList();
    }

    /**
     * A view and a night of its subject.
     *
     * @param others eclipses that the night sees and this subject does not plan itself
     */
    public record Bound<N extends SubjectNight, P extends Plan>(
            SubjectView<N, P> view, N night, List<EclipseInSight> others) {
        /** With the weather in the reason where it is forecast, and with eclipses that others plan. */
        public NightWords words() {
            NightWords words = view.words(night);
            OptionalDouble weather = night.score().weather();
            if (weather.isPresent()) {
                words = words.because(WeatherWords.sky(weather.getAsDouble() / NightScore.MOST_WEATHER));
            }
            for (EclipseInSight e : others()) {
                words = words.because(EclipseWords.line(e, night.zone()));
            }
            return words;
        }

        public List<String> weather(Plan plan, Spell spell) {
            return view.weather(plan(plan), spell);
        }

        public Optional<Recorded> recorded(Plan plan) {
            return view.recorded(plan(plan));
        }

        public String date() {
            return view.dateWords(night);
        }

        public List<Contact> contacts() {
            return view.contacts(night);
        }

        public List<NightStrip.Mark> marks() {
            return view.marks(night);
        }

        /** What is written over the strip: a change of the clocks, and an eclipse that another subject plans, stand there too. */
        public List<NightStrip.Mark> stripMarks() {
            List<NightStrip.Mark> marks = new ArrayList<>(marks());
            CivilTime.change(night.axis(), night.zone())
                    .ifPresent(c -> marks.add(
                            new NightStrip.Mark(c.at(), c.by().isNegative() ? "clocks back" : "clocks forward")));
            others.forEach(e -> marks.add(new NightStrip.Mark(e.greatest(), "eclipse")));
            return marks;
        }

        private P plan(Plan plan) {
            return view.planType().cast(plan);
        }

        public NightStep night(Plan plan, Instant at, Theme theme, String address) {
            return view.night(plan(plan), at, theme, address);
        }

        public ExposeStep expose(Plan plan, Theme theme) {
            return view.expose(plan(plan), theme);
        }

        public SequenceStep sequence(Plan plan) {
            return view.sequence(plan(plan));
        }

        public String focus(Plan plan) {
            return view.focus(plan(plan));
        }

        public Framed framed(Plan plan) {
            return view.framed(plan(plan));
        }

        public boolean drawnAsTrails() {
            return view.drawnAsTrails();
        }

        public String shown(Plan plan) {
            return view.shown(plan(plan));
        }

        public String moment(Plan programme, Plan now) {
            return view.moment(plan(programme), plan(now));
        }

        public String exposeAnswer(Plan plan) {
            return view.exposeAnswer(plan(plan));
        }

        public String sequenceAnswer(Plan plan) {
            return view.sequenceAnswer(plan(plan));
        }

        public String frames(Plan plan) {
            return view.frames(plan(plan));
        }

        public String verdict(Plan plan) {
            return view.verdict(plan(plan));
        }

        public Optional<Banner> banner(Plan plan) {
            return view.banner(plan(plan));
        }
    }
}
