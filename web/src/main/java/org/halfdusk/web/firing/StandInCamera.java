package org.halfdusk.web.firing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.halfdusk.shoot.camera.CameraPort;
import org.halfdusk.shoot.camera.Conductor;
import org.halfdusk.shoot.camera.SimulatedCamera;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.rehearsal.RehearsalWords;

/** The simulated camera in real time: it fires nothing, and is busy as long as a real one. */
final class StandInCamera implements CameraPort {
    private final SimulatedCamera camera;
    private final ShootDesk.Open open;
    private final Clock clock;
    private final Conductor.Rest rest;

    StandInCamera(ShootDesk.Open open, Clock clock, Conductor.Rest rest) {
        this.camera = new SimulatedCamera(
                open.plan().rig(),
                new SimulatedCamera.Setup(
                        clock.instant(),
                        open.air().celsius(),
                        0,
                        open.shoot().it().rig().choices().recording()));
        this.open = open;
        this.clock = clock;
        this.rest = rest;
    }

    @Override
    public Duration lead() {
        return Duration.ZERO;
    }

    @Override
    public Taken take(Order order) throws InterruptedException {
        Instant at = clock.instant();
        SimulatedCamera.Answer a =
                camera.fire(at, order.frame(), open.plan().rig().fileMegabytes(order.jpeg()), Set.of());
        if (a.opened().isPresent()) {
            rest.until(at.plusNanos(Math.round(order.frame().shutter().realSeconds() * 1e9)));
        }
        return new Taken(a.opened(), a.why().map(RehearsalWords::because));
    }
}
