package org.halfdusk.web.moon;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.moon.FullMoons;
import org.halfdusk.shoot.moon.MoonFace;
import org.halfdusk.shoot.moon.MoonPlan;
import org.halfdusk.shoot.moon.MoonShot;
import org.halfdusk.web.layout.drawing.DiscDrawing;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;

/**
 * The disc at a pixel for a pixel, as it comes out at the chosen time, a stop over it, and at what a meter asks for; and the year's largest
 * and smallest full moon to scale.
 */
public record DiscsPicture(BalanceChart balance, List<Panel> panels, List<Full> year, String tonight) {
    /**
     * @param at where the disc's middle stands, as a transform
     * @param turn of its lunes, as a transform
     */
    public record Panel(
            boolean chosen,
            String time,
            String note,
            String sky,
            String at,
            String turn,
            String radius,
            String dark,
            String soft,
            List<Shape> lunes,
            List<Ellipse> spots,
            String words) {
        Panel noted(String other) {
            return new Panel(chosen, time, other + ": " + note, sky, at, turn, radius, dark, soft, lunes, spots, words);
        }
    }

    public record Shape(String path, String fill) {}

    public record Ellipse(String at, String along, String across, String fill) {}

    /** A full moon of the year, its disc to scale beside the largest. */
    public record Full(String name, String radius, String when, String size) {}

    static final int WIDTH = 274;
    static final int HEIGHT = 170;

    /** Discs up to so many pixels are shown whole. */
    private static final double WHOLE = 160;

    private static final double NEARLY_FULL = 0.85;
    /** Edges of seas are no lines, in radii. */
    private static final double SOFT = 0.016;

    private static final double SCALE_RADIUS = 42;
    private static final double GAMMA = 1 / 2.2;

    static DiscsPicture of(MoonPlan plan, Theme theme) {
        MoonFace face = MoonFace.at(plan.night().sky(), plan.moment());
        MoonShot shot = plan.shot();
        double under = plan.exposed().stopsUnderClipping();
        double meter = shot.schools(plan.shareOfFrame()).stream()
                .filter(a -> a.school() == MoonShot.School.AVERAGING_METER)
                .mapToDouble(MoonShot.Answer::seconds)
                .findFirst()
                .orElseThrow();
        double chosen = shot.shutter().realSeconds();
        double over = Stops.between(meter, chosen);
        List<Panel> panels = new ArrayList<>();
        panels.add(panel(plan, face, under, shot.shutter().label(), true, theme));
        panels.add(panel(plan, face, under - 1, Words.fraction(2 * chosen), false, theme));
        panels.add(panel(plan, face, under - over, Words.fraction(meter), false, theme)
                .noted("what an averaging meter asks for"));
        FullMoons year = plan.night().fullMoons();
        return new DiscsPicture(
                BalanceChart.of(plan),
                panels,
                List.of(full("nearest", year.nearest(), year, plan), full("farthest", year.farthest(), year, plan)),
                tonight(plan, year));
    }

    /** Seas and rays. @param light of the disc beside what fills the picture's range */
    private static List<Ellipse> spots(MoonFace face, double radius, double light, Theme theme) {
        boolean ground = light * brightest(face) >= 1;
        List<Ellipse> spots = new ArrayList<>();
        for (MoonFace.Spot s : face.spots()) {
            double value = light * s.tone();
            spots.add(new Ellipse(
                    "translate(" + Numbers.tenths(s.x() * radius) + " " + Numbers.tenths(-s.y() * radius) + ") rotate("
                            + Numbers.tenths(-s.turnDegrees()) + ")",
                    Numbers.tenths(s.along() * radius),
                    Numbers.tenths(s.across() * radius),
                    value >= 1 && !ground ? theme.colour("#e4695f") : grey(value, theme)));
        }
        return spots;
    }

