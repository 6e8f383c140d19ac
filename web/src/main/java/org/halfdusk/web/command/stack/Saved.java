package org.halfdusk.web.command.stack;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.channels.ReadableByteChannel;
import java.nio.channels.WritableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a stack has reached, on the disk, so that it goes on from there after it was stopped.
 *
 * @param order what it is a part of; another order begins anew
 * @param done names of the frames that are in it
 * @param shorts and ints: the accumulator's numbers
 */
record Saved(String order, Set<String> done, short[] shorts, int[] ints) {
    private static final int CHUNK = 1 << 20;

    /** Takes the place of what was saved before, whole or not at all. */
    void write(Path file) throws IOException {
        Path part = file.resolveSibling(file.getFileName() + ".part");
        try (FileChannel channel = FileChannel.open(
                        part,
                        StandardOpenOption.CREATE,
                        StandardOpenOption.TRUNCATE_EXISTING,
                        StandardOpenOption.WRITE);
                DataOutputStream out =
                        new DataOutputStream(new BufferedOutputStream(Channels.newOutputStream(channel), CHUNK))) {
            out.writeUTF(order);
            out.writeInt(done.size());
            for (String name : done) {
                out.writeUTF(name);
            }
            out.writeInt(shorts.length);
            out.writeInt(ints.length);
            out.flush();
            numbers(channel);
            channel.force(false);
        }
        Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
    }

    private void numbers(WritableByteChannel channel) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(4 * CHUNK);
        for (int i = 0; i < shorts.length; i += CHUNK) {
            int n = Math.min(CHUNK, shorts.length - i);
            bytes.clear();
            bytes.asShortBuffer().put(shorts, i, n);
            drain(channel, bytes.limit(2 * n));
        }
        for (int i = 0; i < ints.length; i += CHUNK) {
            int n = Math.min(CHUNK, ints.length - i);
            bytes.clear();
            bytes.asIntBuffer().put(ints, i, n);
            drain(channel, bytes.limit(4 * n));
        }
    }

    private static void drain(WritableByteChannel channel, ByteBuffer bytes) throws IOException {
        while (bytes.hasRemaining()) {
            channel.write(bytes);
        }
    }

    /** What an order has reached; nothing where that is not there, of another order, or damaged. */
    static Optional<Saved> read(Path file, String order) throws IOException {
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try (DataInputStream in = new DataInputStream(new BufferedInputStream(Files.newInputStream(file), CHUNK))) {
            if (!in.readUTF().equals(order)) {
                return Optional.empty();
            }
            Set<String> done = new TreeSet<>();
            for (int n = in.readInt(); n > 0; n--) {
                done.add(in.readUTF());
            }
            short[] shorts = new short[in.readInt()];
            int[] ints = new int[in.readInt()];
            ReadableByteChannel channel = Channels.newChannel(in);
            ByteBuffer bytes = ByteBuffer.allocate(4 * CHUNK);
            for (int i = 0; i < shorts.length; i += CHUNK) {
                int n = Math.min(CHUNK, shorts.length - i);
                fill(channel, bytes.clear().limit(2 * n));
                bytes.asShortBuffer().get(shorts, i, n);
            }
            for (int i = 0; i < ints.length; i += CHUNK) {
                int n = Math.min(CHUNK, ints.length - i);
                fill(channel, bytes.clear().limit(4 * n));
                bytes.asIntBuffer().get(ints, i, n);
            }
            return Optional.of(new Saved(order, done, shorts, ints));
        } catch (EOFException e) {
            return Optional.empty();
        }
    }

    private static void fill(ReadableByteChannel channel, ByteBuffer bytes) throws IOException {
        while (bytes.hasRemaining()) {
            if (channel.read(bytes) < 0) {
                throw new EOFException();
            }
        }
        bytes.flip();
    }
}
