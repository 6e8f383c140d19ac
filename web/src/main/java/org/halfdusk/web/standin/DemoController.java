package org.halfdusk.web.standin;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;

/** Loads the demo world into an empty application when a person asks for it. */
@Controller
class DemoController {
    private final DemoWorld world;

    DemoController(DemoWorld world) {
        this.world = world;
    }

    @PostMapping("/demo")
    String load() {
        world.sowOnce();
        return "redirect:/nights";
    }
}
