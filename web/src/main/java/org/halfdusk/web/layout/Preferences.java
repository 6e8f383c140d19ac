package org.halfdusk.web.layout;

import java.time.Duration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Theme and shortcut keys: this browser's choices, kept in cookies. */
@Controller
class Preferences {
    @GetMapping("/keys")
    String keys() {
        return "layout/keys";
    }

    @PostMapping("/theme")
    ResponseEntity<Void> theme(@RequestParam String theme, @RequestParam(defaultValue = "/nights") String back) {
        return set("theme", "field".equals(theme) ? "field" : "desk", back);
    }

    @PostMapping("/keys")
    ResponseEntity<Void> shortcuts(@RequestParam String keys) {
        return set("keys", "off".equals(keys) ? "off" : "on", "/keys");
    }

    private static ResponseEntity<Void> set(String name, String value, String back) {
        ResponseCookie cookie = ResponseCookie.from(name, value)
                .path("/")
                .maxAge(Duration.ofDays(365))
                .httpOnly(true)
                .sameSite("Strict")
                .build();
        return ResponseEntity.status(HttpStatus.SEE_OTHER)
                .header(HttpHeaders.SET_COOKIE, cookie.toString())
                .header(HttpHeaders.LOCATION, local(back))
                .build();
    }

    /** Only paths of this application: never an address elsewhere. */
    static String local(String back) {
        return back.startsWith("/") && !back.startsWith("//") && !back.contains("\\") ? back : "/nights";
    }
}
