package org.halfdusk.web.map;

import org.halfdusk.light.map.GlowTiles;
import org.halfdusk.web.map.picture.GlowShelf;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The tiles of the night's brightness with their shelf. */
@Configuration(proxyBeanMethods = false)
class MapTiles {
    @Bean
    GlowTiles glowTiles(GlowShelf shelf) {
        return new GlowTiles(shelf);
    }
}
