package org.halfdusk.web.standin;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** Sows the demo world on the first start of the profile {@code demo}. */
@Component
@Profile("demo")
class DemoStart implements ApplicationRunner {
    private final DemoWorld world;

    DemoStart(DemoWorld world) {
        this.world = world;
    }

    @Override
    public void run(ApplicationArguments args) {
        world.sowOnce();
    }
}
