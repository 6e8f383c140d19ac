package org.halfdusk.web.kit;

import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Component;

/** All kit by name, for who looks for it. */
@Component
public class KitNames {
    private final Shelf shelf;
    private final KitFigures figures;

    KitNames(Shelf shelf, KitFigures figures) {
        this.shelf = shelf;
        this.figures = figures;
    }

    /** @param kind in the singular @param address of its page */
    public record Named(String name, String kind, String figures, String address) {}

    public List<Named> all() {
        return Arrays.stream(KitKind.values())
                .flatMap(k -> shelf.list(k).stream()
                        .map(i -> new Named(
                                KitForms.name(i.it()),
                                k.what(),
                                figures.line(i.it()),
                                "/kit/" + k.path() + "/" + i.id())))
                .toList();
    }
}
