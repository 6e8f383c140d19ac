package org.halfdusk.web.lunareclipse;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.EclipsedMoon;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.lunareclipse.LunarEclipseNight;
import org.halfdusk.shoot.lunareclipse.LunarEclipsePlan;
import org.halfdusk.shoot.lunareclipse.LunarExposure;
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

/** A lunar eclipse on the pages. */
@Component
class LunarEclipseView implements SubjectView<LunarEclipseNight, LunarEclipsePlan> {
    @Override
    public Subject subject() {
        return Subject.LUNAR_ECLIPSE;
    }

    @Override
    public Class<LunarEclipseNight> nightType() {
        return LunarEclipseNight.class;
    }

    @Override
    public Class<LunarEclipsePlan> planType() {
        return LunarEclipsePlan.class;
    }

    @Override
    public String focus(LunarEclipsePlan plan) {
        return "on the moon's magnified edge before the shadow, then hands off";
    }

    @Override
    public String shown(LunarEclipsePlan plan) {
        return "the moon";
    }

    @Override
    public String name() {
        return "Lunar eclipse";
    }

    @Override
    public String about() {
        return "a full moon that loses nine to seventeen stops";
    }

    @Override
    public ListHeads heads() {
        return new ListHeads(
                "Which lunar eclipses are seen",
                "Copper is the moon in the shadow while it is up.",
                "shadow, moon up",
                "at greatest");
    }

    @Override
    public NightWords words(LunarEclipseNight n) {
        ZoneId zone = n.zone();
        String altitude = n.eclipse()
                .map(e -> Words.degrees(
                        n.sky().at(Body.MOON, e.greatest()).altitude().degrees()))
                .orElse("");
        return new NightWords(
                n.eclipse()
                        .map(e -> Words.capital(type(e.type()))
                                + n.main().map(w -> ", " + Words.span(w, zone)).orElse(""))
                        .orElse("No lunar eclipse"),
                answer(n),
                sentence(n),
                whyNotMore(n),
                altitude,
                ReasonWords.parts(n.score(), "course seen", "altitude", "depth"));
    }

    private static String type(LunarEclipse.Type type) {
        return switch (type) {
            case TOTAL -> "total";
            case PARTIAL -> "partial";
            case PENUMBRAL -> "penumbral";
        };
    }

    private static String answer(LunarEclipseNight n) {
        if (n.eclipse().isEmpty()) {
            return "no eclipse";
        }
        LunarEclipse e = n.eclipse().get();
        if (n.seen().isEmpty()) {
            return type(e.type()) + ", not seen here";
        }
        return e.totality().isPresent()
                ? "total, " + Words.minutes(e.totality().get().duration())
                : type(e.type()) + ", " + Words.percent(Math.max(0, e.umbralMagnitude())) + " covered";
    }

    private static String sentence(LunarEclipseNight n) {
        if (n.eclipse().isEmpty()) {
            return "No eclipse of the moon falls into this night.";
        }
        LunarEclipse e = n.eclipse().get();
        String how = e.totality()
                .map(t -> "Totality lasts " + Words.minutes(t.duration()) + ", umbral magnitude "
                        + Words.plain(e.umbralMagnitude()) + ". ")
                .orElse(
                        e.type() == LunarEclipse.Type.PARTIAL
                                ? Words.percent(e.umbralMagnitude()) + " of the moon's diameter goes into the shadow. "
                                : "The moon only dims on one side: the penumbra alone, "
                                        + Words.plain(e.penumbralMagnitude()) + " of its diameter. ");
        return how + visibility(n);
    }

    private static String visibility(LunarEclipseNight n) {
        List<LunarEclipseNight.Contact> contacts = n.contacts();
        if (n.seen().isEmpty()) {
            return "The moon is under the horizon throughout.";
        }
        if (n.seenWhole()) {
            return "It is up from first to last contact.";
        }
        Interval up = n.seen().get(0);
        boolean rises = !contacts.get(0).visible();
        boolean sets = !contacts.get(contacts.size() - 1).visible();
        ZoneId zone = n.zone();
        String rise = "It rises already eclipsed at " + Words.clock(up.start(), zone);
        String set = "sets still eclipsed at " + Words.clock(up.end(), zone);
        if (rises && sets) {
            return rise + " and " + set + ".";
        }
        return rises ? rise + "." : "It " + set + ".";
    }

