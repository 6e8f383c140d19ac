package org.halfdusk.web.shoot.begin;

import java.util.List;
import java.util.Map;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.review.Afterwards;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.web.layout.words.Times;
import org.springframework.stereotype.Component;

/** What was brought home from a place before: comes back when it is looked at or planned again. */
@Component
public class EarlierHere {
    private static final int MOST_SHOWN = 6;

    private final Frames frames;
    private final Shoots shoots;

    EarlierHere(Frames frames, Shoots shoots) {
        this.frames = frames;
        this.shoots = shoots;
    }

    /** @param picture number of the frame that stands for it; 0 for none */
    public record Visit(String title, String href, String night, Afterwards noted, long picture) {}

    /** Shoots at a place with frames or notes, the latest first. @param except a shoot that is not told of itself; 0 for none */
    public List<Visit> at(long placeId, long except) {
        Map<Long, Afterwards> noted = frames.afterwards();
        Map<Long, Integer> counts = frames.counts();
        if (noted.isEmpty() && counts.isEmpty()) {
            return List.of();
        }
        return shoots.at(placeId).stream()
                .filter(s -> s.id() != except)
                .filter(s -> counts.containsKey(s.id())
                        || !noted.getOrDefault(s.id(), Afterwards.NOTHING).empty())
                .limit(MOST_SHOWN)
                .map(s -> new Visit(
                        s.it().title(),
                        "/shoots/" + s.id() + "/review",
                        Times.longDate(s.it().night()),
                        noted.getOrDefault(s.id(), Afterwards.NOTHING),
                        counts.containsKey(s.id())
                                ? TakenFrame.best(frames.judged(s.id(), Shoots.FIRST_RIG), j -> j)
                                        .map(Kept::id)
                                        .orElse(0L)
                                : 0L))
                .toList();
    }
}
