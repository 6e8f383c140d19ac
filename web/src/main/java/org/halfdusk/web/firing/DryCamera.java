package org.halfdusk.web.firing;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import org.halfdusk.shoot.camera.CameraPort;

/** Says what the tool would be told, and starts nothing. */
record DryCamera(CameraCommand command, int rig, Clock clock) implements CameraPort {
    @Override
    public Duration lead() {
        return Duration.ZERO;
    }

    @Override
    public Taken take(Order order) {
        return new Taken(Optional.of(clock.instant()), Optional.of(String.join(" ", command.of(order, rig))));
    }
}
