package org.halfdusk.web.frame;

import org.halfdusk.light.sources.MilkyWay;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Works the Milky Way's light out beside the start, so that the first frame does not wait for it. */
@Component
class BandAtStart {
    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        Thread worker = new Thread(MilkyWay::instance, "milky-way");
        worker.setDaemon(true);
        worker.start();
    }
}
