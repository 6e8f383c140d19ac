package org.halfdusk.web.layout;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Readers of pages that know nothing else ask for the mark here. */
@Controller
class FaviconController {
    @GetMapping("/favicon.ico")
    String mark() {
        return "redirect:/assets/mark.svg";
    }
}
