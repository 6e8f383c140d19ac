package org.halfdusk.web.pack;

import java.util.List;
import java.util.stream.Stream;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.stereotype.Component;

/** What there is to pack for a shoot, by name: for paper. */
@Component
public class Checklist {
    private final PackPages pages;

    Checklist(PackPages pages) {
        this.pages = pages;
    }

    public List<String> of(ShootDesk.Open open) {
        PackPage page = pages.page(open, Theme.DESK);
        return Stream.concat(
                        page.rows().stream().map(PackPage.Row::name),
                        page.own().stream().map(PackPage.Own::name))
                .toList();
    }
}
