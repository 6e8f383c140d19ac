package org.halfdusk.web;

import org.springframework.boot.ExitCodeGenerator;

/** The application does not start: why, in one sentence, and the exit code that the README lists. */
public class StartRefused extends RuntimeException implements ExitCodeGenerator {
    public static final int FOLDER = 10;
    public static final int LOCKED = 11;
    public static final int READ_ONLY = 12;
    public static final int DAMAGED = 13;
    public static final int NO_DATABASE = 14;
    public static final int NEWER = 15;
    public static final int FULL = 16;
    public static final int PORT = 17;
    public static final int OPEN_WITHOUT_PASSWORD = 18;
    public static final int OPTION = 19;
    public static final int OTHER = 1;

    public static final int MOST_PORT = 65_535;

    private static final long serialVersionUID = 1L;

    private final int code;

    public StartRefused(int code, String sentence) {
        super(sentence);
        this.code = code;
    }

    public StartRefused(int code, String sentence, Throwable cause) {
        super(sentence, cause);
        this.code = code;
    }

    /** An option that cannot be used. @param allowed what can, as a sentence goes on: "1 to 5 are allowed" */
    public static StartRefused option(String name, Object value, String allowed) {
        return new StartRefused(OPTION, "The option --" + name + " “" + value + "” cannot be used; " + allowed + ".");
    }

    /**
     * A number that an option may have.
     *
     * @throws StartRefused where it is less or more
     */
    public static int within(String name, int value, int least, int most) {
        if (value < least || value > most) {
            throw option(name, value, least + " to " + most + " are allowed");
        }
        return value;
    }

    @Override
    public int getExitCode() {
        return code;
    }
}
