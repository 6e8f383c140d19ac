package org.halfdusk.web.phone;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.util.Optional;

/** What the way in from a phone needs, in a folder beside the data: its owner alone reads it, and no backup takes it along. */
final class PhoneKeys {
    private static final String AUTHORITY = "authority.p12";
    private static final String SERVER = "server.p12";
    private static final String PASSWORD = "password";
    private static final String OPEN = "open";

    private final Path folder;

    PhoneKeys(Path data) {
        this.folder = data.resolve("phone");
    }

    Optional<KeyStore> authority() throws IOException, GeneralSecurityException {
        return store(AUTHORITY);
    }

    Optional<KeyStore> server() throws IOException, GeneralSecurityException {
        return store(SERVER);
    }

    void authority(KeyStore store) throws IOException, GeneralSecurityException {
        write(AUTHORITY, bytes(store));
    }

    void server(KeyStore store) throws IOException, GeneralSecurityException {
        write(SERVER, bytes(store));
    }

    /** The password's hash; nothing where none was chosen. */
    Optional<String> password() throws IOException {
        Path file = folder.resolve(PASSWORD);
        return Files.exists(file) ? Optional.of(Files.readString(file).strip()) : Optional.empty();
    }

    void password(String hash) throws IOException {
        write(PASSWORD, hash.getBytes(StandardCharsets.UTF_8));
    }

    boolean open() {
        return Files.exists(folder.resolve(OPEN));
    }

    void open(boolean is) throws IOException {
        if (is) {
            write(OPEN, new byte[0]);
        } else {
            Files.deleteIfExists(folder.resolve(OPEN));
        }
    }

    /** The authority and what it has signed are no more: whoever trusts it trusts nothing any more. */
    void forget() throws IOException {
        for (String name : new String[] {OPEN, SERVER, AUTHORITY, PASSWORD}) {
            Files.deleteIfExists(folder.resolve(name));
        }
    }

    private Optional<KeyStore> store(String name) throws IOException, GeneralSecurityException {
        Path file = folder.resolve(name);
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        KeyStore store = KeyStore.getInstance("PKCS12");
        try (InputStream in = Files.newInputStream(file)) {
            store.load(in, Authority.NO_SECRET);
        }
        return Optional.of(store);
    }

    private static byte[] bytes(KeyStore store) throws IOException, GeneralSecurityException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        store.store(out, Authority.NO_SECRET);
        return out.toByteArray();
    }

    /** Whole or not at all, and never for others' eyes, not even while it is written. */
    private void write(String name, byte[] bytes) throws IOException {
        Files.createDirectories(folder);
        FileStore disk = Files.getFileStore(folder);
        boolean posix = disk.supportsFileAttributeView(PosixFileAttributeView.class);
        if (posix) {
            Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwx------"));
        }
        Path part = folder.resolve(name + ".part");
        Files.deleteIfExists(part);
        if (posix) {
            Files.createFile(part, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        }
        Files.write(part, bytes);
        Files.move(part, folder.resolve(name), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }
}
