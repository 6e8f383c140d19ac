package org.halfdusk.web.phone;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.GeneralSecurityException;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.OtherDoor;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Switches the phones' door, says where it is, and guides a phone through it. */
@Controller
class PhoneController {
    private final PhoneDoor door;

    PhoneController(PhoneDoor door) {
        this.door = door;
    }

    @GetMapping("/phone")
    String show(Model model) throws GeneralSecurityException {
        return page("", model);
    }

    /** @param action on, off or forget */
    @PostMapping("/phone")
    String change(
            @RequestParam(defaultValue = "") String action,
            @RequestParam(defaultValue = "") String password,
            Model model,
            HttpServletResponse response)
            throws IOException, GeneralSecurityException {
        try {
            switch (action) {
                case "on" -> door.on(password);
                case "off" -> door.off();
                case "forget" -> door.forget();
                default ->
                    throw new IllegalArgumentException(
                            "“" + TypedNumber.shown(action) + "” is not known here; on, off and forget are allowed");
            }
            return "redirect:/phone";
        } catch (IllegalArgumentException | PhoneDoor.Refused e) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            return page(Words.sentence(String.valueOf(e.getMessage())), model);
        }
    }

    private String page(String wrong, Model model) throws GeneralSecurityException {
        Optional<Authority> authority = door.authority();
        Optional<Authority> reached = authority.filter(a -> door.open());
        List<String> addresses = reached.map(door::addresses).orElseGet(List::of);
        model.addAttribute("open", door.open());
        model.addAttribute("wrong", wrong);
        model.addAttribute("user", OtherDoor.USER);
        model.addAttribute("least", PhoneDoor.LEAST_PASSWORD);
        model.addAttribute("addresses", addresses);
        model.addAttribute("strange", reached.map(door::strange).orElseGet(List::of));
        model.addAttribute("code", addresses.isEmpty() ? null : QrPicture.of(addresses.get(0) + "/phone/guide"));
        model.addAttribute("guide", addresses.isEmpty() ? "" : addresses.get(0) + "/phone/guide");
        model.addAttribute(
                "fingerprint", authority.isPresent() ? authority.get().fingerprint() : "");
        model.addAttribute("may", authority.map(a -> String.join(", ", a.may())).orElse(""));
        model.addAttribute("until", authority.map(PhoneController::until).orElse(""));
        return "phone/phone";
    }

    private static String until(Authority a) {
        return Times.dateWithYear(
                a.certificate().getNotAfter().toInstant().atZone(ZoneOffset.UTC).toLocalDate());
    }

    /** For the phone itself, before it trusts anything: what to install, and how to see that it is the right one. */
    @GetMapping("/phone/guide")
    String guide(Model model) throws GeneralSecurityException {
        Authority a = door.authority().orElseThrow(PhoneController::none);
        model.addAttribute("fingerprint", a.fingerprint());
        model.addAttribute("may", String.join(", ", a.may()));
        model.addAttribute("until", until(a));
        return "phone/guide";
    }

    @GetMapping("/phone/authority.crt")
    ResponseEntity<byte[]> authority() throws GeneralSecurityException {
        Authority a = door.authority().orElseThrow(PhoneController::none);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"half-dusk-authority.crt\"")
                .contentType(MediaType.parseMediaType("application/x-x509-ca-cert"))
                .body(a.certificate().getEncoded());
    }

    private static NotFound none() {
        return new NotFound("There is no authority yet; switching phones on in Settings makes one.");
    }
}
