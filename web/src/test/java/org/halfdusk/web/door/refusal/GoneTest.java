package org.halfdusk.web.door.refusal;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;

/** Who leaves while an answer comes leaves no error in the log. */
@Tag("slow")
class GoneTest extends DemoPages {
    private static final int TIMES = 12;

    @Test
    void whoLeavesMidAnswerIsNoFailure() throws Exception {
        Logger log = (Logger) LoggerFactory.getLogger(Problems.class);
        Logger root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        ListAppender<ILoggingEvent> heard = new ListAppender<>();
        heard.start();
        root.addAppender(heard);
        log.setLevel(Level.DEBUG);
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
                List<ILoggingEvent> all = new ArrayList<>(heard.list);
                all.stream()
                        .filter(e -> e.getFormattedMessage().endsWith("who asked has gone"))
                        .forEach(e -> left.add(e.getFormattedMessage()));
            }
        } finally {
            root.detachAppender(heard);
            log.setLevel(null);
        }
        assertEquals(
                List.of(),
                heard.list.stream()
                        .filter(e -> e.getLevel().isGreaterOrEqual(Level.WARN))
                        .map(ILoggingEvent::getFormattedMessage)
                        .toList());
        assertFalse(left.isEmpty(), "nobody was seen to leave");
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
