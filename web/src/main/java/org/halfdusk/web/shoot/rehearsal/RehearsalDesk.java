package org.halfdusk.web.shoot.rehearsal;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.camera.Fault;
import org.halfdusk.shoot.camera.Reason;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.running.Rehearsal;
import org.halfdusk.shoot.setting.Recording;
import org.halfdusk.typed.Field;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.stereotype.Component;

/** A shoot's night gone through against simulated cameras, with what was found in sentences. */
@Component
public class RehearsalDesk {
    private final Shoots shoots;
    private final ShootDesk desk;

    RehearsalDesk(Shoots shoots, ShootDesk desk) {
        this.shoots = shoots;
        this.desk = desk;
    }

    /**
     * @param findings in sentences, with what mends each
     * @param held what went wrong and cost nothing, in sentences
     * @param open the shoot through each of its rigs
     */
    public record Gone(Rehearsal rehearsal, List<Found> findings, List<Held> held, List<ShootDesk.Open> open) {
        public ZoneId zone() {
            return open.get(0).plan().place().zone();
        }

        /** Whether there are several rigs. */
        public boolean many() {
            return open.size() > 1;
        }
    }

    /**
     * @param key what is found again in another rehearsal
     * @param at when it shows
     * @param remedy what does it
     */
    public record Found(String key, Instant at, String sentence, String mend, Remedy remedy) {}

    /** @param at when it is over */
    public record Held(Instant at, String sentence) {}

    /**
     * A button that mends.
     *
     * @param post whether it changes something; else it leads there
     * @param fields that it sends
     */
    public record Remedy(String label, String href, boolean post, Map<String, String> fields) {
        private static Remedy go(String label, String href) {
            return new Remedy(label, href, false, Map.of());
        }
    }

    /** @throws NotFound where there is no such shoot */
    public Gone gone(long id, long seed, Set<Fault> faults) {
        return gone(id, seed, faults, List.of());
    }

    /**
     * @param placed faults that strike at their moments beside those
     * @throws NotFound where there is no such shoot
     */
    public Gone gone(long id, long seed, Set<Fault> faults, List<Rehearsal.Placed> placed) {
        if (shoots.find(id).isEmpty()) {
            throw NotFound.shoot(id);
        }
        List<ShootDesk.Open> open = desk.all(id);
        Rehearsal r = Rehearsal.of(
                open.stream()
                        .map(o -> new Rehearsal.OfRig(
                                o.rig(),
                                o.plan(),
                                o.programme(),
                                o.shoot().it().rig().choices(),
                                o.air(),
                                o.clock().map(ClockOffset::seconds).orElse(0.0)))
                        .toList(),
                seed,
                faults,
                placed);
        ZoneId zone = open.get(0).plan().place().zone();
        boolean many = open.size() > 1;
        List<Found> found = Stream.concat(
                        r.findings().stream().map(f -> found(f, who(f.rig(), many), zone, of(open, f.rig()))),
                        r.injected().stream()
                                .filter(i -> i.fault() == Fault.FILTER_OFF && !cost(i, r))
                                .map(i -> bare(i, who(i.rig(), many), zone, id)))
                .sorted(Comparator.comparing(Found::at))
                .toList();
        List<Held> held = r.injected().stream()
                .filter(i -> i.fault() != Fault.FILTER_OFF && i.until().isAfter(i.from()) && !cost(i, r))
                .map(i -> new Held(
                        i.until(),
                        who(i.rig(), many) + " with " + RehearsalWords.name(i.fault()) + " at "
                                + Times.clockSeconds(i.from(), zone) + ": no frame lost by it."))
                .toList();
        return new Gone(r, found, held, open);
    }

    private static String who(int rig, boolean many) {
        return many ? "Rig " + (rig + 1) : "The camera";
    }

    private static ShootDesk.Open of(List<ShootDesk.Open> open, int rig) {
        return open.stream().filter(o -> o.rig() == rig).findFirst().orElseThrow();
    }

