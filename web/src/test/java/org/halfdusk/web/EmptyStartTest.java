package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.Map;
import org.halfdusk.shoot.Places;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;

/** The first start without the demo, and starts that are refused. */
class EmptyStartTest {
    @Test
    void offersAPlaceKitOrTheDemoWorld(@TempDir Path data) throws Exception {
        try (App app = App.empty(data)) {
            String page = app.get("/nights").body();
            assertTrue(page.contains("Add a place") && page.contains("Load the demo world"));
            assertTrue(app.get("/shoots").body().contains("No shoots yet"));
            assertTrue(app.get("/kit").body().contains("None yet."));
            assertEquals(302, app.post("/demo", Map.of()).statusCode());
            assertEquals(4, app.bean(Places.class).list().size());
            app.bean(Places.class).delete(4);
            app.post("/demo", Map.of());
            assertEquals(3, app.bean(Places.class).list().size(), "what was deleted stays deleted");
        }
    }

    @Test
    void planningWithoutKitSaysWhatIsMissing(@TempDir Path data) throws Exception {
        try (App app = App.empty(data)) {
            app.post(
                    "/places",
                    Map.of("name", "Cove", "latitude", "-45", "longitude", "170.5", "elevation", "3", "sky", "21"));
            var r = app.post("/nights/plan", Map.of("place", "1", "night", "2027-06-04"));
            assertEquals(400, r.statusCode());
            assertTrue(r.body().contains("There is no camera in the kit yet"));
        }
    }

    @Test
    void doesNotStartWhereOthersReachItWithoutAPassword(@TempDir Path data) {
        Exception e = assertThrows(
                Exception.class,
                () -> new SpringApplicationBuilder(HalfDusk.class)
                        .run("--server.port=0", "--server.address=0.0.0.0", "--halfdusk.data=" + data)
                        .close());
        Throwable cause = e;
        while (cause.getCause() != null) {
            cause = cause.getCause();
        }
        assertTrue(
                String.valueOf(cause.getMessage()).contains("without a password"), String.valueOf(cause.getMessage()));
    }
}
