package org.halfdusk.web.moon;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.EclipsedMoon;
import org.halfdusk.optics.Converter;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.moon.FullMoons;
import org.halfdusk.shoot.moon.LandAndMoon;
import org.halfdusk.shoot.moon.MoonNight;
import org.halfdusk.shoot.moon.MoonPicture;
import org.halfdusk.shoot.moon.MoonPlan;
import org.halfdusk.shoot.moon.MoonShot;
import org.halfdusk.sky.EventType;
import org.halfdusk.sky.MoonPhase;
import org.halfdusk.sky.SkyEvent;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.NightStrip;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.subject.Because;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.Line;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.ReasonWords;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.Table;
import org.springframework.stereotype.Component;

/** The Moon on the pages. */
@Component
class MoonView implements SubjectView<MoonNight, MoonPlan> {
    @Override
    public Subject subject() {
        return Subject.MOON;
    }

    @Override
    public Class<MoonNight> nightType() {
        return MoonNight.class;
    }

    @Override
    public Class<MoonPlan> planType() {
        return MoonPlan.class;
    }

    @Override
    public String focus(MoonPlan plan) {
        return "on the moon's magnified edge, then hands off";
    }

    @Override
    public String shown(MoonPlan plan) {
        return "the moon";
    }

    @Override
    public String name() {
        return "Moon";
    }

    @Override
    public String about() {
        return "low behind a foreground while the land is lit, or high by itself";
    }

    @Override
    public ListHeads heads() {
        return new ListHeads(
                "When do land and moon ask for one exposure",
                "Copper is a low moon that one exposure holds together with the land.",
                "land and moon alike",
                "rise or set");
    }

    @Override
    public NightWords words(MoonNight n) {
        return MoonWords.of(n);
    }

    @Override
    public List<NightStrip.Mark> marks(MoonNight n) {
        List<NightStrip.Mark> marks = new ArrayList<>();
        n.events()
                .forEach(e -> marks.add(new NightStrip.Mark(
                        e.at(),
                        switch (e.type()) {
                            case MOONRISE -> "moonrise";
                            case MOONSET -> "moonset";
                            default -> "highest";
                        })));
        return marks;
    }

    @Override
    public NightStep night(MoonPlan plan, Instant at, Theme theme, String address) {
        MoonNight n = plan.night();
        List<String> sentences = new ArrayList<>();
        sentences.add(MoonWords.sentence(n));
        FullMoons year = n.fullMoons();
        MoonWords.fullMoon(n, year).ifPresent(sentences::add);
        n.alignment().ifPresent(a -> sentences.add(alignment(a, n)));
        return new NightStep(
                words(n).heading(),
                sentences,
                "moon/pictures",
                MoonScene.of(plan, at, theme),
                times(plan, year),
                Table.of(
                        "The moon's way",
                        "",
                        way(plan, at, address),
                        "time",
                        "altitude#",
                        "azimuth#",
                        n.picture() == MoonPicture.WITH_LAND ? "moon brighter by#" : "air takes#",
                        "setting"),
                at(plan, at),
                List.of(ReasonWords.NIGHT_PLACE));
    }

    private static String alignment(MoonNight.Alignment a, MoonNight n) {
        double over = a.overTopDegrees();
        String where =
                over >= 0 ? Words.degrees(over) + " over its top" : Words.degrees(-over) + " under its top, behind it";
        return a.object().name() + ", " + Words.degrees(a.object().topDegrees()) + " high in "
                + Words.degrees(a.object().azimuth().degrees()) + ": the moon's middle passes it at "
                + Words.clockSeconds(a.moon().at(), n.zone()) + ", " + where + ".";
    }

    private static List<Line> times(MoonPlan plan, FullMoons year) {
        MoonNight n = plan.night();
        ZoneId zone = n.zone();
        MoonPhase phase = n.night().moonPhase();
        List<Line> lines = new ArrayList<>();
        lines.add(event("Moonrise", n.events(EventType.MOONRISE), zone));
        lines.add(event("Highest", n.events(EventType.MOON_TRANSIT), zone));
        lines.add(event("Moonset", n.events(EventType.MOONSET), zone));
        lines.add(new Line(
                "Phase",
                Words.percent(phase.illuminatedFraction()) + " lit, " + (phase.waxing() ? "waxing" : "waning")));
        lines.add(new Line("Size", Words.arcminutes(plan.diameterDegrees())));
        lines.add(new Line("Distance", Words.thousands(plan.distanceKm()) + " km"));
        lines.addAll(MoonWords.year(n, year));
        lines.addAll(ReasonWords.sunAndDark(n.night()));
        lines.addAll(ReasonWords.settingUp(n, plan));
        n.equalLight()
                .forEach(m -> lines.add(new Line(
                        m.moon().type() == EventType.MOONRISE ? "Equal light, by moonrise" : "Equal light, by moonset",
                        Words.clock(m.equalLight(), zone))));
        return lines;
    }