    private static String whyNotMore(LunarEclipseNight n) {
        if (n.eclipse().isEmpty()) {
            return "no eclipse";
        }
        LunarEclipse e = n.eclipse().get();
        if (e.type() == LunarEclipse.Type.PENUMBRAL) {
            return "penumbra only: hardly seen";
        }
        if (!n.seenWhole()) {
            return visibility(n);
        }
        return e.type() == LunarEclipse.Type.PARTIAL
                ? Words.percent(e.umbralMagnitude()) + " covered"
                : "all of it is seen";
    }

    @Override
    public List<NightStrip.Mark> marks(LunarEclipseNight n) {
        return n.eclipse()
                .map(e -> List.of(
                        new NightStrip.Mark(e.umbra().orElse(e.penumbra()).start(), "shadow"),
                        new NightStrip.Mark(e.umbra().orElse(e.penumbra()).end(), "out")))
                .orElseGet(() -> NightStrip.marks(n.night()));
    }

    @Override
    public List<Contact> contacts(LunarEclipseNight n) {
        return n.contacts().stream()
                .map(c -> new Contact(
                        name(c.name()),
                        Words.clockSeconds(c.at(), n.zone()),
                        c.visible()
                                ? "moon "
                                        + Words.wholeDegrees(c.moon().altitude().degrees()) + " up, "
                                        + Words.azimuth(c.moon().azimuth().degrees())
                                : "moon under the horizon",
                        c.visible()))
                .toList();
    }

    private static String name(LunarEclipseNight.Name name) {
        return switch (name) {
            case P1 -> "P1, penumbra";
            case U1 -> "U1, shadow";
            case U2 -> "U2, total";
            case GREATEST -> "Greatest";
            case U3 -> "U3, light";
            case U4 -> "U4, out";
            case P4 -> "P4, over";
        };
    }

    @Override
    public Optional<Banner> banner(LunarEclipsePlan plan) {
        if (plan.night().eclipse().isEmpty()) {
            return Optional.empty();
        }
        if (plan.night().seen().isEmpty()) {
            return Optional.of(
                    new Banner("caution", "Not seen from here.", "The moon is under the horizon during this eclipse."));
        }
        return plan.visibleFrom().isPresent()
                ? Optional.empty()
                : Optional.of(new Banner(
                        "caution",
                        "Lost in a bright sky.",
                        "While the moon is up in this eclipse the sky is brighter than its surface."));
    }

    @Override
    public NightStep night(LunarEclipsePlan plan, Instant at, Theme theme, String address) {
        LunarEclipseNight n = plan.night();
        List<Line> times = new ArrayList<>();
        n.eclipse().ifPresent(e -> {
            times.add(new Line("Type", Words.capital(type(e.type()))));
            times.add(new Line("Umbral magnitude", Words.thousandths(e.umbralMagnitude())));
            times.add(new Line("Penumbral magnitude", Words.thousandths(e.penumbralMagnitude())));
            e.totality().ifPresent(t -> times.add(new Line("Totality", Words.minutesSeconds(t.duration()))));
            e.umbra().ifPresent(t -> times.add(new Line("In the shadow", Words.duration(t.duration()))));
        });
        times.addAll(ReasonWords.moon(n.night()));
        times.addAll(ReasonWords.sunAndDark(n.night()));
        times.addAll(ReasonWords.settingUp(n, plan));
        return new NightStep(
                words(n).heading(),
                List.of(sentence(n)),
                "lunareclipse/pictures",
                MoonsPicture.of(plan, at, false),
                times,
                Table.of(
                        "Course",
                        "",
                        courseRows(plan, at, address, false),
                        "time",
                        "covered#",
                        "altitude#",
                        "azimuth#"),
                at(plan, at),
                List.of(ReasonWords.NIGHT_PLACE));
    }

