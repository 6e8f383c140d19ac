package org.halfdusk.web.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.halfdusk.web.DemoPages;
import org.halfdusk.web.Validators;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The description of the interface as a generator of clients reads it: a client is made of it, compiled and calls every operation. */
@Tag("slow")
class GeneratedClientTest extends DemoPages {
    private static JsonNode description() throws Exception {
        return JsonMapper.builder()
                .build()
                .readTree(app.get("/api/v1/openapi.json").body());
    }

    @Test
    void everyOperationHasItsNameAndEveryAnswerASchemaOfItsOwn() throws Exception {
        JsonNode d = description();
        Set<String> names = new HashSet<>();
        assertEquals("Apache-2.0", d.at("/info/license/identifier").asString());
        d.path("paths")
                .properties()
                .forEach(path -> path.getValue().properties().forEach(operation -> {
                    JsonNode o = operation.getValue();
                    assertTrue(
                            names.add(o.path("operationId").asString("")), path.getKey() + " has no name of its own");
                    o.at("/responses/200/content")
                            .forEach(c -> assertTrue(
                                    c.at("/schema/$ref").asString("").startsWith("#/components/schemas/"),
                                    path.getKey()));
                }));
        assertTrue(names.size() >= 15 && !names.contains(""), names.toString());
    }

    /** An answer that has not changed is not sent again. */
    @Test
    void answersCarryTags() throws Exception {
        for (String path :
                List.of("/shoots", "/nights?lat=36&lon=-3&from=2027-06-01&to=2027-06-03", "/shoots/1/plan")) {
            HttpResponse<String> first = app.get("/api/v1" + path);
            String tag = first.headers().firstValue("ETag").orElseThrow();
            HttpResponse<String> again = app.get("/api/v1" + path, "If-None-Match", tag);
            assertEquals(304, again.statusCode(), path);
            assertEquals("", again.body());
            assertEquals(
                    200, app.get("/api/v1" + path, "If-None-Match", "\"other\"").statusCode());
        }
    }

    @Test
    void aGeneratedClientCallsEachOperation() throws Exception {
        Validators.needed();
        Files.writeString(
                Validators.FOLDER.resolve("openapi.json"),
                app.get("/api/v1/openapi.json").body());
        try (InputStream in = GeneratedClientTest.class.getResourceAsStream("client-check.ts")) {
            Files.copy(
                    java.util.Objects.requireNonNull(in),
                    Validators.FOLDER.resolve("check.ts"),
                    StandardCopyOption.REPLACE_EXISTING);
        }
        Path picture = Validators.FOLDER.resolve("grey.jpg").toAbsolutePath();
        ImageIO.write(new BufferedImage(640, 480, BufferedImage.TYPE_INT_RGB), "jpg", picture.toFile());
        Validators.run(
                Validators.FOLDER,
                Validators.program("openapi-ts"),
                "-i",
                "openapi.json",
                "-o",
                "client",
                "-c",
                "@hey-api/client-fetch");
        try (Stream<Path> made = Files.list(Validators.FOLDER.resolve("client"))) {
            for (Path ts : made.filter(f -> f.toString().endsWith(".ts")).toList()) {
                // Modules name their files whole where they are run without a bundler.
                Files.writeString(ts, Files.readString(ts).replaceAll("from '(\\./[\\w.]+)'", "from '$1.js'"));
            }
        }
        Validators.run(
                Validators.FOLDER,
                Validators.program("tsc"),
                "check.ts",
                "--target",
                "es2022",
                "--module",
                "preserve",
                "--skipLibCheck",
                "--strict",
                "--types",
                "node");
        assertTrue(Validators.run(Validators.FOLDER, "node", "check.js", app.url(""), picture.toString())
                .contains("called 15"));
    }

    /** By the published schema of such descriptions, references followed; and the validator does find a fault. */
    @Test
    void itIsADescriptionByItsOwnStandard() throws Exception {
        Validators.needed();
        String text = app.get("/api/v1/openapi.json").body();
        assertEquals("{\"valid\":true}", validated("described.json", text));
        String odd = validated("odd.json", text.replaceFirst("\"responses\"", "\"respnses\""));
        assertTrue(odd.contains("\"valid\":false"), odd);
    }

    private static String validated(String name, String text) throws Exception {
        Files.writeString(Validators.FOLDER.resolve(name), text);
        return Validators.say(Validators.FOLDER, Validators.program("validate-api"), name)
                .text()
                .replaceAll("\\s", "");
    }
}
