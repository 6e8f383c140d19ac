package org.halfdusk.web.run;

import java.util.List;
import java.util.Map;
import org.halfdusk.web.layout.Assets;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** What makes the pages installable: the worker, asked for anew each time, and what the device calls the application. */
@Controller
class AlongController {
    @GetMapping("/sw.js")
    ResponseEntity<String> worker() {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache())
                .header(HttpHeaders.CONTENT_TYPE, "text/javascript;charset=UTF-8")
                .body(Assets.text("sw.js"));
    }

    /** Where it begins, what it is called, its colours. */
    record Manifest(
            String name,
            String short_name,
            String start_url,
            String scope,
            String display,
            String background_color,
            String theme_color,
            List<Map<String, String>> icons) {}

    @GetMapping("/manifest.webmanifest")
    ResponseEntity<Manifest> manifest() {
        Map<String, String> icon =
                Map.of("src", "/assets/mark.svg", "type", "image/svg+xml", "sizes", "any", "purpose", "any");
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("application/manifest+json"))
                .body(new Manifest(
                        "Half Dusk", "Half Dusk", "/shoots", "/", "standalone", "#000000", "#000000", List.of(icon)));
    }
}