    private static NightStep.At at(LunarEclipsePlan plan, Instant at) {
        LunarEclipsePlan.Step s = plan.step(at);
        String heading = switch (s.phase()) {
            case FULL -> "Full moon, no shadow";
            case PENUMBRA -> "In the penumbra";
            case LIT_PART -> Words.percent(s.umbralMagnitude()) + " covered";
            case SHADOW -> s.umbralMagnitude() >= 1 ? "Totality" : Words.percent(s.umbralMagnitude()) + " covered";
        };
        boolean up = s.moon().altitude().degrees() > -0.5;
        String setting = ReasonWords.line(s.exposure().setting());
        return new NightStep.At(
                heading,
                !up
                        ? "The moon is under the horizon now."
                        : s.visible()
                                ? "Expose " + setting + "."
                                : "The sky is brighter than the moon: it cannot be seen, and no frame is laid.",
                List.of(
                        new Line("Moon", ReasonWords.place(s.moon())),
                        ReasonWords.body("Sun", plan.night().sky(), Body.SUN, at)));
    }

    private static List<Table.Row> courseRows(LunarEclipsePlan plan, Instant at, String address, boolean settings) {
        List<LunarEclipsePlan.Step> course = plan.course();
        Instant nearest = course.stream()
                .map(LunarEclipsePlan.Step::at)
                .min((a, b) -> Duration.between(a, at)
                        .abs()
                        .compareTo(Duration.between(b, at).abs()))
                .orElse(at);
        ZoneId zone = plan.night().zone();
        return course.stream()
                .map(s -> settings ? settingRow(s, zone) : courseRow(s, zone, s.at().equals(nearest), address))
                .toList();
    }

    private static Table.Row courseRow(LunarEclipsePlan.Step s, ZoneId zone, boolean chosen, String address) {
        return Table.Row.of(
                        chosen,
                        Words.clock(s.at(), zone),
                        covered(s),
                        Words.degrees(s.moon().altitude().degrees()),
                        Words.azimuth(s.moon().azimuth().degrees()))
                .to(address + "?at=" + s.at());
    }

    private static String covered(LunarEclipsePlan.Step s) {
        return switch (s.phase()) {
            case FULL -> "full";
            case PENUMBRA -> "penumbra";
            default -> s.umbralMagnitude() >= 1 ? "total" : Words.percent(s.umbralMagnitude());
        };
    }

    private static Table.Row settingRow(LunarEclipsePlan.Step s, ZoneId zone) {
        LunarExposure e = s.exposure();
        boolean under = s.moon().altitude().degrees() < -0.5;
        String instead = under ? "under horizon" : "lost in the sky";
        return Table.Row.of(
                false,
                Words.clock(s.at(), zone),
                covered(s),
                s.visible() ? e.setting().shutter().label() : instead,
                s.visible() ? e.setting().fNumber().label() : "",
                s.visible() ? e.setting().iso().toString() : "");
    }

    @Override
    public ExposeStep expose(LunarEclipsePlan plan, Theme theme) {
        LunarEclipsePlan.Step best = plan.step(plan.moment());
        return new ExposeStep(
                "lunareclipse/pictures",
                MoonsPicture.of(plan, best.at(), true),
                answer(plan, best),
                Table.of(
                        "Along the course",
                        "Guide values are working figures, two stops either way in totality: bracket.",
                        courseRows(plan, best.at(), "", true),
                        "time",
                        "covered",
                        "time#",
                        "aperture#",
                        "ISO#"),
                List.of(switchReason(plan), limit(plan), danjon(plan), kelvin(plan)),
                new ExposeStep.Asked(true, false),
                "sharpest first");
    }

