package org.halfdusk.web.pack;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.halfdusk.shoot.kept.AllOrNothing;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.PackLists;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.exchange.CsvFile;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Ticks things off the packing list, and takes a person's own on it. */
@Controller
class PackController {
    private final PackLists lists;
    private final Shoots shoots;
    private final ShootDesk desk;
    private final PackPages pages;
    private final AllOrNothing atOnce;

    private static final Pattern KEY = Pattern.compile("[A-Za-z0-9_. -]{1,60}");

    PackController(PackLists lists, Shoots shoots, ShootDesk desk, PackPages pages, AllOrNothing atOnce) {
        this.atOnce = atOnce;
        this.lists = lists;
        this.shoots = shoots;
        this.desk = desk;
        this.pages = pages;
    }

    /** The list as a table. */
    @GetMapping("/shoots/{id}/pack/list.csv")
    ResponseEntity<byte[]> csv(@PathVariable long id, @ModelAttribute("frame") Shell.Frame frame) {
        PackPage page = pages.page(desk.open(id, Optional.empty()), frame.theme());
        List<List<Object>> rows = Stream.concat(
                        page.rows().stream()
                                .map(r -> List.<Object>of(r.name(), r.because(), r.packed() ? "yes" : "no")),
                        page.own().stream().map(o -> List.<Object>of(o.name(), "", o.packed() ? "yes" : "no")))
                .toList();
        return CsvFile.answer("half-dusk-pack-" + id + ".csv", CsvFile.of(List.of("thing", "because", "packed"), rows));
    }

    /** @param was keys that were ticked on the page @param packed keys that now are: only what differs is changed */
    @PostMapping("/shoots/{id}/pack/ticks")
    String ticks(
            @PathVariable long id,
            @RequestParam(defaultValue = "") List<String> was,
            @RequestParam(defaultValue = "") List<String> packed) {
        known(id);
        packed.stream().filter(k -> !KEY.matcher(k).matches()).findFirst().ifPresent(k -> {
            throw new IllegalArgumentException("“" + TypedNumber.shown(k)
                    + "” is no thing of this list; the keys that the page sends are allowed");
        });
        atOnce.of(() -> {
            packed.stream().filter(k -> !was.contains(k)).forEach(k -> lists.tick(id, k, true));
            was.stream().filter(k -> !packed.contains(k)).forEach(k -> lists.tick(id, k, false));
            return true;
        });
        return "redirect:/shoots/" + id + "/pack";
    }

    @PostMapping("/shoots/{id}/pack/own")
    String add(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String name,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model,
            HttpServletResponse response) {
        known(id);
        try {
            lists.add(id, name);
            return "redirect:/shoots/" + id + "/pack#own";
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            ShootDesk.Open open = desk.open(id, Optional.empty());
            model.addAttribute("shoot", desk.page(open, "pack", frame.theme()));
            model.addAttribute("edit", ShootEditing.untouched());
            model.addAttribute(
                    "page",
                    pages.page(open, frame.theme()).refused(name, Words.sentence(String.valueOf(e.getMessage()))));
            return "pack/pack";
        }
    }

    @PostMapping("/shoots/{id}/pack/own/{item}/remove")
    String remove(@PathVariable long id, @PathVariable long item) {
        known(id);
        if (!lists.remove(id, item)) {
            throw new NotFound("There is no thing number " + item + " on this list.");
        }
        return "redirect:/shoots/" + id + "/pack?removed=" + item + "#own";
    }

    @PostMapping("/shoots/{id}/pack/own/{item}/restore")
    String restore(@PathVariable long id, @PathVariable long item) {
        known(id);
        if (!lists.restore(id, item)) {
            throw new NotFound("There is no thing number " + item + " that was taken off this list.");
        }
        return "redirect:/shoots/" + id + "/pack#own";
    }

    private void known(long id) {
        if (shoots.find(id).isEmpty()) {
            throw NotFound.shoot(id);
        }
    }
}
