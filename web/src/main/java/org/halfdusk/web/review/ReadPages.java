package org.halfdusk.web.review;

import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.review.OneWay;
import org.halfdusk.shoot.review.Softness;
import org.halfdusk.shoot.review.Verdict;
import org.halfdusk.shoot.review.taken.PlannedAndTaken;
import org.halfdusk.shoot.review.taken.PlannedAndTaken.Taken;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.springframework.stereotype.Component;

/** Pictures that are looked at without a shoot. */
@Component
public class ReadPages {
    static final String ACTION = "/log/read";

    private final Frames frames;

    ReadPages(Frames frames) {
        this.frames = frames;
    }

    /** @param series whether the lens errs one way in all of them */
    record ReadPage(
            List<ReviewPage.Thumb> thumbs,
            Optional<ReviewPage.Chosen> chosen,
            List<ReviewPage.Asked> causes,
            String series,
            String wrong) {}

    public ReadPage page(Optional<Long> asked, String wrong) {
        List<Taken> taken = frames.alone().stream().map(ReadPages::taken).toList();
        PlannedAndTaken both = new PlannedAndTaken(List.of(), taken, Optional.empty());
        Optional<Taken> chosen = taken.stream()
                .filter(t -> asked.isEmpty() || asked.get() == t.frame().id())
                .findFirst();
        Optional<Verdict> verdict =
                chosen.map(t -> Verdict.of(t.frame().it().file(), t.frame().it().reading(), Optional.empty()));
        Optional<OneWay> series =
                OneWay.of(taken.stream().map(t -> t.frame().it().reading()).toList());
        return new ReadPage(
                taken.stream()
                        .map(t -> new ReviewPage.Thumb(
                                t.frame().id(),
                                ACTION + "?frame=" + t.frame().id(),
                                t.frame().it().file().name(),
                                "",
                                chosen.filter(c -> c.frame().id() == t.frame().id())
                                        .isPresent(),
                                ""))
                        .toList(),
                chosen.flatMap(t -> verdict.map(v -> ChosenPicture.of(both, t, v, ZoneOffset.UTC, ACTION))),
                chosen.flatMap(t -> verdict.map(v -> causes(t.frame().it(), v, series)))
                        .orElseGet(List::of),
                series.map(ReviewWords::oneWay).orElse(""),
                wrong);
    }

    private static Taken taken(Kept<TakenFrame> f) {
        return new Taken(
                f, f.it().file().shot().opened(ZoneOffset.UTC, 0), Optional.empty(), Optional.empty(), List.of());
    }

    private static List<ReviewPage.Asked> causes(TakenFrame f, Verdict v, Optional<OneWay> series) {
        return Softness.of(f.file(), f.reading(), v, Map.of(), series).stream()
                .map(a -> ReviewPage.Asked.of(a, a.found() == Softness.Found.ASK))
                .toList();
    }
}