    /** Whether any frame was lost or spoilt while it was there, or because of it. */
    private static boolean cost(Rehearsal.Injected i, Rehearsal r) {
        return r.missed().stream()
                .filter(m -> m.rig() == i.rig())
                .anyMatch(m -> m.reason().name().equals(i.fault().name())
                        || !m.opens().isBefore(i.from()) && m.opens().isBefore(i.until()));
    }

    private static Found found(Rehearsal.Finding f, String who, ZoneId zone, ShootDesk.Open open) {
        String when = f.frames() == 1
                ? "the frame at " + Times.clockSeconds(f.first(), zone)
                : f.frames() + " of " + f.of() + " frames, " + Times.clockSeconds(f.first(), zone) + " to "
                        + Times.clockSeconds(f.last(), zone);
        RehearsalWords.Cause cause = RehearsalWords.cause(f.reason());
        return new Found(
                f.rig() + f.reason().name(),
                f.first(),
                who + (f.fired() ? " spoilt " : " lost ") + when + ": " + cause.because() + ".",
                cause.mend(),
                remedy(f, cause, open));
    }

    /** A lens that is bare in the sun is to be mended whether a frame was lost by it or not. */
    private static Found bare(Rehearsal.Injected i, String who, ZoneId zone, long id) {
        RehearsalWords.Cause cause = RehearsalWords.cause(Reason.FILTER_OFF);
        return new Found(
                i.rig() + i.fault().name(),
                i.from(),
                who + " from " + Times.clockSeconds(i.from(), zone) + " to " + Times.clockSeconds(i.until(), zone)
                        + ": " + cause.because() + ".",
                cause.mend(),
                practise(id, i.from()));
    }

    private static Remedy practise(long id, Instant at) {
        return Remedy.go(
                "Practise it",
                "/shoots/" + id + "/run/rehearsal?from=" + at.minus(PRACTICE).truncatedTo(ChronoUnit.SECONDS));
    }

    private static Remedy remedy(Rehearsal.Finding f, RehearsalWords.Cause cause, ShootDesk.Open open) {
        Recording recording = open.shoot().it().rig().choices().recording();
        String sequence = open.address("sequence");
        boolean laid = Programme.replaces(open.plan()) || open.laid();
        return switch (f.reason()) {
            case BATTERY_EMPTY ->
                laid && open.simulated().emptyAt().isPresent()
                        ? new Remedy("Lay a pause for it", sequence, true, Map.of("action", "battery"))
                        : listed(open, cause);
            case NOISE_REDUCTION ->
                recording.noiseReduction()
                        ? field(open, "Switch it off", RigChoices.NOISE_REDUCTION)
                        : listed(open, cause);
            case BUFFER_FULL -> recording.jpeg() ? field(open, "Raw alone", RigChoices.FILES) : listed(open, cause);
            case CLOCK_OFF -> Remedy.go("Compare the clocks", "/clock");
            case FILTER_ON, FILTER_OFF -> practise(open.shoot().id(), f.first());
            case BULB_LIMIT, BUSY -> Remedy.go("To its blocks", sequence);
            default -> listed(open, cause);
        };
    }

    private static Remedy listed(ShootDesk.Open open, RehearsalWords.Cause cause) {
        return new Remedy(
                "Put on the list", "/shoots/" + open.shoot().id() + "/pack/own", true, Map.of("name", cause.thing()));
    }

    /** Takes back a choice of the rig. */
    private static Remedy field(ShootDesk.Open open, String label, Field<RigChoices, ?> field) {
        String was = field.text(open.shoot().it().rig().choices());
        return new Remedy(label, open.address("sequence"), true, Map.of("was." + field.name(), was, field.name(), ""));
    }

    /** Before what is practised. */
    private static final Duration PRACTICE = Duration.ofSeconds(40);
}
