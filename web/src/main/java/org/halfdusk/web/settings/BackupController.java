package org.halfdusk.web.settings;

import jakarta.servlet.http.HttpServletResponse;
import org.halfdusk.web.door.Upload;
import org.halfdusk.web.exchange.backup.BackupDesk;
import org.halfdusk.web.exchange.backup.BackupFile;
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
import org.springframework.web.multipart.MultipartFile;

/** Everything as one file, out and in. */
@Controller
class BackupController {
    private static final int MOST_BYTES = 50_000_000;

    private final BackupDesk desk;
    private final Settings settings;

    BackupController(BackupDesk desk, Settings settings) {
        this.desk = desk;
        this.settings = settings;
    }

    @GetMapping("/backup.json")
    ResponseEntity<byte[]> take() {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"half-dusk-backup.json\"")
                .body(BackupFile.write(desk.take()));
    }

    @PostMapping("/backup")
    String bringIn(@RequestParam MultipartFile file, Model model, HttpServletResponse response) {
        try {
            BackupDesk.Report report =
                    desk.bringIn(BackupFile.read(Upload.text(file, MOST_BYTES, "a backup of Half Dusk")));
            settings.reread();
            model.addAttribute("heading", "The backup is in");
            model.addAttribute(
                    "text",
                    report.added() + " things were added; " + report.there()
                            + " were there already, the same in every figure, and were not doubled.");
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            model.addAttribute("heading", "That cannot be brought in");
            model.addAttribute("text", Words.sentence(String.valueOf(e.getMessage())) + " Nothing was changed.");
        }
        model.addAttribute("back", "/settings");
        return "layout/said";
    }
}