    /** All of a kind in the night, which may be two, or none. */
    private static Line event(String name, List<SkyEvent> events, ZoneId zone) {
        return new Line(
                name,
                events.isEmpty()
                        ? "none this night"
                        : String.join(
                                "; ", events.stream().map(e -> event(e, zone)).toList()));
    }

    private static String event(SkyEvent e, ZoneId zone) {
        return Words.clock(e.at(), zone) + ", "
                + (e.type() == EventType.MOON_TRANSIT
                        ? Words.degrees(e.position().altitude().degrees()) + " up in "
                        : "in ")
                + Words.degrees(e.position().azimuth().degrees());
    }

    private static List<Table.Row> way(MoonPlan plan, Instant at, String address) {
        MoonNight n = plan.night();
        Interval span = n.wayShown();
        long step = n.wayStep().toSeconds();
        List<Table.Row> rows = new ArrayList<>();
        Instant first = Instant.ofEpochSecond((span.start().getEpochSecond() / step + 1) * step);
        for (Instant t = first; t.isBefore(span.end()); t = t.plusSeconds(step)) {
            boolean chosen = Math.abs(Duration.between(t, at).toSeconds()) * 2 < step;
            var p = plan.moonAt(t);
            double brighter = n.landAndMoon(t).moonBrighterBy();
            rows.add(Table.Row.of(
                            chosen,
                            Words.clock(t, n.zone()),
                            Words.degrees(p.altitude().degrees()),
                            Words.degrees(p.azimuth().degrees()),
                            plan.night().down(p)
                                    ? ""
                                    : n.picture() == MoonPicture.WITH_LAND
                                            ? Words.signedStops(brighter)
                                            : Words.stops(plan.airStops(t)),
                            plan.night().down(p)
                                    ? ""
                                    : ReasonWords.line(plan.at(t).setting()))
                    .to(address + "?at=" + t));
        }
        return rows;
    }

    private static NightStep.At at(MoonPlan plan, Instant at) {
        MoonNight n = plan.night();
        var moon = plan.moonAt(at);
        LandAndMoon.Pair pair = n.landAndMoon(at);
        double up = moon.altitude().degrees();
        boolean inside = n.windows().stream().anyMatch(w -> w.contains(at));
        boolean alike = inside && n.picture() == MoonPicture.WITH_LAND;
        String sentence = n.down(moon)
                ? "The moon is under the horizon."
                : n.picture() != MoonPicture.WITH_LAND
                        ? MoonWords.inside(n, inside)
                        : alike
                                ? "One exposure holds both: the moon is " + ReasonWords.offTarget(pair.moonBrighterBy())
                                        + " than the land."
                                : "The moon is " + ReasonWords.offTarget(pair.moonBrighterBy())
                                        + " than the land: more than one exposure holds.";
        return new NightStep.At(
                up >= 0
                        ? "Moon " + Words.degrees(up) + " up, "
                                + Words.degrees(moon.azimuth().degrees())
                        : "Moon below the horizon",
                sentence.replace("as wished than", "as bright as"),
                List.of(ReasonWords.body("Sun", n.sky(), Body.SUN, at)));
    }

    @Override
    public ExposeStep expose(MoonPlan plan, Theme theme) {
        MoonShot s = plan.shot();
        return new ExposeStep(
                "moon/pictures",
                new Pictures(DiscsPicture.of(plan, theme), trade(plan)),
                time(plan),
                Table.of(
                        "Schools, at " + s.aperture().fNumber().label() + " ISO " + s.iso(),
                        "",
                        schools(plan),
                        "school",
                        "time#",
                        "disc at#"),
                List.of(
                        ReasonWords.aperture(
                                s.aperture(), "The lens's sharp middle: the moon is bright enough for it."),
                        iso(plan),
                        bracket(plan),
                        ReasonWords.kelvin(
                                plan.setting().kelvin(),
                                plan.night().picture().alone()
                                        ? "Sunlit rock in daylight's balance comes out a little warm of grey; set cooler it turns "
                                                + "to bone."
                                        : "A little over daylight leaves a low moon its warmth beside the blue land; 7000 K makes "
                                                + "it golden.")),
                new ExposeStep.Asked(false, false),
                "sharpest");
    }