    /** What the light is taken from, and why. */
    private static String spent(LunarExposure e, LunarEclipsePlan plan, LunarEclipsePlan.Step s) {
        boolean ownIso = plan.wishes().pinnedIso().isPresent() && s.phase() == plan.own();
        return switch (e.spent()) {
            case TIME ->
                "The motion limit of " + Words.fraction(e.limitSeconds())
                        + " is not reached: "
                        + (ownIso ? "the ISO you fixed" : "lowest ISO")
                        + ", sharpest aperture.";
            case APERTURE ->
                "The motion limit of " + Words.fraction(e.limitSeconds())
                        + " is spent, so the aperture opens; ISO "
                        + (ownIso ? "is the one you fixed." : "stays lowest.");
            case ISO ->
                "Time (" + Words.fraction(e.limitSeconds()) + ") and aperture are spent, so ISO makes up the rest.";
            case ALL ->
                "Time, aperture and ISO are all spent: it still comes out " + Words.stops(e.stopsShort())
                        + " darker. A lunar-rate mount would help most.";
            case PINNED ->
                "You fixed this time"
                        + (!Stops.met(e.stopsShort())
                                ? "; it comes out " + Words.stops(e.stopsShort()) + " darker."
                                : ".");
        };
    }

    private static Because answer(LunarEclipsePlan plan, LunarEclipsePlan.Step s) {
        LunarExposure e = s.exposure();
        String label = ReasonWords.line(e.setting());
        String guide = "Guide value " + Words.plain(e.q()) + " for " + phase(s.phase(), plan)
                + (Words.told(e.airStops())
                        ? ", " + Words.stops(e.airStops()) + " for the air at "
                                + Words.wholeDegrees(s.moon().altitude().degrees())
                        : "")
                + ". ";
        String spent = spent(e, plan, s);
        String sky = !Words.told(e.skyStops())
                ? ""
                : " The sky behind it is " + Words.tenths(s.sky().magnitude()) + " mag/arcsec² bright and holds this "
                        + Words.stops(e.skyStops()) + " under what the moon would want.";
        String seen = s.visible()
                ? ""
                : " It is not seen then: the sky is brighter than its surface of "
                        + Words.tenths(s.surface().magnitude()) + " mag/arcsec².";
        boolean fixed = plan.wishes().pinnedSeconds().isPresent()
                || plan.wishes().pinnedIso().isPresent();
        String other = fixed && s.phase() != plan.own()
                ? " What you fixed holds for " + phase(plan.own(), plan) + " alone."
                : "";
        return new Because("At " + Words.clock(s.at(), plan.night().zone()), label, guide + spent + sky + seen + other);
    }

    private static String phase(EclipsedMoon.Phase phase, LunarEclipsePlan plan) {
        return switch (phase) {
            case FULL -> "the full moon";
            case PENUMBRA -> "the penumbra";
            case LIT_PART -> "the lit part";
            case SHADOW -> "the shadow at Danjon " + plan.danjon();
        };
    }

    private static Because switchReason(LunarEclipsePlan plan) {
        return new Because(
                "When to switch",
                "switch",
                "Stay exposed for the lit part until three quarters to four fifths are covered, here "
                        + Words.percent(plan.changeOver())
                        + ", then expose for the shadow; the sliver that is still lit will clip.");
    }

    private static Because limit(LunarEclipsePlan plan) {
        Instant best = plan.moment();
        double limit = plan.limitSeconds(best);
        String speed = Words.plain(Math.rint(100 * plan.speedArcsec(best)) / 100) + "″ a second";
        String pixel = "a pixel here is " + Words.tenths(plan.rig().pixelScaleArcsec()) + "″: your "
                + Words.plain(plan.wishes().budgetPx()) + " px are used up after "
                + Words.fraction(plan.wishes().budgetPx() * plan.rig().pixelScaleArcsec() / plan.speedArcsec(best))
                + ".";
        String reason = plan.wishes().limits().mount().turns()
                ? "No mount's rate is quite the moon's own motion: this one leaves " + speed + " then, and " + pixel
                        + " Longer than 30 s nobody risks."
                : "The moon moves " + speed + " then, " + pixel;
        return new Because("Longest time " + Words.fraction(limit), Words.fraction(limit), reason);
    }

