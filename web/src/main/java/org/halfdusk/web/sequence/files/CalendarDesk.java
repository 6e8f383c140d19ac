package org.halfdusk.web.sequence.files;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.search.CalendarEvents;
import org.halfdusk.time.Interval;
import org.halfdusk.web.exchange.CalendarFile;
import org.halfdusk.web.sequence.SequencePage;
import org.halfdusk.web.sequence.block.TimerWords;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.begin.Identities;
import org.halfdusk.web.subject.words.BlockWords;
import org.springframework.stereotype.Component;

/** Programmes as calendar events: of one shoot for a file, of all that lie ahead for a feed. */
@Component
record CalendarDesk(ShootDesk desk, Shoots shoots, CalendarEvents events, Identities identities, Clock clock) {
    private static final int ALARM_MINUTES = 10;

    /** A calendar is not a diary: nights older than this are not told any more. */
    private static final int DAYS_BACK = 14;

    private static final int MOST_SHOOTS = 60;

    /** One shoot with all its rigs. @param base of this application's addresses */
    String of(Kept<Shoot> shoot, String base) {
        return CalendarFile.of(
                "Half Dusk: " + shoot.it().title(), entries(shoot.id(), base), clock.instant(), ALARM_MINUTES);
    }

    /** All shoots from two weeks ago on, the next ones first where there are too many. */
    String feed(String base) {
        LocalDate oldest = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC).minusDays(DAYS_BACK);
        List<CalendarFile.Entry> entries = shoots.list("").stream()
                .filter(s -> !s.it().night().isBefore(oldest))
                .sorted(Comparator.comparing((Kept<Shoot> s) -> s.it().night()))
                .limit(MOST_SHOOTS)
                .flatMap(s -> entries(s.id(), base).stream())
                .toList();
        return CalendarFile.of("Half Dusk", entries, clock.instant(), ALARM_MINUTES);
    }

    private List<CalendarFile.Entry> entries(long id, String base) {
        String here = events.installation(identities::secret);
        List<CalendarEvents.Event> now = new ArrayList<>();
        Optional<Place> place = Optional.empty();
        List<ShootDesk.Open> rigs = desk.all(id);
        for (ShootDesk.Open open : rigs) {
            place = Optional.of(open.plan().place());
            for (Programme.Planned p : open.programme().planned()) {
                String uid = p.id() + "." + id + "-" + open.rig() + "@" + here + ".half-dusk";
                now.add(event(p, open, uid, rigs.size() > 1 ? SequencePage.name(open.plan()) + ". " : ""));
            }
        }
        Place at = place.orElseThrow();
        return events.told(id, now).stream()
                .map(e -> new CalendarFile.Entry(
                        e.uid(),
                        e.sequence(),
                        e.cancelled(),
                        e.title(),
                        e.detail(),
                        at,
                        e.when(),
                        base + "/shoots/" + id + "/sequence"))
                .toList();
    }

    /** @param rig that it is of, where a shoot has several */
    private static CalendarEvents.Event event(Programme.Planned p, ShootDesk.Open open, String uid, String rig) {
        Block b = p.block();
        return CalendarEvents.Event.fresh(
                uid,
                BlockWords.name(b.kind()) + ", " + open.shoot().it().title(),
                (rig + BlockWords.settings(b.frames()) + ". " + TimerWords.of(p, open)).trim(),
                Interval.of(
                        b.start(),
                        b.end().isAfter(b.start()) ? b.end() : b.start().plusSeconds(1)));
    }
}
