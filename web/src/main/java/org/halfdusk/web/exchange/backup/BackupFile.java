package org.halfdusk.web.exchange.backup;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.regex.Pattern;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.optics.kit.BatteryPack;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.Filter;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.exchange.LongJson;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.ser.std.StdSerializer;

/** A backup as JSON: the records of the core by their own names, so that a person can read it. */
public final class BackupFile {
    private static final JsonMapper JSON = JsonMapper.builder()
            .addMixIn(Accessory.class, AccessoryKinds.class)
            .addMixIn(Camera.class, WrittenCamera.Mixed.class)
            .addMixIn(Wishes.class, WithoutPhases.class)
            .addModule(new SimpleModule()
                    .addSerializer(FNumber.class, new AsNumber<>(FNumber.class, FNumber::value))
                    .addDeserializer(FNumber.class, new OfNumber<>(FNumber.class, FNumber::of))
                    .addSerializer(SkyBrightness.class, new AsNumber<>(SkyBrightness.class, SkyBrightness::magnitude))
                    .addDeserializer(SkyBrightness.class, new OfNumber<>(SkyBrightness.class, SkyBrightness::of))
                    .addSerializer(Iso.class, new AsNumber<>(Iso.class, Iso::value))
                    .addDeserializer(Iso.class, new OfNumber<>(Iso.class, Iso::of))
                    .addSerializer(RigChoices.class, new AsTexts<>(RigChoices.class, RigChoices::texts))
                    .addDeserializer(
                            RigChoices.class, new OfTexts<>(RigChoices.class, (node, texts) -> RigChoices.of(texts)))
                    .addSerializer(
                            Wish.class,
                            new AsTexts<>(Wish.class, w -> WishKind.of(w).texts(w)))
                    .addDeserializer(
                            Wish.class,
                            new OfTexts<>(
                                    Wish.class,
                                    (node, texts) ->
                                            SubjectPlanner.wishes(subject(node)).of(texts))))
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    /** Far more than a person keeps in a life. */
    private static final int MOST_VALUES = 3_000_000;

    private static final int MOST_SAID = 300;

    private static final String SUBJECT = "subject";

    /** The reader's messages name types by their packages, which say nothing to a person. */
    private static final Pattern CLASS = Pattern.compile("`[^`]*[.$](\\w+)>*`");

