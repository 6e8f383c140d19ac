package org.halfdusk.web.shoot;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.shoot.kept.RunLog;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.running.ClockOffset;
import org.halfdusk.shoot.running.Fault;
import org.halfdusk.shoot.running.Rehearsal;
import org.halfdusk.web.door.NotFound;
import org.halfdusk.web.layout.Words;
import org.springframework.stereotype.Component;

/** A shoot's night gone through against simulated cameras, with what was found in sentences. */
@Component
public class RehearsalDesk {
    private final Shoots shoots;
    private final RunLog log;
    private final ShootDesk desk;

    RehearsalDesk(Shoots shoots, RunLog log, ShootDesk desk) {
        this.shoots = shoots;
        this.log = log;
        this.desk = desk;
    }

    /** @param findings in sentences, with what mends each */
    public record Gone(Rehearsal rehearsal, List<Found> findings, ZoneId zone) {}

    /** @param href where it is mended; empty where hands have to */
    public record Found(String sentence, String mend, String href) {}

    /** @throws NotFound where there is no such shoot */
    public Gone gone(long id, long seed, Set<Fault> faults) {
        if (shoots.find(id).isEmpty()) {
            throw NotFound.shoot(id);
        }
        Map<Long, ClockOffset> clocks = log.clocks();
        List<ShootDesk.Open> open = shoots.rigs(id).stream()
                .map(r -> desk.open(id, (int) r.id(), Optional.empty()))
                .toList();
        Rehearsal r = Rehearsal.of(
                open.stream()
                        .map(o -> new Rehearsal.OfRig(
                                o.rig(),
                                o.plan(),
                                o.programme(),
                                o.shoot().it().rig().choices(),
                                o.air(),
                                Optional.ofNullable(
                                                clocks.get(o.shoot().it().rig().cameraId()))
                                        .map(ClockOffset::seconds)
                                        .orElse(0.0)))
                        .toList(),
                seed,
                faults);
        ZoneId zone = open.get(0).plan().place().zone();
        List<Found> found = r.findings().stream()
                .map(f -> found(f, open.size() > 1, zone, ShootDesk.Open.base(id, f.rig())))
                .toList();
        return new Gone(r, found, zone);
    }

    private static Found found(Rehearsal.Finding f, boolean many, ZoneId zone, String base) {
        String who = many ? "Rig " + (f.rig() + 1) : "The camera";
        String when = f.frames() == 1
                ? "the frame at " + Words.clockSeconds(f.first(), zone)
                : f.frames() + " of " + f.of() + " frames, " + Words.clockSeconds(f.first(), zone) + " to "
                        + Words.clockSeconds(f.last(), zone);
        RehearsalWords.Cause cause = RehearsalWords.cause(f.reason());
        return new Found(
                who + (f.fired() ? " spoilt " : " lost ") + when + ": " + cause.because() + ".",
                cause.mend(),
                cause.step().isEmpty() ? "" : base + "/" + cause.step());
    }
}