    private static Because danjon(LunarEclipsePlan plan) {
        return new Because(
                "How dark totality is",
                "Danjon " + plan.danjon(),
                "Nobody knows before: from Danjon 4 to 0 lie eight stops. Bracket a stop and a half each way and look at the "
                        + "first frames.");
    }

    private static Because kelvin(LunarEclipsePlan plan) {
        return ReasonWords.kelvin(
                plan.setting().kelvin(), "Daylight: the shadow's copper then comes out as the eye sees it.");
    }

    /** From when the moon stands out, where it first hangs unseen in a bright sky. */
    private static String comesOut(LunarEclipsePlan plan) {
        return plan.visibleFrom()
                .filter(t -> !plan.night().seen().isEmpty()
                        && t.isAfter(plan.night().seen().get(0).start()))
                .map(t -> " It comes out of the bright sky at "
                        + Words.clock(t, plan.night().zone()) + ": before that there is nothing to take.")
                .orElse("");
    }

    @Override
    public SequenceStep sequence(LunarEclipsePlan plan) {
        int frames = Block.frames(plan.blocks());
        return new SequenceStep(
                new Because(
                        "All of the course",
                        frames == 0 ? "Nothing to take" : Words.count(frames, "frame"),
                        frames == 0
                                ? sentence(plan.night())
                                : "One every " + Words.minutes(plan.cadence())
                                        + " while the moon is up; three in a bracket while the shadow is exposed for."
                                        + comesOut(plan)),
                Table.of(
                        "Checks", "", List.of(ReasonWords.recentring(plan.recentring())), "check", "value#", "verdict"),
                List.of(
                        new Line("Self-timer", "10 s, or a remote"),
                        ReasonWords.noiseReduction(plan.rig(), "off while brackets run")));
    }

    @Override
    public String sequenceAnswer(LunarEclipsePlan plan) {
        int frames = Block.frames(plan.blocks());
        return frames == 0 ? "nothing to take" : Words.count(frames, "frame");
    }

    @Override
    public String frames(LunarEclipsePlan plan) {
        int frames = Block.frames(plan.blocks());
        return frames == 0 ? "" : "×" + frames + " every " + Words.minutes(plan.cadence());
    }

    @Override
    public String moment(LunarEclipsePlan programme, LunarEclipsePlan now) {
        LunarEclipsePlan.Step s = now.step(now.moment());
        if (!s.moon().seen().up()) {
            return "the moon is below the horizon";
        }
        return switch (s.phase()) {
            case FULL -> "the moon is outside the shadow";
            case PENUMBRA -> "the moon is in the penumbra";
            case LIT_PART -> "what is lit of the moon is exposed for";
            case SHADOW -> "the shadow is exposed for";
        };
    }

    @Override
    public String exposeAnswer(LunarEclipsePlan plan) {
        List<LunarEclipsePlan.Step> seen = plan.course().stream()
                .filter(s -> s.moon().altitude().degrees() > -0.5)
                .toList();
        if (seen.isEmpty()) {
            return ReasonWords.line(plan.setting());
        }
        return ReasonWords.span(
                seen.stream().map(s -> s.exposure().setting().shutter()).toList());
    }

    @Override
    public String verdict(LunarEclipsePlan plan) {
        if (plan.night().eclipse().isEmpty()) {
            return "No eclipse this night: move the shoot to one";
        }
        LunarExposure e = plan.step(plan.moment()).exposure();
        return !Stops.met(e.stopsShort())
                ? "Comes out " + Words.stops(e.stopsShort()) + " dark: time, aperture and ISO are spent"
                : (plan.night().eclipse().get().greatest().equals(plan.moment())
                                ? "At greatest eclipse"
                                : "At "
                                        + Words.clock(
                                                plan.moment(), plan.night().zone()))
                        + "; every phase has its own setting";
    }
}
