package org.halfdusk.web.review;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.kept.done.Learning;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.review.Afterwards;
import org.halfdusk.shoot.review.Softness;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.shoot.review.learnt.Lesson;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.shoot.review.taken.TakenFrame.Judgement;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Range;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.picture.FramesFolder;
import org.halfdusk.web.review.frames.BringIn;
import org.halfdusk.web.review.frames.DemoFrames;
import org.halfdusk.web.review.frames.FrameDesk;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The Review step: frames come in, are looked at and judged, and what they teach is taken over. */
@Controller
@RequestMapping({"/shoots/{id}/review", "/shoots/{id}/rig{rig:\\d{1,3}}/review"})
class ReviewController {
    private static final Range NUMBER = new Range("frame", 1, Integer.MAX_VALUE, "");
    private static final Range STARS = new Range("stars", 0, Judgement.MOST_STARS, "");
    private static final Range SHEET = new Range("sheet", 1, Frames.MOST, "");

    private final ReviewPages pages;
    private final FrameDesk bringing;
    private final BringIn jobs;
    private final FramesFolder folder;
    private final Frames frames;
    private final Learning learning;
    private final Planner planner;
    private final RunLog log;
    private final ShootDesk desk;
    private final DemoFrames demo;
    private final Clock clock;

    ReviewController(
            ReviewPages pages,
            FrameDesk bringing,
            BringIn jobs,
            FramesFolder folder,
            Frames frames,
            Learning learning,
            Planner planner,
            RunLog log,
            ShootDesk desk,
            DemoFrames demo,
            Clock clock) {
        this.pages = pages;
        this.bringing = bringing;
        this.jobs = jobs;
        this.folder = folder;
        this.frames = frames;
        this.learning = learning;
        this.planner = planner;
        this.log = log;
        this.desk = desk;
        this.demo = demo;
        this.clock = clock;
    }

    private ShootDesk.Open open(long id, Optional<Integer> rig, Optional<String> at) {
        return desk.open(id, ShootDesk.rigNumber(rig), at);
    }

    @GetMapping
    String show(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam Map<String, String> asked,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model) {
        ShootDesk.Open first = open(id, rig, Optional.ofNullable(asked.get("at")));
        demo.begin(first);
        Optional<Long> chosen = Optional.ofNullable(asked.get("frame")).map(f -> (long) NUMBER.whole(f));
        chosen.filter(c -> pages.frame(first, c).isEmpty()).ifPresent(c -> {
            throw new NotFound("There is no frame number " + c + " in this shoot.");
        });
        return render(
                first,
                new ReviewPages.Asked(
                        chosen, Optional.ofNullable(asked.get("sheet")).map(SHEET::whole)),
                "",
                frame,
                model);
    }

    private String render(ShootDesk.Open open, ReviewPages.Asked asked, String wrong, Shell.Frame frame, Model model) {
        // The strip shows the moment of the frame that is looked at.
        ShootDesk.Open shown = asked.frame()
                .flatMap(f -> pages.opened(open, f))
                .map(at -> desk.open(open.shoot().id(), open.rig(), Optional.of(at.toString())))
                .orElse(open);
        model.addAttribute("shoot", desk.page(shown, "review", frame.theme()));
        model.addAttribute("edit", ShootEditing.untouched());
        model.addAttribute("page", pages.page(shown, asked, wrong));
        return "review/review";
    }

    /** Pictures that were dropped on the page, or chosen in its form; each is kept as soon as it is read. */
    @PostMapping("/frames")
    Object send(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(required = false) Optional<List<MultipartFile>> frames,
            @RequestParam(defaultValue = "") String script,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model,
            HttpServletResponse response)
            throws IOException {
        ShootDesk.Open open = open(id, rig, Optional.empty());
        List<FrameDesk.Sent> all = bringing.sent(frames, Optional.of(open));
        if (!script.isEmpty()) {
            return ResponseEntity.ok(all);
        }
        String wrong = FrameDesk.Sent.wrong(all);
        if (wrong.isEmpty()) {
            return "redirect:" + open.address("review");
        }
        response.setStatus(HttpStatus.BAD_REQUEST.value());
        return render(open, ReviewPages.Asked.NOTHING, wrong, frame, model);
    }

    /** All frames of a folder of the one that was named at start. */
    @PostMapping("/folder")
    String folder(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(defaultValue = "") String folder) {
        ShootDesk.Open open = open(id, rig, Optional.empty());
        jobs.begin(open, this.folder.frames(folder).stream().map(BringIn::of).toList());
        return "redirect:" + open.address("review");
    }

    @PostMapping("/stop")
    String stop(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        ShootDesk.Open open = open(id, rig, Optional.empty());
        jobs.stop(id, open.rig());
        return "redirect:" + open.address("review");
    }

