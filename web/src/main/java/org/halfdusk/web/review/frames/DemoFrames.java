package org.halfdusk.web.review.frames;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.standin.SimulatedNights;
import org.springframework.stereotype.Component;

/** Lets the demo's simulated frames come in when the Review of their shoot is first looked at. */
@Component
public class DemoFrames {
    private final SimulatedNights nights;
    private final BringIn jobs;

    DemoFrames(SimulatedNights nights, BringIn jobs) {
        this.nights = nights;
        this.jobs = jobs;
    }

    public synchronized void begin(ShootDesk.Open open) {
        List<SimulatedNights.Made> made = nights.once(open.shoot().id(), open.plan(), open.programme());
        if (!made.isEmpty()) {
            jobs.begin(open, made.stream().map(DemoFrames::source).toList());
        }
    }

    private static BringIn.Source source(SimulatedNights.Made m) {
        return new BringIn.Source() {
            @Override
            public String name() {
                return m.name();
            }

            @Override
            public Path file() throws IOException {
                return m.file();
            }
        };
    }
}
