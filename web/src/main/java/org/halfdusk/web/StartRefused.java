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

    @Override
    public int getExitCode() {
        return code;
    }
}