    /** A person's own judgement of a frame. */
    @PostMapping("/judge")
    String judge(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam Map<String, String> form) {
        ShootDesk.Open open = open(id, rig, Optional.empty());
        FormErrors read = new FormErrors(form);
        TakenFrame taken = named(open, read);
        Judgement was = taken.judgement();
        Judgement now = new Judgement(
                read.text("choice").isEmpty()
                        ? was.choice()
                        : Codec.constant("choice", TakenFrame.Choice.class).read(read.text("choice")),
                read.text("stars").isEmpty() ? was.stars() : STARS.whole(read.text("stars")),
                form.containsKey("note") ? read.text("note") : was.note());
        frames.judge(number(read), now);
        return back(open, number(read));
    }

    private static long number(FormErrors form) {
        return NUMBER.whole(form.text("frame"));
    }

    private TakenFrame named(ShootDesk.Open open, FormErrors form) {
        long number = number(form);
        return pages.frame(open, number)
                .orElseThrow(() -> new NotFound("There is no frame number " + number + " in this shoot."))
                .it();
    }

    private static String back(ShootDesk.Open open, long frame) {
        return "redirect:" + open.address("review") + "?frame=" + frame;
    }

    /** Takes all rejected frames out of the log; their files stay where they are, and can be brought in again. */
    @PostMapping("/clear")
    String clear(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        ShootDesk.Open open = open(id, rig, Optional.empty());
        frames.remove(frames.of(id, open.rig()).stream()
                .filter(f -> f.it().judgement().choice() == TakenFrame.Choice.REJECT)
                .map(f -> f.id())
                .toList());
        return "redirect:" + open.address("review");
    }

    /** What a picture cannot tell. */
    @PostMapping("/answer")
    String answer(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(defaultValue = "") String cause,
            @RequestParam(defaultValue = "") String so,
            @RequestParam(defaultValue = "") String frame) {
        ShootDesk.Open open = open(id, rig, Optional.empty());
        frames.answer(
                id,
                open.rig(),
                Codec.constant("cause", Softness.Cause.class).read(cause),
                so.isEmpty()
                        ? Optional.empty()
                        : Optional.of(Codec.choice(
                                        "answer",
                                        new Codec.Chosen<>(true, "yes", "yes"),
                                        new Codec.Chosen<>(false, "no", "no"))
                                .read(so)));
        return frame.isEmpty() ? "redirect:" + open.address("review") : back(open, NUMBER.whole(frame));
    }

    /** The clock's offset that was proposed. */
    @PostMapping("/clock")
    String clock(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(defaultValue = "") String seconds) {
        ShootDesk.Open open = open(id, rig, Optional.empty());
        log.clock(
                open.shoot().it().rig().cameraId(),
                new ClockOffset(ClockOffset.SECONDS.read(seconds), open.plan().moment()));
        return "redirect:" + open.address("review");
    }

    /** What the frames show of camera, lens, place and mount, from now on in all plans. */
    @PostMapping("/take")
    String take(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        ShootDesk.Open open = open(id, rig, Optional.empty());
        List<TakenFrame> all =
                frames.of(id, open.rig()).stream().map(f -> f.it()).toList();
        List<Learnt> learnt = pages.lessons(open, all).stream()
                .flatMap(l -> of(l, open).stream())
                .toList();
        if (learnt.isEmpty()) {
            throw new IllegalArgumentException("these frames teach nothing yet; at least " + Learnt.LEAST_FRAMES
                    + " that agree within " + Learnt.AGREE_STOPS + " stop are needed");
        }
        learning.take(learnt);
        return "redirect:" + open.address("review");
    }

    private Optional<Learnt> of(Lesson l, ShootDesk.Open open) {
        var rig = open.shoot().it().rig();
        Optional<Long> of = switch (l.figure().of()) {
            case CAMERA -> Optional.of(rig.cameraId());
            case LENS -> Optional.of(rig.lensId());
            case PLACE -> Optional.of(open.shoot().it().placeId());
            case MOUNT -> planner.mount(rig);
        };
        return of.map(thing -> new Learnt(
                l.figure(), thing, l.detail(), l.value(), open.shoot().id(), clock.instant(), true));
    }

    /** What worked and what to change: kept with the shoot, shown when its place is planned again. */
    @PostMapping("/afterwards")
    String afterwards(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "") String weather,
            @RequestParam(defaultValue = "") String mark,
            @RequestParam(defaultValue = "") String add) {
        ShootDesk.Open open = open(id, rig, Optional.empty());
        frames.afterwards(
                id,
                add.isEmpty()
                        ? new Afterwards(text, weather, mark)
                        : frames.afterwards(id).plus(add));
        return "redirect:" + open.address("review");
    }
}
