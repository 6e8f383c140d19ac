package org.halfdusk.web.run;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.running.Hand;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.shoot.running.WayOut;
import org.halfdusk.typed.Codec;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.shoot.Playhead;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.StepPages;
import org.halfdusk.web.shoot.begin.Identities;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.stereotype.Component;

/** The Run step of a shoot. */
@Component
class RunPages implements StepPages {
    private final RunLog log;
    private final Identities identities;
    private final ObjectProvider<ShootDesk> desk;
    private final Clock clock;
    private final boolean moved;

    RunPages(RunLog log, Identities identities, ObjectProvider<ShootDesk> desk, Clock clock, Environment environment) {
        this.log = log;
        this.identities = identities;
        this.desk = desk;
        this.clock = clock;
        this.moved = environment.acceptsProfiles(Profiles.of("demo"));
    }

    @Override
    public String step() {
        return "run";
    }

    @Override
    public String answer(ShootDesk.Open open) {
        int done = RunEntry.done(log.entries(open.shoot().id())).size();
        List<Hand> hands = Hand.of(open.rig(), open.plan(), open.programme());
        return hands.isEmpty()
                ? "nothing to count"
                : done > 0 ? done + " done of " + hands.size() : hands.size() + " steps by hand";
    }

    RunBundle bundle(long id) {
        return bundle(desk.getObject().all(id));
    }

    /** @param open a shoot through each of its rigs */
    RunBundle bundle(List<ShootDesk.Open> open) {
        return bundle(open, log.entries(open.get(0).shoot().id()));
    }

    private RunBundle bundle(List<ShootDesk.Open> open, List<RunEntry> entries) {
        return RunBundle.of(open, entries, clock.instant(), moved);
    }

    @Override
    public Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme) {
        List<RunEntry> entries = log.entries(open.shoot().id());
        RunBundle bundle = bundle(desk.getObject().all(open), entries);
        Set<RunEntry.Step> done = RunEntry.done(entries);
        return new RunPage(
                bundle,
                bundle.json(),
                bundle.steps().stream()
                        .map(s -> new RunPage.Row(s, done.contains(new RunEntry.Step(s.rig(), s.id()))))
                        .toList(),
                bundle.noted().stream()
                        .filter(n -> n.kind().equals(RunEntry.Kind.NOTE.name()))
                        .toList(),
                open.rig(),
                open.subject().view().practice(),
                result.errors());
    }

    /** A way out that was chosen becomes the rig's blocks; Undo takes it back. */
    @Override
    public ShootEditing.More more(Supplier<ShootDesk.Open> open) {
        return form -> form.text("way").isEmpty() ? List.of() : chosen(open.get(), form);
    }

    private List<Shoots.Edit<?>> chosen(ShootDesk.Open open, FormErrors form) {
        WayOut.Kind kind = form.check(
                "way", () -> Codec.constant("way out", WayOut.Kind.class).read(form.text("way")));
        WayOut.Trouble trouble = form.check("minutes", () -> trouble(form));
        if (kind == null || trouble == null) {
            return List.of();
        }
        return WayOut.of(open.plan(), open.shoot().it().rig().choices(), trouble).stream()
                .filter(w -> w.kind() == kind)
                .findFirst()
                .<List<Shoots.Edit<?>>>map(w -> List.of(Shoots.Edit.of(
                        open.shoot().it(),
                        ShootField.BLOCKS,
                        w.laid().named(identities::block).blocks())))
                .orElseGet(List::of);
    }

    /** What went wrong, as a form says it. */
    WayOut.Trouble trouble(FormErrors form) {
        String minutes = form.text("minutes").isBlank() ? "0" : form.text("minutes");
        String spoilt = form.text("spoilt").isBlank() ? "0" : form.text("spoilt");
        Instant at = Playhead.instant(form.text("from")).orElseGet(clock::instant);
        long millis = Math.round(WayOut.Trouble.MINUTES.read(minutes) * 60_000);
        return new WayOut.Trouble(at, Duration.ofMillis(millis), WayOut.Trouble.SPOILT.whole(spoilt));
    }
}
