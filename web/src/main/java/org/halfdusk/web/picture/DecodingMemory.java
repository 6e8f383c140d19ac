package org.halfdusk.web.picture;

import java.io.IOException;
import java.io.InterruptedIOException;
import java.util.concurrent.Semaphore;

/** Room for pixels, shared by all that decode; whoever came first is served first. */
final class DecodingMemory {
    private final Semaphore kilobytes;
    private final long all;

    DecodingMemory(long bytes) {
        this.all = bytes;
        this.kilobytes = new Semaphore(permits(bytes), true);
    }

    private static int permits(long bytes) {
        return (int) Math.min(Integer.MAX_VALUE, bytes / 1000);
    }

    long all() {
        return all;
    }

    void take(long bytes) throws IOException {
        try {
            kilobytes.acquire(permits(bytes));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new InterruptedIOException("reading was stopped");
        }
    }

    void giveBack(long bytes) {
        kilobytes.release(permits(bytes));
    }
}
