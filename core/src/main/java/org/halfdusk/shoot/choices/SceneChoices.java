package org.halfdusk.shoot.choices;

import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.exposure.lamps.PaintedLight;
import org.halfdusk.shoot.setting.wished.Metered;
import org.halfdusk.shoot.setting.wished.OwnLight;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;

/** What a person knows of the light in the scene: their meter's word on it, and the light that they bring. */
public record SceneChoices(Metered metered, OwnLight own) {
    public static final SceneChoices NONE = new SceneChoices(Metered.NONE, OwnLight.NONE);

    /** Light given more or less than the rule wants. */
    public static final Field<SceneChoices, Double> PLUS = Field.number(
                    "PLUS", Metered.PLUS, Metered::plusStops, (Metered m, Double v) -> new Metered(m.reading(), v))
            .in(SceneChoices::metered, SceneChoices::with);

    /** One of them as a part of a shoot. */
    public static <T> Field<Shoot, T> ofShoot(Field<SceneChoices, T> field) {
        return ShootField.ofChoices(RigChoices.ofScene(field));
    }

    static List<Field<Shoot, ?>> ofShoot(List<Field<SceneChoices, ?>> fields) {
        return fields.stream().<Field<Shoot, ?>>map(SceneChoices::ofShoot).toList();
    }

    /** Those of the meter, in the order in which a form asks for them. */
    public static final List<Field<SceneChoices, ?>> OF_METER = List.of(
            new Field<>(
                            "METER",
                            "my meter says",
                            RigTexts.READING.perhaps(),
                            Metered::reading,
                            (Metered m, Optional<MeterReading> v) -> new Metered(v, m.plusStops()))
                    .in(SceneChoices::metered, SceneChoices::with),
            PLUS);

    private static final Field<OwnLight, OwnLight.Kind> KIND = new Field<>(
            "OWN_LIGHT",
            "light of your own",
            Codec.choice(
                    "light of your own",
                    new Codec.Chosen<>(OwnLight.Kind.NONE, "NONE", "none"),
                    new Codec.Chosen<>(OwnLight.Kind.PAINTED, "PAINTED", "a lamp on a thing or a face"),
                    new Codec.Chosen<>(OwnLight.Kind.WORD, "WORD", "a word drawn with a spark"),
                    new Codec.Chosen<>(OwnLight.Kind.SILHOUETTE, "SILHOUETTE", "nobody lit: a silhouette")),
            OwnLight::kind,
            OwnLight::with);

    private static final Field<OwnLight, PaintedLight.Thing> THING = new Field<>(
            "LIT_THING",
            "what is lit",
            Codec.choice(
                    "what is lit",
                    new Codec.Chosen<>(PaintedLight.Thing.FACE, "FACE", "a face"),
                    new Codec.Chosen<>(PaintedLight.Thing.PALE_STONE, "PALE_STONE", "pale stone, sand"),
                    new Codec.Chosen<>(PaintedLight.Thing.DARK_STONE, "DARK_STONE", "dark stone, old wood"),
                    new Codec.Chosen<>(PaintedLight.Thing.TREE, "TREE", "a tree in leaf"),
                    new Codec.Chosen<>(PaintedLight.Thing.MID_GREY, "MID_GREY", "mid grey"),
                    new Codec.Chosen<>(PaintedLight.Thing.WHITE_CLOTH, "WHITE_CLOTH", "white cloth, whitewash")),
            OwnLight::thing,
            OwnLight::with);

    private static <T> Field<OwnLight, T> beam(Field<OwnLight.Beam, T> field) {
        return field.in(OwnLight::beam, OwnLight::with);
    }

    private static <T> Field<OwnLight, T> use(Field<OwnLight.Use, T> field) {
        return field.in(OwnLight::use, OwnLight::with);
    }

    /** Those of light that is brought. */
    public static final List<Field<SceneChoices, ?>> OF_OWN_LIGHT = List.<Field<OwnLight, ?>>of(
                    KIND,
                    beam(new Field<>(
                            "LAMP",
                            "lamp",
                            RigTexts.LAMP.perhaps(),
                            OwnLight.Beam::power,
                            (b, v) -> new OwnLight.Beam(v, b.metres(), b.degrees()))),
                    beam(Field.number(
                            "LAMP_METRES",
                            OwnLight.METRES,
                            OwnLight.Beam::metres,
                            (b, v) -> new OwnLight.Beam(b.power(), v, b.degrees()))),
                    beam(Field.number(
                            "LAMP_ANGLE",
                            OwnLight.DEGREES,
                            OwnLight.Beam::degrees,
                            (b, v) -> new OwnLight.Beam(b.power(), b.metres(), v))),
                    THING,
                    use(new Field<>(
                            "LAMP_PASSES",
                            "passes of the lamp",
                            Codec.whole(OwnLight.PASSES),
                            OwnLight.Use::passes,
                            (u, v) -> new OwnLight.Use(v, u.seconds()))),
                    use(new Field<>(
                            "LAMP_SECONDS",
                            "a pass takes",
                            Codec.perhaps(OwnLight.SECONDS),
                            OwnLight.Use::seconds,
                            (u, v) -> new OwnLight.Use(u.passes(), v))),
                    new Field<>(
                            "WORD_LETTERS",
                            "letters of the word",
                            Codec.whole(OwnLight.LETTERS),
                            OwnLight::letters,
                            OwnLight::withLetters))
            .stream()
            .<Field<SceneChoices, ?>>map(SceneChoices::ofOwn)
            .toList();

    private static <T> Field<SceneChoices, T> ofOwn(Field<OwnLight, T> field) {
        return field.in(SceneChoices::own, SceneChoices::with);
    }

    private SceneChoices with(Metered other) {
        return new SceneChoices(other, own);
    }

    private SceneChoices with(OwnLight other) {
        return new SceneChoices(metered, other);
    }
}
