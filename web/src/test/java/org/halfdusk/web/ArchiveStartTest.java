package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.halfdusk.store.sqlite.CannotOpen;
import org.halfdusk.web.standin.DemoWorld;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.event.ContextClosedEvent;

/** The start that is only for the class archive, and the file that is opened beside a start. */
@Tag("slow")
@ExtendWith(OutputCaptureExtension.class)
class ArchiveStartTest {
    @Test
    void asksItselfTheFirstPagesAndEnds(@TempDir Path data, CapturedOutput said) throws Exception {
        CountDownLatch closed = new CountDownLatch(1);
        application()
                .listeners((ApplicationListener<ContextClosedEvent>) e -> closed.countDown())
                .profiles("demo")
                .run(with(data, "--halfdusk.archive=true"));
        assertTrue(closed.await(60, TimeUnit.SECONDS), "it ends by itself");
        for (String page : List.of("/nights", "/shoots/1/night", "/shoots/1/frame", "/shoots/1/expose", "/kit")) {
            assertTrue(said.getAll().contains(page + " answered 200"), page + " in " + said.getAll());
        }
    }

    /** Whatever else fails at a start, the file that was opened beside it is closed again: another start finds it free. */
    @Test
    void aFailedStartLetsGoOfTheFile(@TempDir Path data) {
        assertThrows(RuntimeException.class, () -> application().run(with(data, "--server.port=99999")));
        try (ConfigurableApplicationContext next =
                application().profiles("demo").run(with(data))) {
            assertEquals(1, next.getBeansOfType(DemoWorld.class).size());
        }
    }

    @Test
    void whyTheFileCannotBeOpenedIsSaidAsBefore(@TempDir Path data) throws Exception {
        Path file = Files.writeString(data.resolve("a-file"), "no folder");
        RuntimeException e =
                assertThrows(RuntimeException.class, () -> application().run(with(file)));
        StartRefused why = StartReport.refusal(e).orElseThrow();
        assertTrue(
                String.valueOf(why.getMessage()).contains("is a file; name a folder by --halfdusk.data"),
                why.getMessage());
        assertTrue(why.getCause() instanceof CannotOpen);
    }

    private static SpringApplicationBuilder application() {
        return new SpringApplicationBuilder(HalfDusk.class);
    }

    private static String[] with(Path data, String... more) {
        List<String> all = new ArrayList<>(
                List.of("--server.port=0", "--halfdusk.data=" + data, "--spring.main.register-shutdown-hook=false"));
        all.addAll(List.of(more));
        return all.toArray(String[]::new);
    }
}
