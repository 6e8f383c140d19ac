package org.halfdusk.web.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.awt.image.BufferedImage;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The description of the interface as a generator of clients reads it: a client is made of it, compiled and calls every operation. */
@Tag("slow")
class GeneratedClientTest extends DemoPages {
    private static final Path TOOLS = Path.of("target", "client");
    private static final long MINUTES = 3;

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
        assumeTrue(
                installed(),
                "the generator of clients could not be installed from the npm registry: none is made here");
        Files.writeString(
                TOOLS.resolve("openapi.json"), app.get("/api/v1/openapi.json").body());
        try (InputStream in = GeneratedClientTest.class.getResourceAsStream("client-check.ts")) {
            Files.copy(
                    java.util.Objects.requireNonNull(in),
                    TOOLS.resolve("check.ts"),
                    StandardCopyOption.REPLACE_EXISTING);
        }
        Path picture = TOOLS.resolve("grey.jpg").toAbsolutePath();
        ImageIO.write(new BufferedImage(640, 480, BufferedImage.TYPE_INT_RGB), "jpg", picture.toFile());
        run("npx", "openapi-ts", "-i", "openapi.json", "-o", "client", "-c", "@hey-api/client-fetch");
        try (Stream<Path> made = Files.list(TOOLS.resolve("client"))) {
            for (Path ts : made.filter(f -> f.toString().endsWith(".ts")).toList()) {
                // Modules name their files whole where they are run without a bundler.
                Files.writeString(ts, Files.readString(ts).replaceAll("from '(\\./[\\w.]+)'", "from '$1.js'"));
            }
        }
        run(
                "npx",
                "tsc",
                "check.ts",
                "--target",
                "es2022",
                "--module",
                "preserve",
                "--skipLibCheck",
                "--strict",
                "--types",
                "node");
        assertTrue(run("node", "check.js", app.url(""), picture.toString()).contains("called 15"));
    }

    /** By the published schema of such descriptions, references followed; and the validator does find a fault. */
    @Test
    void itIsADescriptionByItsOwnStandard() throws Exception {
        assumeTrue(
                installed(), "the validator could not be installed from the npm registry: nothing is validated here");
        String text = app.get("/api/v1/openapi.json").body();
        assertEquals("{\"valid\":true}", validated("described.json", text));
        String odd = validated("odd.json", text.replaceFirst("\"responses\"", "\"respnses\""));
        assertTrue(odd.contains("\"valid\":false"), odd);
    }

    private static String validated(String name, String text) throws Exception {
        Files.writeString(TOOLS.resolve(name), text);
        return say("npx", "validate-api", name).text().replaceAll("(?m)^npm warn.*$|\\s", "");
    }

    private static boolean installed() throws Exception {
        Path done = TOOLS.resolve("node_modules/.bin/validate-api");
        if (!Files.exists(done)) {
            Files.createDirectories(TOOLS);
            Files.writeString(TOOLS.resolve("package.json"), "{\"private\": true, \"type\": \"module\"}");
            say(
                    "npm",
                    "install",
                    "--no-audit",
                    "--no-fund",
                    "--ignore-scripts",
                    "@hey-api/openapi-ts@0.64.15",
                    "@hey-api/client-fetch@0.8.3",
                    "@seriousme/openapi-schema-validator@2.11.0",
                    "typescript@5.7",
                    "@types/node@20");
        }
        return Files.exists(done);
    }

    private record Said(int code, String text) {}

    private static String run(String... command) throws Exception {
        Said said = say(command);
        assertEquals(0, said.code(), String.join(" ", command) + ": " + said.text());
        return said.text();
    }

    private static Said say(String... command) throws Exception {
        Path out = Files.createTempFile("said", ".txt");
        Process p = new ProcessBuilder(command)
                .directory(TOOLS.toFile())
                .redirectErrorStream(true)
                .redirectOutput(out.toFile())
                .start();
        boolean ended = p.waitFor(MINUTES, TimeUnit.MINUTES);
        if (!ended) {
            p.destroyForcibly();
        }
        String text = Files.readString(out, StandardCharsets.UTF_8);
        Files.delete(out);
        return new Said(ended ? p.exitValue() : -1, text);
    }
}