    private BackupFile() {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Filter.class, name = "filter"),
        @JsonSubTypes.Type(value = Support.class, name = "support"),
        @JsonSubTypes.Type(value = Card.class, name = "card"),
        @JsonSubTypes.Type(value = BatteryPack.class, name = "battery")
    })
    private interface AccessoryKinds {}

    /** What is fixed for phases is one of the choices, and written there. */
    @JsonIgnoreProperties("phases")
    private interface WithoutPhases {}

    /** A value that is one number, written as that number. */
    private static final class AsNumber<T> extends StdSerializer<T> {
        private final ToDoubleFunction<T> number;

        AsNumber(Class<T> type, ToDoubleFunction<T> number) {
            super(type);
            this.number = number;
        }

        @Override
        public void serialize(T value, JsonGenerator out, SerializationContext context) {
            double n = number.applyAsDouble(value);
            if (n == Math.rint(n)) {
                out.writeNumber((long) n);
            } else {
                out.writeNumber(n);
            }
        }
    }

    private static final class OfNumber<T> extends StdDeserializer<T> {
        private final DoubleFunction<T> made;

        OfNumber(Class<T> type, DoubleFunction<T> made) {
            super(type);
            this.made = made;
        }

        @Override
        public T deserialize(JsonParser in, DeserializationContext context) {
            return made.apply(in.getDoubleValue());
        }
    }

    /** Choices and wishes, as texts by the names of their fields. */
    private static final class AsTexts<T> extends StdSerializer<T> {
        private final Function<T, Map<String, String>> texts;

        AsTexts(Class<T> type, Function<T, Map<String, String>> texts) {
            super(type);
            this.texts = texts;
        }

        @Override
        public void serialize(T value, JsonGenerator out, SerializationContext context) {
            context.writeValue(out, Map.of("texts", texts.apply(value)));
        }
    }

    private static final class OfTexts<T> extends StdDeserializer<T> {
        private final BiFunction<JsonNode, Map<String, String>, T> made;

        OfTexts(Class<T> type, BiFunction<JsonNode, Map<String, String>, T> made) {
            super(type);
            this.made = made;
        }

        @Override
        public T deserialize(JsonParser in, DeserializationContext context) {
            JsonNode node = in.readValueAsTree();
            Map<String, String> texts = new LinkedHashMap<>();
            node.path("texts")
                    .properties()
                    .forEach(e -> texts.put(e.getKey(), e.getValue().asString("")));
            return made.apply(node, texts);
        }
    }

    /** Whose a wish is, as {@link #complete} has noted it. */
    private static Subject subject(JsonNode wish) {
        return JSON.treeToValue(wish.path(SUBJECT), Subject.class);
    }

    public static byte[] write(Backup backup) {
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(backup);
    }

    /** The same with more beside it that is only for reading: it is not brought in. */
    public static byte[] write(Backup backup, String name, Object more) {
        ObjectNode root = JSON.valueToTree(backup);
        root.set(name, JSON.valueToTree(more));
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(root);
    }

    /** What the camera turns with was a wish of eclipses once; it is a choice of the rig. */
    private static void mount(ObjectNode shoot) {
        if (!(shoot.path("wish").path("texts") instanceof ObjectNode wishes)) {
            return;
        }
        String rate = wishes.path("LUNAR_MOUNT").asString("").equals("LUNAR_RATE")
                ? "LUNAR"
                : wishes.path("SOLAR_MOUNT").asString("").equals("SOLAR_RATE") ? "SOLAR" : "";
        wishes.remove("LUNAR_MOUNT");
        wishes.remove("SOLAR_MOUNT");
        if (!rate.isEmpty() && shoot.get("rig") instanceof ObjectNode rig) {
            ObjectNode choices = rig.get("choices") instanceof ObjectNode there ? there : rig.putObject("choices");
            ObjectNode texts = choices.get("texts") instanceof ObjectNode there ? there : choices.putObject("texts");
            texts.put("MOUNT", rate);
        }
    }

    /** Files of before a figure was kept get what was meant then. */
    private static void complete(JsonNode root) {
        for (JsonNode shoot : root.path("shoots")) {
            if (shoot.get("it") instanceof ObjectNode it) {
                mount(it);
                if (it.get("wish") instanceof ObjectNode wish && it.has(SUBJECT)) {
                    wish.set(SUBJECT, it.get(SUBJECT));
                }
            }
        }
        for (JsonNode lens : root.path("lenses")) {
            if (lens.get("it") instanceof ObjectNode it && !it.has("fisheye")) {
                it.put("fisheye", false);
            }
        }
    }

    /** @throws IllegalArgumentException saying where the text is no backup */
    public static Backup read(String text) {
        try {
            LongJson.check(text, MOST_VALUES);
            JsonNode root = JSON.readTree(text);
            if (!root.path("format").asString("").equals(Backup.FORMAT)) {
                throw new IllegalArgumentException("the file is no backup of Half Dusk: its format is “"
                        + TypedNumber.shown(root.path("format").asString("")) + "”, “" + Backup.FORMAT
                        + "” is allowed");
            }
            JsonNode version = root.path("version");
            if (!version.isInt() || version.intValue() != Backup.VERSION) {
                throw new IllegalArgumentException("the backup has version " + TypedNumber.shown(version.toString())
                        + "; version " + Backup.VERSION + " is allowed");
            }
            complete(root);
            return JSON.treeToValue(root, Backup.class);
        } catch (JacksonException e) {
            String why = Optional.ofNullable(e.getCause())
                    .filter(c -> c instanceof IllegalArgumentException || c instanceof NullPointerException)
                    .map(Throwable::getMessage)
                    .orElseGet(() -> CLASS.matcher(e.getOriginalMessage()).replaceAll("$1"));
            throw new IllegalArgumentException(
                    "the backup cannot be read: " + TypedNumber.shown(why.replaceAll("\\s*\\n.*", ""), MOST_SAID)
                            + " (at " + path(e) + "); a backup as Half Dusk writes it is allowed",
                    e);
        }
    }

    private static String path(JacksonException e) {
        StringBuilder path = new StringBuilder();
        e.getPath()
                .forEach(r -> path.append(path.length() == 0 ? "" : ".")
                        .append(r.getPropertyName() != null ? r.getPropertyName() : "[" + r.getIndex() + "]"));
        return path.length() == 0 ? "its beginning" : path.toString();
    }
}
