package org.halfdusk.web.door.refusal;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.logging.Handler;
import java.util.logging.Level;
import java.util.logging.LogRecord;
import java.util.logging.Logger;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Who leaves while an answer comes leaves no error in the log. */
@Tag("slow")
class GoneTest extends DemoPages {
    private static final int TIMES = 12;

    @Test
    void whoLeavesMidAnswerIsNoFailure() throws Exception {
        Logger log = Logger.getLogger(Problems.class.getName());
        Logger root = Logger.getLogger("");
        Heard heard = new Heard();
        root.addHandler(heard);
        log.setLevel(Level.FINE);
        Set<String> left = new TreeSet<>();
        try {
            for (String path : List.of("/shoots/1/sky", "/first/carpet.png", "/nights", "/map?place=1")) {
                for (int i = 0; i < TIMES; i++) {
                    leave(path);
                }
            }
            // The last of them are answered by now, or never.
            assertEquals(200, app.get("/nights").statusCode());
            for (int i = 0; i < TIMES && left.isEmpty(); i++) {
                Thread.sleep(200);
                heard.all.stream()
                        .map(LogRecord::getMessage)
                        .filter(m -> m.endsWith("who asked has gone"))
                        .forEach(left::add);
            }
        } finally {
            root.removeHandler(heard);
            log.setLevel(null);
        }
        assertEquals(
                List.of(),
                heard.all.stream()
                        .filter(r -> r.getLevel().intValue() >= Level.WARNING.intValue())
                        .map(LogRecord::getMessage)
                        .toList());
        assertFalse(left.isEmpty(), "nobody was seen to leave");
    }

    private static final class Heard extends Handler {
        private final List<LogRecord> all = new CopyOnWriteArrayList<>();

        @Override
        public void publish(LogRecord told) {
            all.add(told);
        }

        @Override
        public void flush() {}

        @Override
        public void close() {}
    }

    /** Asks and hangs up hard, before the answer can have been read. */
    private static void leave(String path) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", app.port())) {
            socket.setSoLinger(true, 0);
            socket.getOutputStream()
                    .write(("GET " + path + " HTTP/1.1\r\nHost: 127.0.0.1:" + app.port() + "\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            socket.getOutputStream().flush();
        }
    }
}
