package org.halfdusk.web.solareclipse;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.eclipse.FilterGuard;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.solareclipse.SolarEclipseDay;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlan;
import org.halfdusk.shoot.solareclipse.SolarExposure;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.page.Banner;
import org.halfdusk.web.subject.page.Contact;
import org.halfdusk.web.subject.words.ReasonWords;
import org.springframework.stereotype.Component;

/** A solar eclipse on the pages. */
@Component
class SolarEclipseView implements SubjectView<SolarEclipseDay, SolarEclipsePlan> {
    @Override
    public Subject subject() {
        return Subject.SOLAR_ECLIPSE;
    }

    @Override
    public Class<SolarEclipseDay> nightType() {
        return SolarEclipseDay.class;
    }

    @Override
    public Class<SolarEclipsePlan> planType() {
        return SolarEclipsePlan.class;
    }

    @Override
    public String focus(SolarEclipsePlan plan) {
        return "through the filter on the sun's edge or a spot, then taped";
    }

    @Override
    public String shown(SolarEclipsePlan plan) {
        return "the sun";
    }

    @Override
    public String name() {
        return "Solar eclipse";
    }

    @Override
    public String about() {
        return "contacts to the second, the filter's one exception";
    }

    @Override
    public String dayName() {
        return "Day";
    }

    @Override
    public String dateWords(SolarEclipseDay day) {
        return Times.longDate(day.date());
    }

    @Override
    public ListHeads heads() {
        return new ListHeads(
                "Which solar eclipses are seen",
                "Copper is an eclipse while the sun is up; a column is a day.",
                "first to last contact",
                "covered");
    }

    @Override
    public NightWords words(SolarEclipseDay d) {
        return SolarEclipseNightWords.of(d);
    }

    static String type(SolarEclipse e) {
        return switch (e.type()) {
            case TOTAL -> "total";
            case ANNULAR -> "annular";
            case PARTIAL -> "partial";
        };
    }

    @Override
    public List<NightStrip.Mark> marks(SolarEclipseDay d) {
        return d.eclipse()
                .map(e -> List.of(
                        new NightStrip.Mark(e.partial().start(), "first"),
                        new NightStrip.Mark(e.maximum(), "maximum"),
                        new NightStrip.Mark(e.partial().end(), "last")))
                .orElseGet(List::of);
    }

    @Override
    public List<Contact> contacts(SolarEclipseDay d) {
        return d.contacts().stream().map(c -> contact(c, d)).toList();
    }

    static Contact contact(SolarEclipseDay.Contact c, SolarEclipseDay d) {
        Optional<Interval> off = d.filter().off();
        boolean total =
                d.eclipse().map(e -> e.type() == SolarEclipse.Type.TOTAL).orElse(false);
        String sun = c.visible()
                ? "sun " + Words.wholeDegrees(c.sun().altitude().degrees()) + " up, "
                        + Words.azimuth(c.sun().azimuth().degrees())
                : "sun under the horizon";
        String note = switch (c.name()) {
            case C2 ->
                off.map(o -> "filter off from " + Times.clockSeconds(o.start(), d.zone()))
                        .orElse(total ? "totality, filter on" : "ring begins, filter on");
            case C3 ->
                off.map(o -> "filter on by " + Times.clockSeconds(o.end(), d.zone()))
                        .orElse(total ? "totality ends, filter on" : "ring ends, filter on");
            default -> sun;
        };
        String name = switch (c.name()) {
            case C1 -> "First contact";
            case C2 -> "Second contact";
            case MAXIMUM -> "Maximum";
            case C3 -> "Third contact";
            case C4 -> "Fourth contact";
        };
        return new Contact(name, Times.clockSeconds(c.at(), d.zone()), note, c.visible());
    }

    @Override
    public Optional<Banner> banner(SolarEclipsePlan plan) {
        SolarEclipseDay d = plan.night();
        if (d.eclipse().isEmpty()) {
            return Optional.empty();
        }
        ZoneId zone = d.zone();
        return Optional.of(d.filter()
                .off()
                .map(off -> new Banner(
                        "stop",
                        "Filter on every lens, finder and eye, except " + Times.clockSeconds(off.start(), zone) + " to "
                                + Times.clockSeconds(off.end(), zone) + ".",
                        "Outside those " + Times.minutesSeconds(off.duration())
                                + " one look through a bare lens blinds. Watch the sky, not this screen."))
                .orElseGet(
                        () -> new Banner("stop", "Filter on every lens, finder and eye, all the time.", neverBare(d))));
    }

    static String neverBare(SolarEclipseDay d) {
        return d.filter().verdict() == FilterGuard.Verdict.AT_THE_EDGE
                ? "At the edge: the filter stays on. " + Words.capital(limit(d))
                        + ", so the moon's valleys may let the sun " + "through all of the short totality."
                : "This eclipse is " + type(d.eclipse().get())
                        + " here: there is no moment at which a bare lens or eye is safe.";
    }

    /** How far inside the path the place stands, as the smaller moon draws it. */
    static String limit(SolarEclipseDay d) {
        OptionalDouble km = d.filter().insideLimitKm();
        if (km.isEmpty()) {
            return "no limit of totality within 1,000 km";
        }
        double far = Math.abs(km.getAsDouble());
        return (far < 10 ? Words.tenths(far) : Words.thousands(Math.round(far))) + " km "
                + (km.getAsDouble() >= 0 ? "inside" : "outside") + " the guard's limit of totality";
    }

    @Override
    public NightStep night(SolarEclipsePlan plan, Instant at, Theme theme, String address) {
        return SolarEclipseNightStep.of(plan, at, theme, address);
    }

    @Override
    public ExposeStep expose(SolarEclipsePlan plan, Theme theme) {
        return SolarEclipseExpose.step(plan, theme);
    }

    @Override
    public SequenceStep sequence(SolarEclipsePlan plan) {
        return SolarEclipseSequence.step(plan);
    }

    @Override
    public String sequenceAnswer(SolarEclipsePlan plan) {
        int frames = Block.frames(plan.blocks());
        return frames == 0 ? "nothing to take" : Words.count(frames, "frame");
    }

    @Override
    public String frames(SolarEclipsePlan plan) {
        List<Block> blocks = plan.blocks();
        return blocks.isEmpty()
                ? ""
                : "×" + Block.frames(blocks) + " from "
                        + Times.clock(blocks.get(0).start(), plan.night().zone());
    }

    @Override
    public String moment(SolarEclipsePlan programme, SolarEclipsePlan now) {
        if (!now.exposed().visible()) {
            return "the sun is not in sight";
        }
        return now.night().filter().filtered(now.moment()) ? "the filter is on" : "the filter is off";
    }

    @Override
    public String exposeAnswer(SolarEclipsePlan plan) {
        List<SolarExposure> all =
                plan.exposures().stream().filter(e -> !e.tooLong()).toList();
        if (all.size() < 2) {
            return ReasonWords.line(plan.setting());
        }
        return ReasonWords.span(all.stream().map(SolarExposure::shutter).toList());
    }

    @Override
    public String verdict(SolarEclipsePlan plan) {
        return plan.night().eclipse().isEmpty()
                ? "No eclipse this day: move the shoot to one"
                : "Clocks of all cameras to the second before first contact";
    }

    static final String NEVER_LOOK =
            "Never look at the sun through a lens or finder without an approved filter: ISO 12312-2 for eyes, a full-aperture "
                    + "lens filter for optics.";
}
