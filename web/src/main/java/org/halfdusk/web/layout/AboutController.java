package org.halfdusk.web.layout;

import java.util.List;
import org.halfdusk.light.ZenithSites;
import org.halfdusk.web.layout.words.Words;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Where the figures come from and how good they are. */
@Controller
class AboutController {
    /** A kind of place, as it is commonly reported and as it is computed here. */
    public record Zenith(String name, String reported, String computed, String off) {}

    private static final class Computed {
        static final List<Zenith> ZENITHS = ZenithSites.all().stream()
                .map(s -> {
                    double computed = s.modelled();
                    return new Zenith(
                            Words.capital(s.name()),
                            Words.tenths(s.reported()),
                            Words.tenths(computed),
                            (computed >= s.reported() ? "+" : "") + Words.tenths(computed - s.reported()));
                })
                .toList();
        static final String MISFIT = Words.plain(Math.rint(100 * ZenithSites.misfit()) / 100);
    }

    @GetMapping("/about")
    String about(Model model) {
        model.addAttribute("zeniths", Computed.ZENITHS);
        model.addAttribute("misfit", Computed.MISFIT);
        return "layout/about";
    }
}
