package org.halfdusk.web.layout;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.resource.ResourceUrlProvider;

/**
 * Where scripts, styles and fonts are asked for: by names that change with their content, since browsers keep them for a year. Templates
 * ask here and not for a plain link, which is left as it is on a page that no handler was found for.
 */
@Component
public final class AssetLinks {
    private final ResourceUrlProvider served;

    /** By name; what is served does not change while it runs. */
    private final Map<String, String> links = new ConcurrentHashMap<>();

    AssetLinks(ResourceUrlProvider served) {
        this.served = served;
    }

    /** @throws IllegalArgumentException for what the build left out */
    public String of(String name) {
        return links.computeIfAbsent(name, this::link);
    }

    private String link(String name) {
        return Optional.ofNullable(served.getForLookupPath("/assets/" + name))
                .orElseThrow(() -> new IllegalArgumentException("no asset is named " + name));
    }
}
