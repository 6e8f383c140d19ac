package org.halfdusk.show.shells;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Makes up a show: an opening of salvos, a body of single shells and pairs with ground pieces between, a finale of many at
 * once. The same seed gives the same show.
 *
 * @param smallest and largest shells, the largest rare
 * @param seconds its length, above 0
 * @param finaleSeconds at its end, 0 to its length
 */
public record Choreographer(Calibre smallest, Calibre largest, double seconds, double finaleSeconds) {
    /** Between the shells of the opening and of the finale, and between the phrases of the body†, s. */
    private static final double OPENING_GAP = 1.6;

    private static final double FINALE_GAP = 0.55;
    private static final double BODY_GAP = 5;

    /** Mortars stand so far to the sides at the most†, m. */
    private static final double WIDE = 40;

    /** Large shells are rare: this power of chance†. */
    private static final double RARE = 1.1;

    private static final double SALUTE_CHANCE = 0.18;
    private static final double GROUND_CHANCE = 0.12;
    private static final double PAIR_CHANCE = 0.22;

    /** @throws IllegalArgumentException where the smallest shell is above the largest, or the finale longer than the show */
    public Choreographer {
        if (!(smallest.mm() <= largest.mm())) {
            throw new IllegalArgumentException("the smallest shell, " + smallest.mm() + " mm, is above the largest, "
                    + largest.mm() + " mm: choose one that is at most as large");
        }
        if (!(seconds > 0 && finaleSeconds >= 0 && finaleSeconds <= seconds)) {
            throw new IllegalArgumentException("a finale of " + finaleSeconds + " s in a show of " + seconds
                    + " s: it is allowed to last from 0 to all of it");
        }
    }

    /** The sheet of a seed: the same seed gives the same show. */
    public CueSheet made(long seed) {
        Random chance = new Random(seed);
        double finale = seconds - finaleSeconds;
        CueSheet empty = new CueSheet(List.of(shell(chance, 0, 1)), finale, seconds);
        List<Cue> cues = new ArrayList<>(empty.cues());
        double at = OPENING_GAP;
        while (at < seconds && cues.size() < CueSheet.MOST) {
            CueSheet.Part part = empty.part(at);
            switch (part) {
                case OPENING -> cues.add(shell(chance, at, 0.6));
                case BODY -> phrase(chance, at, cues);
                case FINALE -> cues.add(loud(chance, at));
            }
            at += gap(part) * (0.6 + 0.8 * chance.nextDouble());
        }
        return new CueSheet(cues.subList(0, Math.min(cues.size(), CueSheet.MOST)), finale, seconds);
    }

    private static double gap(CueSheet.Part part) {
        return switch (part) {
            case OPENING -> OPENING_GAP;
            case BODY -> BODY_GAP;
            case FINALE -> FINALE_GAP;
        };
    }

    private void phrase(Random chance, double at, List<Cue> cues) {
        double kind = chance.nextDouble();
        if (kind < GROUND_CHANCE) {
            cues.add(cue(chance, at, ShellKind.GROUND, smallest, Tint.SILVER));
        } else {
            cues.add(shell(chance, at, 1));
            if (kind > 1 - PAIR_CHANCE) {
                cues.add(shell(chance, Math.min(seconds, at + 0.4 + chance.nextDouble()), 0.5));
            }
        }
    }

    private Cue loud(Random chance, double at) {
        return chance.nextDouble() < SALUTE_CHANCE
                ? cue(chance, at, ShellKind.SALUTE, smallest, Tint.SILVER)
                : shell(chance, at, 0.8);
    }

    /** @param reach of the calibres, 0 only the smallest, 1 up to the largest */
    private Cue shell(Random chance, double at, double reach) {
        double share = reach * Math.pow(chance.nextDouble(), RARE);
        Calibre calibre = new Calibre(smallest.mm() + share * (largest.mm() - smallest.mm()));
        ShellKind[] kinds = {
            ShellKind.PEONY,
            ShellKind.PEONY,
            ShellKind.PEONY,
            ShellKind.WILLOW,
            ShellKind.PALM,
            ShellKind.CROSSETTE,
            ShellKind.COMET
        };
        ShellKind kind = kinds[chance.nextInt(kinds.length)];
        Tint tint = kind == ShellKind.WILLOW || kind == ShellKind.PALM
                ? Tint.GOLD
                : Tint.values()[chance.nextInt(Tint.values().length)];
        return cue(chance, at, kind, calibre, tint);
    }

    private static Cue cue(Random chance, double at, ShellKind kind, Calibre calibre, Tint tint) {
        return new Cue(at, kind, calibre, tint, WIDE * (2 * chance.nextDouble() - 1), chance.nextDouble());
    }
}
