package org.halfdusk.web.sequence.files;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Optional;
import org.halfdusk.shoot.search.CalendarEvents;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.Address;
import org.halfdusk.web.shoot.begin.Identities;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A calendar that other programs subscribe to, under an address that nobody guesses. */
@Controller
class CalendarFeedController {
    private final CalendarDesk calendar;
    private final CalendarEvents events;
    private final Identities identities;

    CalendarFeedController(CalendarDesk calendar, CalendarEvents events, Identities identities) {
        this.calendar = calendar;
        this.events = events;
        this.identities = identities;
    }

    @GetMapping("/calendar/{secret}.ics")
    ResponseEntity<byte[]> feed(@PathVariable String secret) {
        boolean right = events.secret()
                .filter(s -> MessageDigest.isEqual(
                        s.getBytes(StandardCharsets.UTF_8), secret.getBytes(StandardCharsets.UTF_8)))
                .isPresent();
        if (!right) {
            throw new NotFound("There is no calendar at this address; Settings has the one that holds.");
        }
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .cacheControl(CacheControl.noCache())
                .body(calendar.feed(Address.here()).getBytes(StandardCharsets.UTF_8));
    }

    /** A new address, or none any more. */
    @PostMapping("/calendar")
    String renew(@RequestParam(defaultValue = "") String end) {
        events.secret(end.isEmpty() ? Optional.of(identities.secret()) : Optional.empty());
        return "redirect:/settings#calendar";
    }
}
