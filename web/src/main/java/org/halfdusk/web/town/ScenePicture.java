package org.halfdusk.web.town;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.halfdusk.shoot.ruler.Ruler;
import org.halfdusk.shoot.town.Tone;
import org.halfdusk.shoot.town.TownExposure;
import org.halfdusk.shoot.town.TownPart;
import org.halfdusk.shoot.town.TownPlan;
import org.halfdusk.shoot.town.TownWish;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/**
 * A waterfront as sensor or film keeps it in a setting, made up, but every tone of it computed; and the same as a map of tones.
 *
 * @param kept with the colours that the medium gives
 * @param mapped coloured by tone
 * @param tones with their share of the picture
 */
public record ScenePicture(Scene kept, Scene mapped, List<Share> tones, String caption, String words) {
    /** Areas from back to front, then lamps with rays and halos. */
    public record Scene(List<Area> areas, List<Lamp> lamps, String ray) {}

    /** @param opacity 0 to 1 */
    public record Area(String path, String fill, String opacity) {}

    /** @param halo radius of a diffusion filter's glow, 0 for none */
    public record Lamp(String x, String y, String radius, String rays, String fill, String halo) {}

    /** A tone of the legend. */
    public record Share(String name, String fill, String percent) {}

    static final int WIDTH = 384;
    static final int HEIGHT = 256;
    private static final int QUAY = 150;
    private static final int WATER = 158;
    private static final int[] HOUSES = {42, 34, 46, 30, 26, 44, 38, 50, 32, 42};
    private static final int[] HEIGHTS = {58, 74, 50, 66, 94, 62, 80, 54, 72, 60};
    private static final int STOREY = 17;
    private static final int[] LAMPS = {34, 98, 176, 262, 338};
    private static final int LAMP_Y = 132;
    private static final double LONGEST_RAY = 22;

    private static final double SMALLEST = 16;

    /** The camera's own picture puts a metered mid-tone at 18 %. */
    private static final double PICTURE = 1.74;

    private static final double GAMMA = 1 / 2.2;

    static ScenePicture of(TownPlan plan, Theme theme) {
        TownExposure e = plan.exposure();
        Map<Tone, Double> tones = e.tones();
        Scene kept = scene(plan, p -> theme.colour(kept(plan, p)), theme.colour("#ffe6b8"));
        Scene mapped =
                scene(plan, p -> theme.colour(colour(e.toneOf(p), theme)), theme.colour(colour(Tone.CLIPS, theme)));
        String medium = plan.rig().camera().film() ? "film" : "sensor";
        return new ScenePicture(
                kept,
                mapped,
                tones.entrySet().stream()
                        .map(t -> new Share(
                                TownWords.tone(t.getKey(), e),
                                theme.colour(colour(t.getKey(), theme)),
                                Words.percentTenths(t.getValue())))
                        .toList(),
                "A made-up waterfront as the " + medium + " keeps it in this setting",
                "Of the picture " + Words.percentTenths(tones.getOrDefault(Tone.CLIPS, 0.0)) + " clips and "
                        + Words.percentTenths(tones.getOrDefault(Tone.BLOCKED, 0.0)) + " is black.");
    }

    private static Scene scene(TownPlan plan, Function<TownPart, String> fill, String lamp) {
        List<Area> areas = new ArrayList<>();
        String back = fill.apply(TownPart.WALLS);
        areas.add(area(rectangle(0, 0, WIDTH, QUAY), fill.apply(TownPart.SKY)));
        areas.add(area("M0 110 L60 84 L140 100 L230 70 L320 92 L384 78 V150 H0Z", back));
        int x = 0;
        for (int i = 0; i < HOUSES.length; i++) {
            boolean lit = i % 3 != 1;
            int top = QUAY - HEIGHTS[i];
            areas.add(area(house(x, top, HOUSES[i], i), fill.apply(lit ? TownPart.FRONTS : TownPart.WALLS)));
            windows(areas, plan, fill, x, top, i);
            x += HOUSES[i];
        }
        areas.add(area(rectangle(0, QUAY, WIDTH, WATER - QUAY), fill.apply(TownPart.STREET)));
        areas.add(area(rectangle(0, WATER, WIDTH, HEIGHT - WATER), fill.apply(TownPart.WATER)));
        for (int l : LAMPS) {
            areas.add(new Area(streak(l, 5), fill.apply(TownPart.FRONTS), "0.8"));
        }
        areas.add(area("M70 196 h52 l-8 10 h-34z M92 196 v-22 h2 v22z", fill.apply(TownPart.HULLS)));
        areas.add(area("M270 214 h64 l-9 12 h-44z M300 214 v-28 h2 v28z", fill.apply(TownPart.HULLS)));
        return new Scene(areas, lamps(plan, lamp), lamp);
    }

