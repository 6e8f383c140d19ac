package org.halfdusk.web.frame.sky;

import java.time.Duration;
import java.util.Optional;
import org.halfdusk.shoot.Plan;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

/** The sky of a shoot's night for the canvas. */
@RestController
class SkyController {
    private final ShootDesk desk;

    SkyController(ShootDesk desk) {
        this.desk = desk;
    }

    /** @param v names a state of place and night; what is asked for by it never changes */
    @GetMapping("/shoots/{id}/sky")
    ResponseEntity<SkySheet> sky(@PathVariable long id, @RequestParam(defaultValue = "") String v, WebRequest request) {
        Plan plan = desk.open(id, Optional.empty()).plan();
        // Weak, so that it may be compressed on its way.
        String version = "W/\"" + SkySheet.version(plan) + "\"";
        if (request.checkNotModified(version)) {
            return ResponseEntity.status(HttpStatus.NOT_MODIFIED).build();
        }
        return ResponseEntity.ok()
                .eTag(version)
                .cacheControl(
                        v.isEmpty()
                                ? CacheControl.noCache()
                                : CacheControl.maxAge(Duration.ofHours(12)).cachePrivate())
                .body(SkySheet.of(plan));
    }
}
