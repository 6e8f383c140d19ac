package org.halfdusk.web.review;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.photometry.Measurement;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.kept.done.Learning;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.review.OneWay;
import org.halfdusk.shoot.review.Softness;
import org.halfdusk.shoot.review.Verdict;
import org.halfdusk.shoot.review.learnt.Knowledge;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.shoot.review.learnt.Lesson;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.PlannedAndTaken;
import org.halfdusk.shoot.review.taken.PlannedAndTaken.Taken;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.picture.FramesFolder;
import org.halfdusk.web.review.frames.BringIn;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.StepPages;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.words.FaultWords;
import org.halfdusk.web.subject.words.LearntWords;
import org.springframework.stereotype.Component;

/** The Review step of a shoot. */
@Component
class ReviewPages implements StepPages {
    /** Thumbnails of a page of the sheet. */
    static final int MOST_SHOWN = 15;

    private final Frames frames;
    private final Shoots shoots;
    private final Planner planner;
    private final RunLog log;
    private final BringIn jobs;
    private final FramesFolder folder;
    private final Learning learning;

    ReviewPages(
            Frames frames,
            Shoots shoots,
            Planner planner,
            RunLog log,
            BringIn jobs,
            FramesFolder folder,
            Learning learning) {
        this.learning = learning;
        this.frames = frames;
        this.shoots = shoots;
        this.planner = planner;
        this.log = log;
        this.jobs = jobs;
        this.folder = folder;
    }

    /** What of a page was asked for in its address. */
    record Asked(Optional<Long> frame, Optional<Integer> sheet) {
        static final Asked NOTHING = new Asked(Optional.empty(), Optional.empty());
    }

    @Override
    public String step() {
        return "review";
    }

    @Override
    public String answer(ShootDesk.Open open) {
        return ReviewWords.tab(frames.count(open.shoot().id()));
    }

