package org.halfdusk.show.shells;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.halfdusk.typed.Range;

/**
 * One shell fired.
 *
 * @param seconds of the show when it leaves the ground, 0 to 14,400
 * @param right of the middle of the launching ground, −500 to 500 m
 * @param turn about the vertical, that no two breaks look alike, 0 to 1
 */
public record Cue(double seconds, ShellKind kind, Calibre calibre, Tint tint, double right, double turn) {
    public static final Range SECONDS = new Range("time of a shell", 0, 14_400, "s");
    public static final Range RIGHT = new Range("place of a mortar from the middle", -500, 500, "m");

    /** Light of one star of a 125 mm peony†, cd: at f/11 and ISO 100 it draws a stroke a little under white from 420 m. */
    private static final double STAR_CANDELA = 700;

    private static final double STAR_CALIBRE_MM = 125;

    private static final double LOUD_CALIBRE_MM = 200;

    /** Light grows with a star's surface and heat: by this power of the calibre†. */
    private static final double LIGHT_POWER = 1.5;

    /** The climbing spark against one star†. */
    private static final double CLIMBING_SHARE = 0.2;

    /** Embers glow behind the climbing spark for so long†, s. */
    private static final double CLIMBING_AFTERGLOW_SECONDS = 0.25;

    private static final double CLIMBING_FLAME_METRES = 0.12;

    /** A crossette's stars split at this share of their burning†, into so many, this fast against the first throw†. */
    private static final double SPLIT_SHARE = 0.42;

    private static final int SPLIT_INTO = 4;
    private static final double SPLIT_SPEED = 0.3;

    /** How a fountain's sparks are thrown: up at least this share of the full speed, aside at most that†. */
    private static final double LEAST_UP = 0.75;

    private static final double MOST_ASIDE = 0.22;
    private static final double FOUNTAIN_SPEED_PER_MM = 0.22;
    private static final double FOUNTAIN_SPARK_SECONDS = 1.3;

    /** @throws IllegalArgumentException for a turn outside 0 to below 1 */
    public Cue {
        SECONDS.check(seconds);
        RIGHT.check(right);
        if (!(turn >= 0 && turn < 1)) {
            throw new IllegalArgumentException("turn " + turn + " is outside 0 to 1");
        }
    }

    /** When it breaks; a comet fades then, a fountain begins at once. */
    public double breakSeconds() {
        return kind == ShellKind.GROUND ? seconds : seconds + calibre.breakSeconds();
    }

    /** When the last of it is dark. */
    public double darkSeconds() {
        return breakSeconds() + kind.burnSeconds(calibre);
    }

    /** Where it breaks, without wind: the climb is short of drift†. */
    public Spark.Point breakPoint() {
        return new Spark.Point(right, kind == ShellKind.GROUND ? 0 : calibre.heightMetres(), 0);
    }

    /** How loud it bangs against a salute of the largest usual calibre†, 0 to 1. */
    public double loudness() {
        double size = Math.min(1, calibre.mm() / LOUD_CALIBRE_MM);
        return kind == ShellKind.SALUTE ? 1 : kind.breaks() ? size : 0;
    }

    /** Half of how wide it opens, m. */
    public double radiusMetres() {
        return kind.radiusMetres(calibre);
    }

    /** Of the light of one of its stars the share between two times of the show, 0 to 1; only of what breaks. */
    public double lightShare(double from, double to) {
        double begins = breakSeconds();
        double burns = kind.burnSeconds(calibre);
        double a = Math.max(0, Math.min(1, (from - begins) / burns));
        double b = Math.max(a, Math.min(1, (to - begins) / burns));
        return Spark.light(a, b, kind.fading()) / Spark.light(0, 1, kind.fading());
    }

    /** Light of one of its stars at birth, cd. */
    private double starCandela() {
        return STAR_CANDELA * kind.lightShare() * Math.pow(calibre.mm() / STAR_CALIBRE_MM, LIGHT_POWER);
    }

    /** All that glows of it, its climb first. */
    public List<Spark> sparks() {
        List<Spark> sparks = new ArrayList<>();
        if (kind != ShellKind.GROUND) {
            sparks.add(climb());
        }
        sparks.addAll(stars());
        return sparks;
    }

    /** The climbing spark; of a comet all there is. */
    private Spark climb() {
        Climb climb = Climb.of(calibre.heightMetres(), calibre.breakSeconds());
        boolean comet = kind == ShellKind.COMET;
        double light = comet ? starCandela() : STAR_CANDELA * CLIMBING_SHARE;
        return new Spark(
                seconds,
                breakSeconds(),
                new Spark.Point(right, 0, 0),
                new Spark.Point(0, climb.speed(), 0),
                climb.brakingSeconds(),
                light,
                comet ? kind.fading() : 40,
                comet ? kind.afterglowSeconds() : CLIMBING_AFTERGLOW_SECONDS,
                comet ? kind.flameMetres() : CLIMBING_FLAME_METRES,
                comet ? tint : Tint.GOLD);
    }

    /** What it throws when it breaks; of a fountain all that it throws while it plays. */
    public List<Spark> stars() {
        return switch (kind) {
            case COMET -> List.of();
            case GROUND -> fountain();
            case CROSSETTE -> crossette();
            default -> thrown(breakSeconds(), darkSeconds());
        };
    }

    private List<Spark> thrown(double born, double dies) {
        double speed = radiusMetres() / kind.brakingSeconds();
        return StarPattern.of(kind).turned(turn).stream()
                .map(d -> spark(born, dies, breakPoint(), d.times(speed)))
                .toList();
    }

    private Spark spark(double born, double dies, Spark.Point from, Spark.Point speed) {
        return new Spark(
                born,
                dies,
                from,
                speed,
                kind.brakingSeconds(),
                starCandela(),
                kind.fading(),
                kind.afterglowSeconds(),
                kind.flameMetres(),
                tint);
    }

    private List<Spark> crossette() {
        double split = breakSeconds() + SPLIT_SHARE * kind.burnSeconds(calibre);
        double kick = SPLIT_SPEED * radiusMetres() / kind.brakingSeconds();
        List<Spark> all = new ArrayList<>();
        for (Spark first : thrown(breakSeconds(), split)) {
            all.add(first);
            Spark.Point at = first.at(split, Spark.Point.GROUND);
            Spark.Point speed = first.speedAt(split);
            for (int i = 0; i < SPLIT_INTO; i++) {
                double angle = 2 * Math.PI * (i + turn) / SPLIT_INTO;
                Spark.Point aside = new Spark.Point(Math.cos(angle), Math.sin(angle), 0);
                all.add(spark(split, darkSeconds(), at, speed.plus(aside.times(kick))));
            }
        }
        return all;
    }

    /** Sparks of a fountain, evenly in time, each thrown by chance: the same for the same cue. */
    private List<Spark> fountain() {
        Random chance = new Random(Double.hashCode(seconds) * 31L + Double.hashCode(right));
        double speed = FOUNTAIN_SPEED_PER_MM * calibre.mm();
        int n = (int) Math.round(kind.stars() * kind.burnSeconds(calibre));
        List<Spark> all = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double born = seconds + (i + chance.nextDouble()) / kind.stars();
            double up = speed * (LEAST_UP + (1 - LEAST_UP) * chance.nextDouble());
            double aside = speed * MOST_ASIDE * (2 * chance.nextDouble() - 1);
            double away = speed * MOST_ASIDE * (2 * chance.nextDouble() - 1);
            all.add(spark(born, born + FOUNTAIN_SPARK_SECONDS, breakPoint(), new Spark.Point(aside, up, away)));
        }
        return all;
    }
}
