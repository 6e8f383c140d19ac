package org.halfdusk.web.shoot;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.exposure.FNumber;
import org.halfdusk.shoot.ExposurePlan;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.MilkyWayPlan;
import org.halfdusk.shoot.Planner;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.NightStrip;
import org.halfdusk.web.layout.NotFound;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.milkyway.MilkyWayWords;
import org.springframework.stereotype.Component;

/** Opens a shoot, plans it and words its frame. */
@Component
public class ShootDesk {
    private final Shoots shoots;
    private final Planner planner;

    ShootDesk(Shoots shoots, Planner planner) {
        this.shoots = shoots;
        this.planner = planner;
    }

    /** A shoot with all that follows from it, at a moment of its night. */
    public record Open(Kept<Shoot> shoot, MilkyWayPlan plan, Instant at) {}

    /**
     * @param at what the address says of the playhead: an instant, a time of day, or nothing for the best moment
     * @throws NotFound where there is no such shoot
     */
    public Open open(long id, Optional<String> at) {
        Kept<Shoot> shoot = shoots.find(id)
                .orElseThrow(() -> new NotFound("There is no shoot number " + id + ", or it was deleted."));
        MilkyWayPlan plan = planner.plan(shoot.it());
        Interval axis = NightStrip.axisOf(plan.night().night());
        Instant wished = at.filter(a -> !a.isBlank())
                .flatMap(a -> playhead(a, axis, plan.place().zone()))
                .orElse(plan.night().bestMoment());
        Instant inside =
                wished.isBefore(axis.start()) ? axis.start() : wished.isAfter(axis.end()) ? axis.end() : wished;
        return new Open(shoot, plan, inside);
    }

    /** An instant as it is; a time of day at its first occurrence along the axis. Nonsense counts as nothing. */
    private static Optional<Instant> playhead(String text, Interval axis, ZoneId zone) {
        try {
            if (text.contains("T")) {
                return Optional.of(Instant.parse(text));
            }
            LocalTime time = LocalTime.parse(text);
            LocalDate first = LocalDate.ofInstant(axis.start(), zone);
            Instant sameDay = first.atTime(time).atZone(zone).toInstant();
            return Optional.of(
                    sameDay.isBefore(axis.start())
                            ? first.plusDays(1).atTime(time).atZone(zone).toInstant()
                            : sameDay);
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** The frame of a page of this shoot. */
    public ShootPage page(Open open, String step, Theme theme) {
        Shoot shoot = open.shoot().it();
        MilkyWayPlan plan = open.plan();
        ZoneId zone = plan.place().zone();
        ExposurePlan e = plan.exposure();
        List<String> caption = List.of(
                e.shutter().label(),
                FNumber.label(e.aperture()),
                "ISO " + e.iso(),
                Words.plain(plan.rig().focalMm()) + " mm " + (plan.framing().upright() ? "upright" : "level"),
                ExposurePlan.WHITE_BALANCE_KELVIN + " K");
        Map<String, String> was = new HashMap<>();
        shoots.fields(open.shoot().id()).forEach((field, text) -> was.put(field.name(), text));
        return new ShootPage(
                open.shoot().id(),
                shoot.title(),
                plan.place().name(),
                "night of " + Words.longDate(shoot.night()),
                Words.clock(shoot.savedAt(), zone),
                shoots.undoable(open.shoot().id()),
                step,
                steps(open, step),
                NightStrip.large(plan.night(), theme, open.at()),
                open.at().toString(),
                Words.clock(open.at(), zone),
                nextGoodNight(open),
                caption,
                String.join("  ", caption),
                "Trails " + Words.tenths(e.middlePx()) + " px in the middle, " + Words.tenths(e.cornerPx())
                        + " px in the worst corner",
                was);
    }

    private static List<ShootPage.Step> steps(Open open, String current) {
        String base = "/shoots/" + open.shoot().id() + "/";
        String query = "?at=" + open.at();
        ExposurePlan e = open.plan().exposure();
        String exposure = e.shutter().label() + " " + FNumber.label(e.aperture()) + " ISO " + e.iso();
        return List.of(
                step("Night", MilkyWayWords.answer(open.plan().night()), base + "night" + query, current),
                step("Frame", "will draw the view", "", current),
                step("Expose", exposure, base + "expose" + query, current),
                step("Sequence", "will time the frames", "", current),
                step("Pack", "will list what to take", "", current),
                step("Run", "will count the night down", "", current),
                step("Review", "will keep what was learnt", "", current));
    }

    private static ShootPage.Step step(String name, String answer, String href, String current) {
        return new ShootPage.Step(name, answer, href, name.equalsIgnoreCase(current));
    }

    /** The next night within two months whose score is at least as good as most: three quarters of the best in them. */
    private String nextGoodNight(Open open) {
        LocalDate after = open.shoot().it().night().plusDays(1);
        var nights = planner.nights(open.plan().place(), after, 60);
        int most = Planner.best(nights).map(n -> n.score().total()).orElse(0);
        return nights.stream()
                .filter(n -> n.score().total() > 0 && n.score().total() >= 0.75 * most)
                .findFirst()
                .map(n -> n.night().date().toString())
                .orElse("");
    }
}