    @Override
    public Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme) {
        return page(open, Asked.NOTHING, String.join(" ", result.errors().all().values()));
    }

    /** All that a rig's frames show beside its plan. */
    PlannedAndTaken both(ShootDesk.Open open) {
        return PlannedAndTaken.of(
                open.programme(),
                open.plan().rig().focalMm(),
                frames.of(open.shoot().id(), open.rig()),
                open.plan().place().zone(),
                ahead(open));
    }

    static double ahead(ShootDesk.Open open) {
        return open.clock().map(ClockOffset::seconds).orElse(0.0);
    }

    ReviewPage page(ShootDesk.Open open, Asked asked, String wrong) {
        PlannedAndTaken both = both(open);
        ZoneId zone = open.plan().place().zone();
        Optional<Taken> chosen = chosen(both, asked);
        Optional<Long> id = chosen.map(t -> t.frame().id());
        String action = open.address("review");
        List<TakenFrame> all = both.taken().stream().map(t -> t.frame().it()).toList();
        Optional<OneWay> series = OneWay.of(ofLens(open, all));
        Optional<Plan> plan = chosen.map(t -> t.opened().map(open.plan()::at).orElse(open.plan()));
        Optional<Verdict> verdict =
                chosen.map(t -> Verdict.of(t.frame().it().file(), t.frame().it().reading(), plan));
        return new ReviewPage(
                action,
                ReviewWords.summary(both),
                both.planned().isEmpty() && both.taken().isEmpty()
                        ? Optional.empty()
                        : Optional.of(LanePicture.of(both, zone, id, f -> action + "?frame=" + f)),
                jobs.of(open.shoot().id(), open.rig()).filter(j -> !j.over()).isPresent()
                        ? Optional.empty()
                        : both.clock().map(p -> offset(p, open)),
                bring(open),
                sheet(both, id, asked, action),
                chosen.flatMap(t -> verdict.map(v -> ChosenPicture.of(both, t, v, zone, action))),
                chosen.map(t -> SkyPicture.of(open, t, zone)),
                lessons(open, all).stream().map(LearntWords::offer).toList(),
                LearntWords.goneBy(open.plan()),
                chosen.flatMap(t -> verdict.map(v -> causes(open, t, v, series)))
                        .orElseGet(List::of),
                series.map(ReviewWords::oneWay).orElse(""),
                noted(open),
                frames.afterwards(open.shoot().id()),
                verdict.map(v -> offers(v, open)).orElseGet(List::of),
                wrong);
    }

    /** Frames of all shoots through this lens, those of this one first: whether it errs one way is no matter of a night. */
    private List<FrameReading> ofLens(ShootDesk.Open open, List<TakenFrame> here) {
        long lens = open.shoot().it().rig().lensId();
        List<FrameReading> all =
                new ArrayList<>(here.stream().map(TakenFrame::reading).toList());
        Map<Long, Integer> counts = frames.counts();
        for (Kept<Shoot> s : shoots.list("")) {
            if (s.id() != open.shoot().id()
                    && s.it().rig().lensId() == lens
                    && counts.containsKey(s.id())
                    && all.size() < MOST_OF_LENS) {
                frames.of(s.id(), Shoots.FIRST_RIG).forEach(f -> all.add(f.it().reading()));
            }
        }
        return all;
    }

    private static final int MOST_OF_LENS = 300;

    /** What the frames of a rig show, by the models alone. */
    List<Lesson> lessons(ShootDesk.Open open, List<TakenFrame> all) {
        Plan plan = planner.modelled(open.shoot().it());
        ZoneId zone = open.plan().place().zone();
        List<Lesson> lessons = Lesson.of(all.stream()
                .filter(f -> f.judgement().choice() != TakenFrame.Choice.REJECT)
                .flatMap(f ->
                        f.file().shot().middle(zone, ahead(open)).map(at -> new Lesson.Evidence(plan, at, f)).stream())
                .toList());
        return byOtherLenses(open.shoot().it().rig())
                .map(camera -> Lesson.beside(camera, lessons))
                .orElse(lessons);
    }

    /** The camera as other lenses alone have shown it: what this one differs by is its own. */
    private Optional<Measurement> byOtherLenses(Shoot.ShootRig rig) {
        List<Learnt> camera = learning.all().stream()
                .filter(l -> l.on() && l.figure() == Learnt.Figure.CAMERA_STOPS && l.id() == rig.cameraId())
                .toList();
        boolean others = camera.stream()
                .flatMap(l -> shoots.rigs(l.shootId()).stream().map(Kept::it))
                .noneMatch(r -> r.cameraId() == rig.cameraId() && r.lensId() == rig.lensId());
        return others
                ? new Knowledge(camera, Map.of()).of(Learnt.Figure.CAMERA_STOPS, rig.cameraId(), "")
                : Optional.empty();
    }

    private static Optional<Taken> chosen(PlannedAndTaken both, Asked asked) {
        List<Taken> taken = both.taken();
        return asked.frame()
                .flatMap(id -> taken.stream().filter(t -> t.frame().id() == id).findFirst())
                .or(() -> {
                    List<Taken> stars = taken.stream()
                            .filter(t -> t.slot().isPresent()
                                    && t.frame().it().reading().kind() == FrameReading.Kind.STARS
                                    && t.frame().it().judgement().choice() != TakenFrame.Choice.REJECT)
                            .toList();
                    List<Taken> some = stars.isEmpty() ? taken : stars;
                    return some.isEmpty() ? Optional.empty() : Optional.of(some.get(some.size() / 2));
                });
    }

    private static ReviewPage.Offset offset(PlannedAndTaken.Proposal p, ShootDesk.Open open) {
        double whole = ahead(open) + p.seconds();
        String by = Words.tenths(Math.abs(p.seconds())) + " s";
        String what = open.clock().isPresent() ? " more than was compared" : "";
        return new ReviewPage.Offset(
                p.frames() + " frames fall on their plan if the camera's clock was " + by
                        + (p.seconds() > 0 ? " ahead" : " behind") + what
                        + ". Else they were begun " + (p.seconds() > 0 ? "late." : "early."),
                Numbers.typed(whole));
    }

    private ReviewPage.Bring bring(ShootDesk.Open open) {
        return new ReviewPage.Bring(
                folder.folders(),
                folder.named(),
                jobs.of(open.shoot().id(), open.rig()).map(ReviewPages::progress));
    }

    static ReviewPage.Progress progress(BringIn.Job j) {
        String read = Words.count(j.read(), "frame") + " read";
        String known = j.known() > 0 ? ", " + j.known() + " there already" : "";
        String refused = j.refused().isEmpty() ? "" : ", " + j.refused().size() + " refused";
        String how = j.over() ? j.stopped() ? ", stopped" : "" : " of " + j.of();
        return new ReviewPage.Progress(
                (j.over() ? read : j.done() + how + " gone through") + known + refused + (j.over() ? how : "") + ".",
                j.done(),
                j.of(),
                !j.over(),
                !j.over() || j.stopped() || j.known() > 0 || !j.refused().isEmpty(),
                j.refused());
    }

    private static ReviewPage.Sheet sheet(PlannedAndTaken both, Optional<Long> chosen, Asked asked, String action) {
        List<Taken> all = both.taken();
        int at = IntStream.range(0, all.size())
                .filter(i -> chosen.filter(c -> c == all.get(i).frame().id()).isPresent())
                .findFirst()
                .orElse(0);
        int pages = (all.size() + MOST_SHOWN - 1) / MOST_SHOWN;
        int page = Math.max(0, Math.min(pages - 1, asked.sheet().map(p -> p - 1).orElse(at / MOST_SHOWN)));
        List<ReviewPage.Thumb> thumbs = all.stream()
                .skip((long) page * MOST_SHOWN)
                .limit(MOST_SHOWN)
                .map(t -> thumb(both, t, chosen, action))
                .toList();
        return new ReviewPage.Sheet(
                thumbs,
                all.size(),
                page + 1,
                pages > 1 ? IntStream.rangeClosed(1, pages).boxed().toList() : List.of());
    }

    private static ReviewPage.Thumb thumb(PlannedAndTaken both, Taken t, Optional<Long> chosen, String action) {
        FrameReading r = t.frame().it().reading();
        List<String> more = new ArrayList<>();
        Stream.of(FrameFault.What.AIRCRAFT, FrameFault.What.SATELLITE, FrameFault.What.HEADLAMP, FrameFault.What.CLOUD)
                .filter(w -> r.likely(w).isPresent())
                .map(FaultWords::what)
                .forEach(more::add);
        boolean rejected = t.frame().it().judgement().choice() == TakenFrame.Choice.REJECT;
        if (rejected) {
            more.add("rejected");
        }
        if (!t.wrong().isEmpty()) {
            more.add("set otherwise");
        }
        long id = t.frame().id();
        return new ReviewPage.Thumb(
                id,
                action + "?frame=" + id,
                ReviewWords.label(both, t),
                String.join(", ", more),
                chosen.filter(c -> c == id).isPresent(),
                rejected ? "out" : more.isEmpty() ? "" : "note");
    }

    private List<ReviewPage.Asked> causes(ShootDesk.Open open, Taken t, Verdict v, Optional<OneWay> series) {
        Map<Softness.Cause, Boolean> answers = frames.answers(open.shoot().id(), open.rig());
        FrameFile file = t.frame().it().file();
        return Softness.of(file, t.frame().it().reading(), v, answers, series).stream()
                .map(a -> ReviewPage.Asked.of(a, a.found() == Softness.Found.ASK || answers.containsKey(a.cause())))
                .toList();
    }

    private List<Line> noted(ShootDesk.Open open) {
        ZoneId zone = open.plan().place().zone();
        return log.entries(open.shoot().id()).stream()
                .filter(e -> e.kind() == RunEntry.Kind.NOTE)
                .map(e -> new Line(Times.clock(e.at(), zone), e.text()))
                .toList();
    }

    /** What may be kept for next time, in a line each. */
    private static List<String> offers(Verdict v, ShootDesk.Open open) {
        List<String> all = new ArrayList<>();
        v.remedy()
                .flatMap(r -> r.change())
                .ifPresent(c ->
                        all.add(c.label() + " with " + Words.rig(open.plan().rig())));
        if (v.change().filter(w -> w == FrameFault.What.DEW).isPresent()) {
            all.add("Band on the lens from the beginning");
        }
        if (v.good() && v.stars().isPresent()) {
            all.add("Settings as planned are right here");
        }
        return all;
    }

    /** Numbers of the frames of an open shoot, for forms that name one. */
    Optional<Kept<TakenFrame>> frame(ShootDesk.Open open, long id) {
        return frames.find(id)
                .filter(f ->
                        f.it().shootId().filter(s -> s == open.shoot().id()).isPresent());
    }

    /** When the shutter opened, for the playhead. */
    Optional<Instant> opened(ShootDesk.Open open, long id) {
        return frame(open, id)
                .flatMap(f -> f.it().file().shot().opened(open.plan().place().zone(), ahead(open)));
    }
}
