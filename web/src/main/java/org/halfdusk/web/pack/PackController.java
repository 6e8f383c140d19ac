package org.halfdusk.web.pack;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.PackLists;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.web.layout.NotFound;
import org.halfdusk.web.layout.Problems;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.ShootEditing;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
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

    PackController(PackLists lists, Shoots shoots, ShootDesk desk, PackPages pages) {
        this.lists = lists;
        this.shoots = shoots;
        this.desk = desk;
        this.pages = pages;
    }

    /** @param was keys that were ticked on the page @param packed keys that now are: only what differs is changed */
    @PostMapping("/shoots/{id}/pack/ticks")
    String ticks(
            @PathVariable long id,
            @RequestParam(defaultValue = "") List<String> was,
            @RequestParam(defaultValue = "") List<String> packed) {
        known(id);
        packed.stream().filter(k -> !was.contains(k) && k.length() <= 60).forEach(k -> lists.tick(id, k, true));
        was.stream().filter(k -> !packed.contains(k)).forEach(k -> lists.tick(id, k, false));
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
                    pages.page(open, frame.theme()).refused(name, Problems.sentence(String.valueOf(e.getMessage()))));
            return "pack/pack";
        }
    }

    @PostMapping("/shoots/{id}/pack/own/{item}/remove")
    String remove(@PathVariable long id, @PathVariable long item) {
        known(id);
        lists.remove(id, item);
        return "redirect:/shoots/" + id + "/pack?removed=" + item + "#own";
    }

    @PostMapping("/shoots/{id}/pack/own/{item}/restore")
    String restore(@PathVariable long id, @PathVariable long item) {
        known(id);
        lists.restore(id, item);
        return "redirect:/shoots/" + id + "/pack#own";
    }

    private void known(long id) {
        if (shoots.find(id).isEmpty()) {
            throw NotFound.shoot(id);
        }
    }
}
