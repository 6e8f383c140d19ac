package org.halfdusk.web.solareclipse;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.eclipse.FilterGuard;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.EclipseGuide;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.CameraBuffer;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.solareclipse.SolarEclipseDay;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlan;
import org.halfdusk.shoot.solareclipse.SolarExposure;
import org.halfdusk.sky.DayPart;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.NightStrip;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.subject.Banner;
import org.halfdusk.web.subject.Because;
import org.halfdusk.web.subject.Contact;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.Line;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.ReasonWords;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.Table;
import org.springframework.stereotype.Component;

/** A solar eclipse on the pages. */
@Component
class SolarEclipseView implements SubjectView<SolarEclipseDay, SolarEclipsePlan> {
    private static final String NEVER_LOOK =
            "Never look at the sun through a lens or finder without an approved filter: ISO 12312-2 for eyes, a full-aperture "
                    + "lens filter for optics.";

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
        return Words.longDate(day.date());
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
        return new NightWords(
                d.eclipse().map(e -> heading(e, d)).orElse("No solar eclipse here"),
                answer(d),
                sentence(d),
                whyNotMore(d),
                d.eclipse().map(e -> Words.percentFloor(e.obscuration())).orElse(""),
                ReasonWords.parts(d.score(), "disc covered and seen", "sun's altitude", "totality or ring"));
    }

    private static String heading(SolarEclipse e, SolarEclipseDay d) {
        return Words.capital(type(e))
                + e.central()
                        .map(c -> ", " + Words.minutesSeconds(c.duration()))
                        .orElse("")
                + (e.visible() ? ", maximum " + Words.clock(e.maximum(), d.zone()) : ", under the horizon");
    }

    private static String type(SolarEclipse e) {
        return switch (e.type()) {
            case TOTAL -> "total";
            case ANNULAR -> "annular";
            case PARTIAL -> "partial";
        };
    }

    private static String answer(SolarEclipseDay d) {
        if (d.eclipse().isEmpty()) {
            return "no eclipse";
        }
        SolarEclipse e = d.eclipse().get();
        if (!e.visible()) {
            return type(e) + ", not seen here";
        }
        return e.central()
                .map(c -> type(e) + ", " + Words.minutesSeconds(c.duration()))
                .orElse("partial, " + Words.percentFloor(e.obscuration()));
    }

    private static String sentence(SolarEclipseDay d) {
        if (d.eclipse().isEmpty()) {
            return "No eclipse of the sun reaches this place on this day.";
        }
        SolarEclipse e = d.eclipse().get();
        HorizontalPosition sun = d.sky().at(Body.SUN, e.maximum());
        String how = switch (e.type()) {
            case TOTAL ->
                "Total here: the moon covers the sun for "
                        + Words.minutesSeconds(
                                e.central().map(Interval::duration).orElseThrow()) + ". ";
            case ANNULAR ->
                "Annular here: a ring for "
                        + Words.minutesSeconds(
                                e.central().map(Interval::duration).orElseThrow())
                        + ", never without filter. ";
            case PARTIAL ->
                "Partial here: " + Words.percentFloor(e.obscuration())
                        + " of the disc at the most, never without filter. ";
        };
        if (!e.visible()) {
            return how + "The sun is under the horizon throughout.";
        }
        String where = DayPart.of(sun.altitude().degrees()) == DayPart.DAY
                ? "At maximum the sun stands " + ReasonWords.place(sun) + "."
                : "At maximum the sun is under the horizon.";
        return how + where + cut(d);
    }

    private static String cut(SolarEclipseDay d) {
        List<SolarEclipseDay.Contact> contacts = d.contacts();
        if (!contacts.get(0).visible()) {
            return " The sun rises already eclipsed.";
        }
        return contacts.get(contacts.size() - 1).visible() ? "" : " The sun sets still eclipsed.";
    }

    private static String whyNotMore(SolarEclipseDay d) {
        if (d.eclipse().isEmpty()) {
            return "no eclipse";
        }
        SolarEclipse e = d.eclipse().get();
        String cut = e.visible() ? cut(d).trim() : "under the horizon";
        if (!cut.isEmpty()) {
            return cut;
        }
        return switch (e.type()) {
            case TOTAL -> "all of it is seen";
            case ANNULAR -> "a ring, never without filter";
            case PARTIAL -> "partial only";
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

    private static Contact contact(SolarEclipseDay.Contact c, SolarEclipseDay d) {
        Optional<Interval> off = d.filter().off();
        boolean total =
                d.eclipse().map(e -> e.type() == SolarEclipse.Type.TOTAL).orElse(false);
        String sun = c.visible()
                ? "sun " + Words.wholeDegrees(c.sun().altitude().degrees()) + " up, "
                        + Words.azimuth(c.sun().azimuth().degrees())
                : "sun under the horizon";
        String note = switch (c.name()) {
            case C2 ->
                off.map(o -> "filter off from " + Words.clockSeconds(o.start(), d.zone()))
                        .orElse(total ? "totality, filter on" : "ring begins, filter on");
            case C3 ->
                off.map(o -> "filter on by " + Words.clockSeconds(o.end(), d.zone()))
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
        return new Contact(name, Words.clockSeconds(c.at(), d.zone()), note, c.visible());
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
                        "Filter on every lens, finder and eye, except " + Words.clockSeconds(off.start(), zone) + " to "
                                + Words.clockSeconds(off.end(), zone) + ".",
                        "Outside those " + Words.minutesSeconds(off.duration())
                                + " one look through a bare lens blinds. Watch the sky, not this screen."))
                .orElseGet(
                        () -> new Banner("stop", "Filter on every lens, finder and eye, all the time.", neverBare(d))));
    }

    private static String neverBare(SolarEclipseDay d) {
        return d.filter().verdict() == FilterGuard.Verdict.AT_THE_EDGE
                ? "At the edge: the filter stays on. " + Words.capital(limit(d))
                        + ", so the moon's valleys may let the sun " + "through all of the short totality."
                : "This eclipse is " + type(d.eclipse().get())
                        + " here: there is no moment at which a bare lens or eye is safe.";
    }

    /** How far inside the path the place stands, as the smaller moon draws it. */
    private static String limit(SolarEclipseDay d) {
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
        SolarEclipseDay d = plan.night();
        List<Line> times = new ArrayList<>();
        d.eclipse().ifPresent(e -> {
            times.add(new Line("Type here", Words.capital(type(e))));
            times.add(new Line("Magnitude", Words.thousandthsFloor(e.magnitude())));
            times.add(new Line("Obscuration", Words.percentTenthsFloor(e.obscuration())));
            e.central()
                    .ifPresent(c -> times.add(new Line(
                            e.type() == SolarEclipse.Type.TOTAL ? "Totality" : "Ring",
                            Words.minutesSeconds(c.duration()))));
            times.add(new Line("This place", limit(d)));
            d.filter()
                    .off()
                    .ifPresent(o -> times.add(new Line(
                            "Lens bare at most",
                            Words.minutesSeconds(o.duration()) + ", from " + Words.clockSeconds(o.start(), d.zone())
                                    + " to " + Words.clockSeconds(o.end(), d.zone()))));
            times.add(
                    new Line("First to last contact", Words.duration(e.partial().duration())));
            times.add(new Line("Sun on the sensor", Words.tenths(plan.discMillimetres()) + " mm across"));
        });
        return new NightStep(
                words(d).heading(),
                List.of(
                        sentence(d),
                        "Contacts are for this spot and a smooth moon: its mountains move second and third contact by a second "
                                + "or two. Set every clock to the second, in UTC."),
                "solareclipse/pictures",
                SunsPicture.of(plan, false),
                times,
                Table.of("Contacts", "", contactRows(d, address), "contact", "time#", "altitude#", "azimuth#"),
                at(plan, at),
                List.of(NEVER_LOOK, "Filters come off only inside totality and are back before third contact."));
    }

    private static List<Table.Row> contactRows(SolarEclipseDay d, String address) {
        return d.contacts().stream()
                .map(c -> Table.Row.of(
                                false,
                                contact(c, d).name(),
                                Words.clockSeconds(c.at(), d.zone()),
                                Words.degrees(c.sun().altitude().degrees()),
                                Words.degrees(c.sun().azimuth().degrees()))
                        .to(address + "?at=" + c.at()))
                .toList();
    }

    private static NightStep.At at(SolarEclipsePlan plan, Instant at) {
        SolarEclipseDay d = plan.night();
        boolean on = d.filter().filtered(at);
        HorizontalPosition sun = d.sky().at(Body.SUN, at);
        return new NightStep.At(
                on ? "Filter on" : "Filter off, totality",
                DayPart.of(sun.altitude().degrees()) != DayPart.DAY
                        ? "The sun is under the horizon."
                        : on
                                ? "Through the filter: "
                                        + ReasonWords.line(
                                                plan.setting(plan.filter().partial(), at)) + "."
                                : "Run from short to long and back; filter on before third contact.",
                List.of(
                        new Line("Sun", ReasonWords.place(sun)),
                        new Line("Diameter covered", Words.percentFloor(d.covered(at)))));
    }

    @Override
    public ExposeStep expose(SolarEclipsePlan plan, Theme theme) {
        List<Table.Row> rows = plan.exposures().stream().map(e -> row(e, plan)).toList();
        return new ExposeStep(
                "solareclipse/pictures",
                SunsPicture.of(plan, true),
                answer(plan),
                Table.of(
                        "Exposures at " + plan.aperture().fNumber().label() + ", ISO " + plan.iso(),
                        "Published guide values of the field; t = N² ÷ (ISO · 2^Q).",
                        rows,
                        "phase",
                        "time#",
                        "because"),
                List.of(
                        ReasonWords.aperture(
                                plan.aperture(),
                                "Sharp on most long lenses, and the times stay in the camera's range."),
                        new Because(
                                "Why ISO " + plan.iso(),
                                "ISO " + plan.iso(),
                                plan.wishes().pinnedIso().isPresent()
                                        ? "You fixed it."
                                        : "Low: the sun has light enough, and the corona's faint parts want clean shadows."),
                        filter(plan),
                        ReasonWords.kelvin(
                                plan.setting().kelvin(), "Daylight, or a custom balance without the filter.")),
                new ExposeStep.Asked(true, false),
                "f/8 or widest");
    }

    private static Because answer(SolarEclipsePlan plan) {
        boolean bare = !plan.night().filter().filtered(plan.moment());
        String label = ReasonWords.line(plan.setting());
        return bare
                ? new Because(
                        "At maximum, inner corona",
                        label,
                        "No single time holds the corona: from the prominences to two radii lie nine stops. Run short to long "
                                + "and back, as often as totality allows.")
                : new Because(
                        "Through the filter",
                        label,
                        "Guide value " + Words.plain(plan.filter().partial().q())
                                + " behind this filter; a thin crescent is the sun's darker rim, so the script adds up to a "
                                + "stop as it gets thin.");
    }

    private static Because filter(SolarEclipsePlan plan) {
        String density = plan.filter() == SolarEclipsePlan.Filter.ND5 ? "density 5.0" : "density 4.0";
        return new Because(
                "Filter " + density,
                density,
                plan.filter() == SolarEclipsePlan.Filter.ND5
                        ? "Cuts the sun to a hundred-thousandth, for the lens. A density alone does not make a filter safe for eyes: those only "
                                + "behind filters marked ISO 12312-2. " + NEVER_LOOK
                        : "For the lens only, ten times brighter than density 5.0 and never for eyes, not at the finder either. "
                                + NEVER_LOOK);
    }

    private static Table.Row row(SolarExposure e, SolarEclipsePlan plan) {
        String because = "guide " + Words.plain(e.phase().q())
                + (Words.told(e.airStops()) ? ", air " + Words.stops(e.airStops()) : "")
                + (Words.told(e.crescentStops()) ? ", thin crescent " + Words.stops(e.crescentStops()) : "")
                + (e.motionPx() >= 1 ? ", moves " + Words.tenths(e.motionPx()) + " px" : "")
                + (e.tooLong() ? ": too long untracked" : "");
        return Table.Row.of(
                        e.phase() == EclipseGuide.Solar.CORONA_0_1_R,
                        phase(e.phase()),
                        e.shutter().label().replace(" s", ""),
                        because)
                .toned(e.tooLong() ? "caution" : "");
    }

    private static String phase(EclipseGuide.Solar phase) {
        return switch (phase) {
            case PARTIAL_ND5 -> "Partial, density 5.0";
            case PARTIAL_ND4 -> "Partial, density 4.0";
            case PROMINENCES -> "Prominences";
            case CORONA_0_1_R -> "Corona 0.1 R";
            case CORONA_0_2_R -> "0.2 R";
            case CORONA_0_5_R -> "0.5 R";
            case CORONA_1_R -> "1 R";
            case CORONA_2_R -> "2 R";
            case CORONA_4_R -> "4 R";
            case CORONA_8_R -> "8 R";
        };
    }

    @Override
    public SequenceStep sequence(SolarEclipsePlan plan) {
        List<Block> blocks = plan.blocks();
        int frames = Block.frames(blocks);
        double writes = CameraBuffer.of(plan.rig(), plan.wishes().phases().jpeg(Block.Kind.TOTALITY))
                .framesPerSecond();
        int totality = blocks.stream()
                .filter(b -> b.kind() == Block.Kind.TOTALITY)
                .mapToInt(b -> b.frames().size())
                .sum();
        List<Table.Row> checks = new ArrayList<>();
        checks.add(Table.Row.of(
                false,
                "Buffer",
                plan.rig().camera().bufferFrames() + " frames",
                "then " + Words.tenths(writes) + " a second"));
        checks.add(ReasonWords.recentring(plan.recentring()));
        if (totality > 0) {
            checks.add(Table.Row.of(false, "Totality", Words.count(totality, "frame"), "short to long and back"));
        }
        return new SequenceStep(
                new Because(
                        "The script",
                        frames == 0 ? "Nothing to take" : Words.count(frames, "frame"),
                        script(plan, frames)),
                Table.of("Checks", "", checks, "check", "value#", "verdict"),
                List.of(
                        new Line("Clock", "to the second, all cameras"),
                        new Line("Rehearse", "the whole script, clock set to the day"),
                        new Line("Refocus, recentre", "between partial frames"),
                        new Line("Battery, card", "in the pause, not later")));
    }

    private static final String GUARD =
            "Contacts are those of the mean moon; the filter comes off only where a smaller moon, as "
                    + "its valleys leave it, still covers the sun, and stays on some seconds longer at each end.";

    private static String script(SolarEclipsePlan plan, int frames) {
        if (frames == 0) {
            return sentence(plan.night());
        }
        String partial = "A partial every " + Words.minutes(plan.cadence()) + " through the filter";
        return plan.night().filter().off().isPresent()
                ? partial
                        + ". " + GUARD
                        + " Beads stand outside that time: leaders differ on baring a lens for them, this "
                        + "script does not."
                : partial + ", all the time. " + neverBare(plan.night());
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
                        + Words.clock(blocks.get(0).start(), plan.night().zone());
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
}
