package org.halfdusk.web.api;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.Timer;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.camera.Fault;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.running.Rehearsal;
import org.halfdusk.shoot.setting.Exposed;
import org.halfdusk.time.Interval;
import org.halfdusk.trailing.FrameTrails;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.rehearsal.RehearsalDesk;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.page.Because;
import org.jspecify.annotations.Nullable;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Shoots and what they are planned to be set to, at any moment of their night. */
@RestController
@RequestMapping("/api/v1/shoots")
class ShootsApi {
    private final Shoots shoots;
    private final Places places;
    private final ShootDesk desk;
    private final RehearsalDesk rehearsals;

    ShootsApi(Shoots shoots, Places places, ShootDesk desk, RehearsalDesk rehearsals) {
        this.shoots = shoots;
        this.places = places;
        this.desk = desk;
        this.rehearsals = rehearsals;
    }

    record Where(double lat, double lon, double elevation, String zone) {
        static Where of(Place p) {
            Observer o = p.observer();
            return new Where(
                    o.latitudeDegrees(),
                    o.longitudeDegrees(),
                    o.elevationMetres(),
                    p.zone().getId());
        }
    }

    record Row(long id, String title, Subject subject, Where place, LocalDate night, int rigs) {}

    /** All that can be read, the latest night first. */
    @GetMapping
    Map<String, List<Row>> all(@RequestParam MultiValueMap<String, String> parameters) {
        new Query(parameters).check();
        Map<Long, List<Kept<Shoot.ShootRig>>> further = shoots.furtherRigs();
        return Map.of(
                "shoots",
                shoots.list("").stream()
                        .flatMap(s -> places.find(s.it().placeId()).map(p -> row(s, p.it(), further)).stream())
                        .toList());
    }

    private static Row row(Kept<Shoot> s, Place place, Map<Long, List<Kept<Shoot.ShootRig>>> further) {
        return new Row(
                s.id(),
                s.it().title(),
                s.it().subject(),
                Where.of(place),
                s.it().night(),
                1 + further.getOrDefault(s.id(), List.of()).size());
    }

    /** Why something is as it is. */
    record Reason(String what, String because) {}

    /**
     * A plan at a moment.
     *
     * @param at the moment that it is for
     * @param programme the moment that the programme itself is set for
     * @param seconds nominal
     * @param realSeconds as the shutter works
     * @param skyMagnitude towards the frame, mag/arcsec²; null where the subject asks no sky
     * @param stopsUnderClipping of the brightest part that is wanted
     * @param trailPx of the fastest star in the middle third
     * @param worstTrailPx in the worst corner as aimed
     * @param visible whether sun, moon, core, stars or show are to be seen
     */
    record PlanAnswer(
            Instant at,
            Instant programme,
            double seconds,
            double realSeconds,
            double aperture,
            int iso,
            @Nullable Double skyMagnitude,
            double stopsUnderClipping,
            double trailPx,
            double worstTrailPx,
            boolean visible,
            List<Reason> reasons) {}

    @GetMapping("/{id}/plan")
    PlanAnswer plan(@PathVariable long id, @RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        int rig = rig(query);
        boolean moment = query.has("at");
        Instant wished = moment ? query.instant("at") : Instant.EPOCH;
        query.check();
        ShootDesk.Open open = desk.open(id, rig, Optional.empty());
        Interval night = open.plan().night().whole();
        query.refuseIf(
                moment && (wished.isBefore(night.start()) || wished.isAfter(night.end())),
                "at",
                "a moment of this shoot's night, " + night.start() + " to " + night.end());
        query.check();
        return answer(open, moment ? open.plan().at(wished) : open.plan());
    }

    private int rig(Query query) {
        double rig = query.number("rig", 1, Shoots.MOST_RIGS, 1);
        query.refuseIf(rig != Math.rint(rig), "rig", "a whole number from 1 to " + Shoots.MOST_RIGS);
        return Double.isNaN(rig) ? Shoots.FIRST_RIG : (int) rig - 1;
    }

    private static PlanAnswer answer(ShootDesk.Open open, Plan plan) {
        Setting s = plan.setting();
        Exposed e = plan.exposed();
        FrameTrails trails = plan.trails();
        double seconds = s.shutter().realSeconds();
        ExposeStep step = open.subject().expose(plan, Theme.DESK);
        List<Reason> reasons = Stream.concat(Stream.of(step.answer()), step.reasons().stream())
                .map(ShootsApi::reason)
                .toList();
        return new PlanAnswer(
                plan.moment(),
                open.plan().moment(),
                s.shutter().nominalSeconds(),
                seconds,
                s.fNumber().value(),
                s.iso().number(),
                e.sky().map(SkyBrightness::magnitude).orElse(null),
                e.stopsUnderClipping(),
                trails.middlePx(seconds),
                trails.worstPx(seconds),
                e.visible(),
                reasons);
    }