    private static Panel panel(MoonPlan plan, MoonFace face, double under, String time, boolean chosen, Theme theme) {
        double radius = plan.disc(plan.rig()).pixels() / 2;
        double light = Math.pow(2, -under);
        double lit = plan.night().sky().moonPhase(plan.moment()).illuminatedFraction();
        double x = 0;
        double y = 0;
        if (2 * radius > WHOLE) {
            // About the largest rays, where limb, highlands and a sea are near; where those lie in the dark, about the
            // middle of what is lit.
            Optional<MoonFace.Spot> rays = face.rays();
            double inwards = lit > NEARLY_FULL ? 0 : 1 - lit;
            x = radius * rays.map(MoonFace.Spot::x).orElse(face.limbX() * inwards);
            y = radius * rays.map(MoonFace.Spot::y).orElse(face.limbY() * inwards);
        }
        DiscDrawing disc = DiscDrawing.of(0, 0, radius, 1, face.limbFromZenithDegrees());
        List<Shape> lunes = face.lunes().stream()
                .map(l ->
                        new Shape(DiscDrawing.of(0, 0, radius, l.fraction(), 0).lit(), grey(light * l.tone(), theme)))
                .toList();
        List<Ellipse> spots = spots(face, radius, light, theme);
        String note = note(face, light);
        String sky = grey(sky(plan, under), theme);
        return new Panel(
                chosen,
                time,
                note,
                sky,
                "translate(" + Numbers.tenths(WIDTH / 2.0 - x) + " " + Numbers.tenths(HEIGHT / 2.0 + y) + ")",
                "rotate(" + disc.turn() + ")",
                Numbers.tenths(radius),
                sky,
                Numbers.tenths(radius * SOFT),
                lunes,
                spots,
                "After " + time + ": " + note + ".");
    }

    /** The sky behind it in the same setting. */
    private static double sky(MoonPlan plan, double under) {
        SkyBrightness behind = plan.shot().circumstances().sky();
        double setting = SkyExposure.of(behind, plan.setting(), plan.rig()).stopsUnderClipping();
        return Math.pow(2, -setting + plan.exposed().stopsUnderClipping() - under);
    }

    private static String note(MoonFace face, double light) {
        double sea = light * most(face, true);
        double ray = light * most(face, false);
        double ground = light * brightest(face);
        if (sea >= 1) {
            return "a white blob";
        }
        if (ground >= 1) {
            return "highlands white, seas left";
        }
        return ray >= 1 ? "rays clip" : "seas and rays drawn, nothing clips";
    }

    /** Highlands at the bright limb. */
    private static double brightest(MoonFace face) {
        return face.lunes().get(face.lunes().size() - 1).tone();
    }

    private static double most(MoonFace face, boolean sea) {
        return face.spots().stream()
                .filter(s -> s.sea() == sea)
                .mapToDouble(MoonFace.Spot::tone)
                .max()
                .orElse(0);
    }

    private static String grey(double linear, Theme theme) {
        double level = Math.pow(Math.max(0, Math.min(1, linear)), GAMMA);
        return theme.colour(linear >= 1 ? "#ffffff" : SkyColours.mix("#05070c", "#f6f1e8", level));
    }

    private static Full full(String name, FullMoons.FullMoon m, FullMoons year, MoonPlan plan) {
        double share = m.diameterArcmin() / year.nearest().diameterArcmin();
        return new Full(
                name,
                Numbers.tenths(SCALE_RADIUS * share),
                Times.shortDate(m.at().atZone(plan.night().zone()).toLocalDate()),
                Words.thousands(m.distanceKm()) + " km, " + Words.tenths(m.diameterArcmin()) + "′");
    }

    /** Which of the year's it is by size, where the night has a full moon; else how large it is. */
    private static String tonight(MoonPlan plan, FullMoons year) {
        Optional<FullMoons.FullMoon> full = year.in(plan.night().whole());
        String here = Words.tenths(60 * plan.diameterDegrees()) + "′ from here";
        return full.map(m -> {
                    long nearer = year.all().stream()
                            .filter(o -> o.distanceKm() < m.distanceKm())
                            .count();
                    return "Tonight's full moon: " + Words.thousands(m.distanceKm()) + " km, number " + (nearer + 1)
                            + " of " + year.all().size() + " by size; " + here + ".";
                })
                .orElse("Now " + Words.thousands(plan.distanceKm()) + " km from the earth's surface here, " + here
                        + ".");
    }
}
