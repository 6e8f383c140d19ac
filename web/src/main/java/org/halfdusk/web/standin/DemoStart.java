package org.halfdusk.web.standin;

import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** Sows the demo world on the first start of the profile {@code demo}, before the first page can be asked for. */
@Component
@Profile("demo")
class DemoStart implements SmartInitializingSingleton {
    private final DemoWorld world;

    DemoStart(DemoWorld world) {
        this.world = world;
    }

    @Override
    public void afterSingletonsInstantiated() {
        world.sowOnce();
    }
}