    private static Area area(String path, String fill) {
        return new Area(path, fill, "1");
    }

    private static String rectangle(int x, int y, int width, int height) {
        return "M" + x + " " + y + "h" + width + "v" + height + "h-" + width + "z";
    }

    private static String house(int x, int top, int width, int i) {
        int roof = i == 4 ? 22 : 8 + i % 3 * 3;
        return "M" + x + " " + QUAY + "V" + top + "l" + width / 2.0 + " -" + roof + "l" + width / 2.0 + " " + roof + "V"
                + QUAY + "z";
    }

    private static void windows(
            List<Area> areas, TownPlan plan, Function<TownPart, String> fill, int x, int top, int house) {
        int oneOf = plan.night().roomsLit() ? 3 : 9;
        for (int row = 0; top + 8 + row * STOREY < QUAY - 12; row++) {
            for (int column = 0; 6 + column * 11 < HOUSES[house] - 8; column++) {
                boolean lit = (house * 7 + row * 5 + column * 11) % oneOf == 0;
                areas.add(area(
                        rectangle(x + 6 + column * 11, top + 8 + row * STOREY, 5, 8),
                        fill.apply(lit ? TownPart.WINDOWS : TownPart.HULLS)));
            }
        }
    }

    private static String streak(int x, int half) {
        return "M" + (x - half) + " " + (WATER + 2) + "l" + 2 * half + " 0l-2 74l-" + (2 * half - 4) + " 0z";
    }

    private static List<Lamp> lamps(TownPlan plan, String fill) {
        double n = plan.setting().fNumber().value();
        boolean rays = n >= Ruler.RAYS_FROM;
        double length = LONGEST_RAY * Math.min(1, (n - Ruler.RAYS_FROM / 2) / (SMALLEST - Ruler.RAYS_FROM / 2));
        TownWish wish = plan.wish();
        double halo = switch (wish.diffusion()) {
            case NONE -> 0;
            case WEAK -> 14;
            case STRONG -> 26;
        };
        List<Lamp> all = new ArrayList<>();
        for (int x : LAMPS) {
            StringBuilder path = new StringBuilder();
            if (rays) {
                for (double[] d : wish.lamps().directions()) {
                    path.append("M").append(x).append(' ').append(LAMP_Y);
                    path.append("l").append(Numbers.tenths(length * d[0])).append(' ');
                    path.append(Numbers.tenths(length * d[1]));
                }
            }
            all.add(new Lamp(
                    Integer.toString(x),
                    Integer.toString(LAMP_Y),
                    rays ? "2.6" : "4.5",
                    path.toString(),
                    fill,
                    Numbers.tenths(halo)));
        }
        return all;
    }

    /** Light through the curve of a picture, in a part's own tint. */
    private static String kept(TownPlan plan, TownPart part) {
        TownExposure e = plan.exposure();
        double linear = PICTURE * Math.pow(2, -e.underClipping(part));
        // A shoulder as film and picture styles have it.
        double shown = Math.pow(linear / (1 + linear), GAMMA) * Math.pow(2, GAMMA * SHOULDER);
        double level = Math.min(1, shown);
        String tint = switch (part) {
            case LAMPS -> "#ffe6b8";
            case WINDOWS -> "#ffcf8a";
            case FRONTS -> "#e8b98c";
            case STREET -> "#e6c9a0";
            case SKY -> SkyColours.mix("#5f7fc8", "#3d5aa8", 0.5);
            case WATER -> "#5a70a0";
            case WALLS -> "#7f8aa6";
            case HULLS -> "#8a8ea0";
        };
        // Water and sky give their blue to what they light.
        String full = SkyColours.mix("#000000", tint, Math.min(1, level / BRIGHTEST));
        return level > BRIGHTEST ? SkyColours.mix(full, "#ffffff", (level - BRIGHTEST) / (1 - BRIGHTEST)) : full;
    }

    /** Level at which a tint stands as it is; above it pales. */
    private static final double BRIGHTEST = 0.8;

    private static final double SHOULDER = 0.35;

    /** In red light alone brightness tells them apart, so there they stand in its order. */
    private static String colour(Tone tone, Theme theme) {
        if (theme == Theme.FIELD) {
            return switch (tone) {
                case CLIPS -> "#ffffff";
                case BRIGHT -> "#c4c4c4";
                case MIDDLE -> "#808080";
                case DARK -> "#464646";
                case BLOCKED -> "#1a1a1a";
            };
        }
        return switch (tone) {
            case CLIPS -> "#e4695f";
            case BRIGHT -> "#d09a4a";
            case MIDDLE -> "#2e6a56";
            case DARK -> "#27324a";
            case BLOCKED -> "#3f4f9f";
        };
    }
}
