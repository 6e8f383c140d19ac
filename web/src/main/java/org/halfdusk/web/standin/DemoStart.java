package org.halfdusk.web.standin;

import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.stereotype.Component;

/** Sows the demo world on the first start of the profile {@code demo}, before the first page can be asked for. */
@Component
class DemoStart implements SmartInitializingSingleton {
    private final DemoWorld world;
    private final boolean demo;

    DemoStart(DemoWorld world, Environment environment) {
        this.world = world;
        this.demo = environment.acceptsProfiles(Profiles.of("demo"));
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (demo) {
            world.sowOnce();
        }
    }
}
