package org.halfdusk.shoot;

import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.Mount;
import org.halfdusk.exposure.Tolerance;
import org.halfdusk.optics.PeriodicError;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.Support;
import org.halfdusk.typed.TypedNumber;

/** The choices of a rig that bear on its exposure, read from their texts. */
public final class RigWishes {
    /** What many pictures end on. */
    public static final int SCREEN_PX = 2048;

    private RigWishes() {}

    /** The wishes with what the choices say. @param supports of the kit, that which stands with this rig first */
    static Wishes of(Shoot.ShootRig rig, Sensor sensor, List<Support> supports) {
        RigChoices c = rig.choices();
        Wishes wishes = rig.wishes().with(limits(c, supports));
        return tolerance(c)
                .map(t -> wishes.withBudget(Math.max(0.3, Math.min(50, Math.rint(10 * t.budgetPx(sensor)) / 10))))
                .orElse(wishes);
    }

    /** How the picture will be looked at; nothing where a budget in pixels was typed. */
    public static Optional<Tolerance> tolerance(RigChoices c) {
        String text = c.of(ShootField.TOLERANCE);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        String[] parts = text.split(" ");
        return Optional.of(
                switch (parts[0]) {
                    case "PRINT" -> new Tolerance.OnPrint(Double.parseDouble(parts[1]), Double.parseDouble(parts[2]));
                    case "SCREEN" -> new Tolerance.OnScreen(SCREEN_PX);
                    default -> new Tolerance.At100();
                });
    }

    /** A typed error of the axis goes before that of the kit's own mount; its worm is a figure of the kit alone. */
    private static ExposureLimits limits(RigChoices c, List<Support> supports) {
        String text = c.of(ShootField.MOUNT);
        Mount mount = text.isEmpty() ? Mount.TRIPOD : Mount.valueOf(text);
        Optional<Support> own = supports.stream().filter(s -> mount.is(s)).findFirst();
        String polar = c.of(ShootField.POLAR);
        return new ExposureLimits(
                mount,
                polar.isEmpty() ? own.map(Support::alignmentArcmin).orElse(0.0) : number(polar),
                own.map(Support::periodic).orElse(PeriodicError.NONE),
                !c.of(ShootField.PERSON).isEmpty(),
                number(c.of(ShootField.FILTER)));
    }

    private static double number(String text) {
        return text.isEmpty() ? 0 : Double.parseDouble(text);
    }

    /** The one written form of a tolerance; PRINT with width and distance in cm. */
    static String toleranceText(String text) {
        String[] parts = text.trim().split("\\s+");
        return switch (parts[0]) {
            case "" -> "";
            case "FULL", "SCREEN" -> parts[0];
            case "PRINT" -> {
                if (parts.length != 3) {
                    throw new IllegalArgumentException("print “" + TypedNumber.shown(text)
                            + "” is not its width and the distance of the eye in cm; two numbers are allowed");
                }
                yield "PRINT " + FieldText.decimal("width of the print", parts[1], 5, 1000, "cm") + " "
                        + FieldText.decimal("distance of the eye", parts[2], 10, 2000, "cm");
            }
            default ->
                throw new IllegalArgumentException("tolerance “" + TypedNumber.shown(text)
                        + "” is not known; allowed are FULL, SCREEN, PRINT with two numbers, or nothing");
        };
    }

    /** The one written form of a bracket: frames and thirds. */
    static String bracketText(String text) {
        if (text.isBlank()) {
            return "";
        }
        String[] parts = text.trim().split("\\s+");
        if (parts.length != 2) {
            throw new IllegalArgumentException("bracket “" + TypedNumber.shown(text)
                    + "” is not frames and thirds; two whole numbers are allowed");
        }
        return TypedNumber.whole("frames of a bracket", parts[0], 2, 15, "") + " "
                + TypedNumber.whole("step of a bracket", parts[1], 1, 9, "thirds");
    }
}
