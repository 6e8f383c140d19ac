package org.halfdusk.web.layout;

import java.time.Duration;
import java.util.regex.Pattern;
import org.halfdusk.typed.TypedNumber;
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
        return set("theme", oneOf("theme", theme, "desk", "field"), back);
    }

    @PostMapping("/keys")
    ResponseEntity<Void> shortcuts(@RequestParam String keys) {
        return set("keys", oneOf("keys", keys, "on", "off"), "/keys");
    }

    private static String oneOf(String name, String value, String first, String second) {
        if (!value.equals(first) && !value.equals(second)) {
            throw new IllegalArgumentException(
                    name + " “" + TypedNumber.shown(value) + "” is not known; allowed are " + first + " and " + second);
        }
        return value;
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

    /** A path and perhaps a query as an address bar shows them: no second slash, nothing that is not encoded. */
    private static final Pattern LOCAL = Pattern.compile(
            "/(?!/)(?:[A-Za-z0-9/._~:,;+=@-]|%[0-9A-Fa-f]{2}){0,500}(?:\\?(?:[A-Za-z0-9/._~:,;+=@&?-]|%[0-9A-Fa-f]{2}){0,1500})?");

    /** Only paths of this application: never an address elsewhere. */
    static String local(String back) {
        return LOCAL.matcher(back).matches() ? back : "/nights";
    }
}