    @Override
    public String moment(MoonPlan programme, MoonPlan now) {
        EclipsedMoon eclipse = now.shot().circumstances().eclipse();
        double altitude = now.shot().circumstances().altitude().degrees();
        if (altitude <= 0) {
            return "the moon is below the horizon";
        }
        if (Words.told(eclipse.stops())) {
            return "the moon is eclipsed, " + Words.stops(eclipse.stops()) + " darker";
        }
        return "the moon stands " + Words.degrees(altitude) + " up";
    }

    private static String limit(MoonShot s) {
        return switch (s.limit()) {
            case MOTION ->
                "The moon crosses a pixel in " + Words.fraction(s.limits().motion()) + ", the limit here.";
            case LONG_LENS ->
                "A long lens wants 1/125 s or faster even on a tripod; a pixel would allow "
                        + Words.fraction(s.limits().motion()) + ".";
            case HAND ->
                "In the hand 1/(focal length × crop) is the limit"
                        + (s.rig().camera().stabiliserStops() > 0
                                ? ", lengthened by the stabiliser's "
                                        + Words.stops(s.rig().camera().stabiliserStops())
                                : "")
                        + ", " + Words.fraction(s.limits().hand()) + ".";
        };
    }

    private static Because time(MoonPlan plan) {
        MoonShot s = plan.shot();
        String label = s.shutter().label();
        String rule = "The f/11 rule gives 1/ISO for a high full moon. ";
        String phase = !Words.told(s.phaseStops()) ? "" : "This phase takes " + Words.stops(s.phaseStops()) + ". ";
        String air = !Words.told(s.airStops())
                ? ""
                : "At "
                        + Words.degrees(s.circumstances().altitude().degrees()) + " the air takes "
                        + Words.stops(s.airStops()) + " more, and haze is a guess. ";
        EclipsedMoon eclipse = s.circumstances().eclipse();
        String shadow = !Words.told(eclipse.stops())
                ? ""
                : "The Earth's shadow takes " + Words.stops(eclipse.stops())
                        + (eclipse.phase() == EclipsedMoon.Phase.SHADOW
                                ? ", two stops either way as eclipses differ. "
                                : ". ");
        String limit = limit(s);
        String over =
                s.overLimit() ? " This time, which you fixed, moves it by " + Words.tenths(s.motionPx()) + " px." : "";
        String sky = !Words.told(s.skyStops())
                ? ""
                : " The sky behind it is "
                        + Words.tenths(s.circumstances().sky().magnitude()) + " mag/arcsec² bright and holds this "
                        + Words.stops(s.skyStops()) + " under the rule.";
        String unseen =
                s.visible() ? "" : " It is not seen then: the sky is brighter than its surface, and no frame is laid.";
        return new Because("Why " + label, label, rule + phase + shadow + air + limit + over + sky + unseen);
    }

    private static Because iso(MoonPlan plan) {
        MoonShot s = plan.shot();
        boolean fixed = s.fixedIso();
        boolean highest = s.iso().number() >= s.rig().camera().highestIso();
        String off = Stops.met(s.stopsOff())
                ? ""
                : " It comes out " + ReasonWords.offTarget(s.stopsOff()) + " than the rule wishes"
                        + (!fixed && highest && s.stopsOff() < 0
                                ? ": no ISO of this camera is high enough, so open the aperture or wait until it stands higher."
                                : ".");
        return new Because(
                "Why ISO " + s.iso(),
                "ISO " + s.iso(),
                (fixed
                                ? "You fixed it."
                                : "The lowest that keeps the time at or under " + Words.fraction(s.limitSeconds())
                                        + ".")
                        + off);
    }

    private static Because bracket(MoonPlan plan) {
        return new Because(
                "Bracket",
                "bracket",
                String.join(", ", plan.bracket().stream().map(ReasonWords::line).toList())
                        + ": a stop each way, no time longer than the limit, then correct on the magnified picture. Expose for the moon; any meter is "
                        + "fooled by a bright small thing on black.");
    }

    /** What the Expose step draws, with what converters would trade. */
    public record Pictures(DiscsPicture discs, Table trade) {}

    private static Table trade(MoonPlan plan) {
        List<Table.Row> rows = new ArrayList<>();
        Rig own = plan.rig();
        rows.add(traded(plan, own, own.converter().map(Converter::name).orElse("as it is"), true));
        if (own.converter().isPresent()) {
            rows.add(traded(
                    plan, new Rig(own.camera(), own.lens(), Optional.empty(), own.lensFocalMm()), "none", false));
        }
        for (double factor : Converter.USUAL) {
            if (own.converter().filter(c -> c.factor() == factor).isEmpty()) {
                rows.add(traded(plan, with(own, factor), Words.plain(factor) + "×", false));
            }
        }
        return Table.of(
                "Converters, each with the setting it then needs",
                "Magnified shake and haze are not counted: a converter shows them too.",
                rows,
                "converter",
                "disc#",
                "of height#",
                "setting",
                "what it costs");
    }