    private static Reason reason(Because b) {
        return new Reason(b.answer(), b.reason());
    }

    record TimerAnswer(
            double delaySeconds, double exposureSeconds, double intervalSeconds, int number, IntervalTimer.From from) {
        static TimerAnswer of(Timer t) {
            return new TimerAnswer(
                    t.delaySeconds(), t.exposure().nominalSeconds(), t.intervalSeconds(), t.number(), t.from());
        }
    }

    record FrameAnswer(
            Instant opens, double nominalSeconds, double realSeconds, double aperture, int iso, String files) {}

    record BlockAnswer(
            String id,
            Block.Kind kind,
            Instant start,
            Instant end,
            @Nullable TimerAnswer timer,
            List<FrameAnswer> frames) {}

    record Dropped(Instant opens, RunSimulation.Why reason) {}

    record Budget(double cardMegabytes, double charges, List<Dropped> dropped) {}

    /** What becomes of the filter. @param state ON or OFF */
    record FilterStep(Instant at, String state) {}

    record ProgrammeAnswer(List<BlockAnswer> blocks, Budget budget, List<FilterStep> filter) {}

    @GetMapping("/{id}/programme")
    ProgrammeAnswer programme(@PathVariable long id, @RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        int rig = rig(query);
        query.check();
        ShootDesk.Open open = desk.open(id, rig, Optional.empty());
        List<BlockAnswer> blocks = new ArrayList<>();
        List<FilterStep> filter = new ArrayList<>();
        for (Programme.Planned p : open.programme().planned()) {
            Block b = p.block();
            blocks.add(new BlockAnswer(
                    p.id(),
                    b.kind(),
                    b.start(),
                    b.end(),
                    p.timer(open.plan()).map(TimerAnswer::of).orElse(null),
                    b.frames().stream().map(f -> frame(f, p.jpeg())).toList()));
            if (b.kind() == Block.Kind.FILTER_OFF || b.kind() == Block.Kind.FILTER_ON) {
                filter.add(new FilterStep(b.start(), b.kind() == Block.Kind.FILTER_OFF ? "OFF" : "ON"));
            }
        }
        RunSimulation run = open.simulated();
        List<Dropped> dropped =
                run.dropped().stream().map(d -> new Dropped(d.at(), d.why())).toList();
        return new ProgrammeAnswer(blocks, new Budget(run.megabytes(), run.charges(), dropped), filter);
    }

    /** @param rig counted from 1 @param frame counted from 1 in its rig's programme; 0 where it is none */
    record Happened(Instant at, int rig, Rehearsal.What what, int frame, String why) {}

    /** @param fired whether the shutter fired all the same */
    record MissedAnswer(Instant opens, int rig, String reason, boolean fired) {}

    record FaultAnswer(Fault fault, int rig, Instant from, Instant until) {}

    record RehearsalAnswer(
            List<Happened> events, List<MissedAnswer> missed, List<String> findings, List<FaultAnswer> faults) {}

    /** A night gone through against simulated cameras. */
    @GetMapping("/{id}/rehearsal")
    RehearsalAnswer rehearsal(@PathVariable long id, @RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        double seed = query.number("seed", 0, MOST_SEED, 0);
        query.refuseIf(seed != Math.rint(seed), "seed", "a whole number from 0");
        Set<Fault> faults = query.has("faults") ? Set.copyOf(query.list("faults", Fault.class)) : Set.of();
        query.check();
        RehearsalDesk.Gone gone = rehearsals.gone(id, (long) seed, faults);
        Rehearsal r = gone.rehearsal();
        return new RehearsalAnswer(
                r.events().stream()
                        .map(e -> new Happened(e.at(), e.rig() + 1, e.what(), e.frame(), why(e)))
                        .toList(),
                r.missed().stream()
                        .map(m -> new MissedAnswer(
                                m.opens(), m.rig() + 1, m.reason().name(), m.fired()))
                        .toList(),
                gone.findings().stream().map(f -> f.sentence() + " " + f.mend()).toList(),
                r.injected().stream()
                        .map(i -> new FaultAnswer(i.fault(), i.rig() + 1, i.from(), i.until()))
                        .toList());
    }

    private static String why(Rehearsal.Event e) {
        return e.why().map(Enum::name).or(() -> e.fault().map(Enum::name)).orElse("");
    }

    /** What a double holds exactly. */
    private static final double MOST_SEED = 9_007_199_254_740_991.0;

    private static FrameAnswer frame(Frame f, boolean jpeg) {
        return new FrameAnswer(
                f.open(),
                f.shutter().nominalSeconds(),
                f.shutter().realSeconds(),
                f.fNumber().value(),
                f.iso().number(),
                PhaseChoice.FILES.write(jpeg));
    }
}
