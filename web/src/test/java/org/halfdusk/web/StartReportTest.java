package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A start that fails says one sentence and has an exit code of its own, which the README lists. */
@Tag("slow")
class StartReportTest {
    @TempDir
    Path data;

    private void refused(int code, String words, String... options) throws Exception {
        RuntimeException e = assertThrows(
                RuntimeException.class, () -> App.with(data, List.of(), options).close());
        StartRefused refused = StartReport.refusal(e).orElseThrow(() -> new AssertionError("no sentence for", e));
        assertEquals(code, refused.getExitCode(), refused.getMessage());
        String said = String.valueOf(refused.getMessage());
        assertTrue(said.contains(words), said);
        assertFalse(said.contains("\n") || said.contains("Exception"), said);
        String readme = Files.readString(Path.of("..", "README.md"));
        assertTrue(readme.contains("| " + code + " |"), "exit code " + code + " is missing from the README");
    }

    @Test
    void aPortThatIsTaken() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getByName("127.0.0.1"))) {
            refused(
                    StartRefused.PORT,
                    "Port " + taken.getLocalPort() + " is taken",
                    "--server.port=" + taken.getLocalPort());
        }
    }

    /** None named is all of them. */
    @Test
    void everyAddressWithoutAPassword() throws Exception {
        for (String address : List.of("", "0.0.0.0", "::")) {
            refused(StartRefused.OPEN_WITHOUT_PASSWORD, "without a password", "--server.address=" + address);
        }
    }

    /** Whoever reads an option, a properties' record, a bean or our own check: it is named, with its value. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "server.port=many",
                "server.port=65536",
                "halfdusk.phone.port=99999",
                "halfdusk.camera.patience=long",
                "halfdusk.stack.memory=banana"
            })
    void anOptionThatCannotBeUsed(String option) throws Exception {
        refused(StartRefused.OPTION, "--" + option.replace("=", " “") + "” cannot be used; ", "--" + option);
    }

    @ParameterizedTest
    @CsvSource({"0, true", "1, false", "3600, false", "3601, true", "-7, true"})
    void numbersWithin(int value, boolean refused) {
        if (refused) {
            StartRefused e = assertThrows(StartRefused.class, () -> StartRefused.within("it", value, 1, 3600));
            assertEquals("The option --it “" + value + "” cannot be used; 1 to 3600 are allowed.", e.getMessage());
            assertEquals(StartRefused.OPTION, e.getExitCode());
        } else {
            assertEquals(value, StartRefused.within("it", value, 1, 3600));
        }
    }

    @Test
    void noDatabase() throws Exception {
        Files.writeString(data.resolve("half-dusk.db"), "a letter ".repeat(1000));
        refused(StartRefused.NO_DATABASE, "is no database");
    }

    @Test
    void aFolderThatIsAFile() throws Exception {
        Path file = Files.writeString(data.resolve("file"), "x");
        refused(StartRefused.FOLDER, "is a file", "--halfdusk.data=" + file);
    }

    @Test
    void aDatabaseOfANewerVersion() throws Exception {
        App.with(data, List.of()).close();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + data.resolve("half-dusk.db"));
                Statement s = c.createStatement()) {
            s.execute("INSERT INTO flyway_schema_history SELECT 99, '99', 'of the future', 'SQL', 'V99__future.sql', 1,"
                    + " 'half dusk', '2030-01-01 00:00:00', 1, 1");
        }
        refused(StartRefused.NEWER, "newer Half Dusk");
    }

    @Test
    void otherFaultsAreLoggedAsTheyAre() {
        assertTrue(StartReport.refusal(new IllegalStateException("odd")).isEmpty());
    }

    @Test
    void everyCodeStandsInTheReadme() throws Exception {
        String readme = Files.readString(Path.of("..", "README.md"));
        for (int code = StartRefused.FOLDER; code <= StartRefused.OPTION; code++) {
            assertTrue(readme.contains("| " + code + " |"), "exit code " + code);
        }
    }
}