    private static Table.Row traded(MoonPlan plan, Rig rig, String name, boolean own) {
        MoonPlan then = plan.with(rig);
        MoonPlan.Disc disc = then.disc(rig);
        return Table.Row.of(
                own,
                name,
                Math.round(disc.pixels()) + " px",
                Words.percent(disc.shareOfHeight()),
                ReasonWords.line(then.setting()),
                own ? "" : cost(plan, then));
    }

    private static String cost(MoonPlan plan, MoonPlan then) {
        List<String> costs = new ArrayList<>();
        double aperture = then.setting().fNumber().stopsOver(plan.setting().fNumber());
        double iso = then.setting().iso().stopsOver(plan.setting().iso());
        double time = Stops.between(
                plan.setting().shutter().realSeconds(), then.setting().shutter().realSeconds());
        if (!Stops.met(aperture)) {
            costs.add(Words.stops(Math.abs(aperture)) + (aperture > 0 ? " of aperture" : " wider"));
        }
        if (!Stops.met(time)) {
            costs.add(Words.stops(Math.abs(time)) + (time > 0 ? " shorter" : " longer"));
        }
        if (!Stops.met(iso)) {
            costs.add(Words.stops(Math.abs(iso)) + (iso > 0 ? " more ISO" : " less ISO"));
        }
        if (then.disc(then.rig()).shareOfHeight() > 1) {
            costs.add("the disc leaves the frame");
        }
        return costs.isEmpty() ? "nothing" : String.join(", ", costs);
    }

    private static List<Table.Row> schools(MoonPlan plan) {
        return plan.shot().schools(plan.shareOfFrame()).stream()
                .map(a -> Table.Row.of(
                        a.school() == MoonShot.School.F11_RULE,
                        switch (a.school()) {
                            case F11_RULE -> "f/11 and 1/ISO";
                            case GUIDE_VALUE_8 -> "Guide value 8, disc on mid-grey";
                            case AVERAGING_METER ->
                                "Averaging meter, " + Words.percentTenths(plan.shareOfFrame()) + " moon";
                        },
                        Words.fraction(a.seconds()),
                        a.stopsOver() > 0 ? Words.stops(a.stopsOver()) + " blown" : Words.percent(a.position())))
                .toList();
    }

    private static Rig with(Rig rig, double factor) {
        return new Rig(
                rig.camera(),
                rig.lens(),
                Optional.of(new Converter(Words.plain(factor) + "×", factor)),
                rig.lensFocalMm());
    }

    @Override
    public SequenceStep sequence(MoonPlan plan) {
        int brackets = plan.brackets();
        MoonShot s = plan.shot();
        return new SequenceStep(
                new Because(
                        "Brackets",
                        brackets == 1
                                ? "1 bracket of " + plan.bracket().size()
                                : Words.count(brackets, "bracket") + " of "
                                        + plan.bracket().size(),
                        plan.night().main().isEmpty()
                                ? "One at the best moment: " + MoonWords.none(plan.night()) + "."
                                : "Every " + Words.minutes(plan.betweenBrackets()) + " "
                                        + MoonWords.meanwhile(plan.night().picture()) + "."),
                Table.of(
                        "Checks",
                        "",
                        List.of(Table.Row.of(
                                        false,
                                        "Motion",
                                        Words.tenths(s.motionPx()) + " px",
                                        s.overLimit() ? "over the limit" : "inside a pixel or the lens's limit")
                                .toned(s.overLimit() ? "caution" : "good")),
                        "check",
                        "value#",
                        "verdict"),
                plan.handheld()
                        ? List.of(new Line("Stabiliser", "on; lean, breathe out, press gently"))
                        : List.of(
                                new Line("Self-timer", "10 s, or a remote"),
                                new Line("Stabiliser", "off on a tripod")));
    }

    @Override
    public String sequenceAnswer(MoonPlan plan) {
        int n = plan.brackets();
        return n == 0 ? "nothing to take" : Words.count(n, "bracket");
    }

    @Override
    public String frames(MoonPlan plan) {
        int n = plan.brackets();
        return n == 0
                ? ""
                : "×" + Words.count(n, "bracket") + " of " + plan.bracket().size();
    }

    @Override
    public String verdict(MoonPlan plan) {
        return plan.shot().overLimit()
                ? "The moon moves " + Words.tenths(plan.shot().motionPx()) + " px in this time"
                : plan.handheld()
                        ? "Holds by hand, moves " + Words.tenths(plan.shot().motionPx()) + " px"
                        : "Ten-second timer or a remote: at "
                                + Words.plain(plan.rig().focalMm()) + " mm a touch shows";
    }
}
