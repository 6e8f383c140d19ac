package org.halfdusk.web.layout;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Where the figures come from and how good they are. */
@Controller
class AboutController {
    @GetMapping("/about")
    String about() {
        return "layout/about";
    }
}
