/** The rules and computations of Half Dusk: no clock, no interface, no I/O but its own resources. */
module org.halfdusk.core {
    requires static org.jspecify;

    exports org.halfdusk.typed;
    exports org.halfdusk.angle;
    exports org.halfdusk.time;
    exports org.halfdusk.photometry;
    exports org.halfdusk.place;
    exports org.halfdusk.ephemeris;
    exports org.halfdusk.sky;
    exports org.halfdusk.eclipse;
    exports org.halfdusk.light;
    exports org.halfdusk.weather;
    exports org.halfdusk.optics;
    exports org.halfdusk.trailing;
    exports org.halfdusk.exposure;
    exports org.halfdusk.sequence;
    exports org.halfdusk.show;
    exports org.halfdusk.show.practice;
    exports org.halfdusk.shoot.setting;
    exports org.halfdusk.shoot;
    exports org.halfdusk.frame;
    exports org.halfdusk.frame.picture;
    exports org.halfdusk.frame.disc;
    exports org.halfdusk.frame.stack;
    exports org.halfdusk.shoot.camera;
    exports org.halfdusk.shoot.programme;
    exports org.halfdusk.shoot.review;
    exports org.halfdusk.shoot.simulated;
    exports org.halfdusk.shoot.running;
    exports org.halfdusk.shoot.search;
    exports org.halfdusk.shoot.kept;
    exports org.halfdusk.shoot.planning;
    exports org.halfdusk.shoot.milkyway;
    exports org.halfdusk.shoot.town;
    exports org.halfdusk.shoot.trails;
    exports org.halfdusk.shoot.moon;
    exports org.halfdusk.shoot.lunareclipse;
    exports org.halfdusk.shoot.solareclipse;
    exports org.halfdusk.shoot.fireworks;
}
