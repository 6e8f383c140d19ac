package org.halfdusk.web.layout;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.ZoneId;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What every page's frame needs to know. */
@ControllerAdvice
public class Shell {
    private final Clock clock;
    private final boolean demo;
    private final AssetLinks assets;

    Shell(Clock clock, Environment environment, AssetLinks assets) {
        this.clock = clock;
        this.assets = assets;
        this.demo = environment.acceptsProfiles(Profiles.of("demo"));
    }

    /**
     * @param demoClock what the demo's clock shows, empty outside the demo
     * @param keys whether single-letter shortcuts are on
     * @param here this page's path with its query, for forms that come back to it
     * @param assets where its scripts, styles and fonts are asked for
     */
    public record Frame(Theme theme, String demoClock, boolean keys, String here, AssetLinks assets) {}

    @ModelAttribute("frame")
    public Frame frame(HttpServletRequest request) {
        String theme = cookie(request, "theme");
        String keys = cookie(request, "keys");
        ZoneId madrid = ZoneId.of("Europe/Madrid");
        String clockWords = "";
        if (demo) {
            var now = clock.instant();
            clockWords = "Demo clock: " + Times.longDate(now.atZone(madrid).toLocalDate()) + ", "
                    + Times.clockOf(now, madrid);
        }
        String query = request.getQueryString() == null ? "" : "?" + request.getQueryString();
        return new Frame(Theme.of(theme), clockWords, !"off".equals(keys), request.getRequestURI() + query, assets);
    }

    private static String cookie(HttpServletRequest request, String name) {
        if (request.getCookies() != null) {
            for (Cookie c : request.getCookies()) {
                if (c.getName().equals(name)) {
                    return c.getValue();
                }
            }
        }
        return "";
    }
}
