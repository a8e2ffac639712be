package embercup.server.archive;

import embercup.server.platform.RefusedException;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Enumeration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.springframework.http.HttpStatus;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A file that says it is an archive, trusted in nothing: every entry is one that an archive has, no name becomes a path, and nothing
 * unpacks to more than its limits.
 */
final class ArchiveFile implements AutoCloseable {

    /** Rows of all tables together, unpacked bytes: eight times what twenty thousand brews have. */
    static final long MOST_ROWS_BYTES = 32L << 30;
    /** One row, bytes: forty times the largest plan of a brew. */
    static final int MOST_ROW_BYTES = 8 << 20;
    /** Text of rows is pressed to a twentieth; what is meant to flood a disk to a thousandth. */
    static final int MOST_RATIO = 200;
    /** Photos: one for each day of a century would be fewer. */
    static final int MOST_ENTRIES = 50_000;

    /** A checksum of every photo stands in it. */
    private static final int MOST_MANIFEST_BYTES = 8 << 20;

    private static final int CHUNK = 1 << 16;
    private static final int SHOWN = 60;

    private final ZipFile zip;
    private final Manifest manifest;
    private long unpacked;

    private ArchiveFile(ZipFile zip, Manifest manifest) {
        this.zip = zip;
        this.manifest = manifest;
    }

    /**
     * Opens it and reads its manifest.
     *
     * @param newest the version of the household's tables here
     * @throws RefusedException 422 when it is no zip, a broken one, another program's, a newer version's, or has an entry that no
     *     archive has
     */
    static ArchiveFile open(Path file, int newest, JsonMapper json) throws IOException {
        if (Seal.floods(file, MOST_ENTRIES)) {
            throw refused("archive-flood", Map.of());
        }
        Optional<Boolean> sealed = Seal.holds(file);
        if (sealed.filter(holds -> !holds).isPresent()) {
            throw refused("archive-broken", Map.of());
        }
        ZipFile zip = zip(file);
        try {
            ArchiveFile archive = new ArchiveFile(zip, manifest(zip, newest, json)).checked();
            if (archive.manifest.checksums() != null && sealed.isEmpty()) {
                throw refused("archive-broken", Map.of());
            }
            archive.verify();
            return archive;
        } catch (IOException | RuntimeException e) {
            zip.close();
            throw e;
        }
    }

    private static ZipFile zip(Path file) throws IOException {
        try {
            return new ZipFile(file.toFile());
        } catch (java.util.zip.ZipException | java.io.EOFException | IllegalArgumentException e) {
            throw refused("archive-broken", Map.of());
        }
    }

    private static Manifest manifest(ZipFile zip, int newest, JsonMapper json) throws IOException {
        ZipEntry entry = zip.getEntry(Manifest.FILE);
        if (entry == null) {
            throw refused("archive-foreign", Map.of());
        }
        JsonNode said;
        try (InputStream in = zip.getInputStream(entry)) {
            said = json.readTree(in.readNBytes(MOST_MANIFEST_BYTES));
        } catch (JacksonException e) {
            throw refused("archive-foreign", Map.of());
        } catch (java.util.zip.ZipException | java.io.EOFException e) {
            throw refused("archive-broken", Map.of());
        }
        if (said == null || !Manifest.OURS.equals(said.path("what").asString(""))) {
            throw refused("archive-foreign", Map.of());
        }
        int version = said.path("formatVersion").asInt(0);
        if (version > newest) {
            throw refused("archive-newer", Map.of("version", version, "newest", newest));
        }
        try {
            Manifest read = json.treeToValue(said, Manifest.class);
            if (version < 1 || read.rows() == null || read.madeAt() == null) {
                throw refused("archive-foreign", Map.of());
            }
            return read;
        } catch (JacksonException e) {
            throw refused("archive-foreign", Map.of());
        }
    }

    private ArchiveFile checked() {
        if (zip.size() > MOST_ENTRIES) {
            throw refused("archive-flood", Map.of());
        }
        List<String> known = ArchivedTable.files();
        Set<String> seen = new HashSet<>();
        for (Enumeration<? extends ZipEntry> all = zip.entries(); all.hasMoreElements(); ) {
            String name = all.nextElement().getName();
            if (!name.equals(Manifest.FILE) && !known.contains(name) && !PhotoFile.is(name) || !seen.add(name)) {
                throw refused("archive-entry", Map.of("entry", shown(name)));
            }
        }
        for (String table : manifest.rows().keySet()) {
            if (!known.contains(table + ".jsonl")) {
                throw refused("archive-entry", Map.of("entry", shown(table)));
            }
        }
        return this;
    }

    /**
     * Reads every entry once: against its checksum in the manifest, or, of an archive that an earlier version made, against the
     * zip's own.
     *
     * @throws RefusedException 422 when one is not what was saved
     */
    private void verify() throws IOException {
        Map<String, String> told = manifest.checksums();
        if (told != null && told.size() != zip.size() - 1) {
            throw refused("archive-short", Map.of("entry", Manifest.FILE));
        }
        for (Enumeration<? extends ZipEntry> all = zip.entries(); all.hasMoreElements(); ) {
            ZipEntry entry = all.nextElement();
            CRC32 crc = new CRC32();
            MessageDigest sha = Seal.sha256();
            byte[] chunk = new byte[CHUNK];
            try (InputStream in = new Bounded(zip.getInputStream(entry), Math.max(1, entry.getCompressedSize()))) {
                for (int n = in.read(chunk); n >= 0; n = in.read(chunk)) {
                    crc.update(chunk, 0, n);
                    sha.update(chunk, 0, n);
                }
            } catch (java.util.zip.ZipException e) {
                throw refused("archive-broken", Map.of());
            }
            boolean known = told == null || entry.getName().equals(Manifest.FILE);
            if (crc.getValue() != entry.getCrc() || !known && !Seal.hex(sha).equals(told.get(entry.getName()))) {
                throw refused("archive-broken", Map.of());
            }
        }
        unpacked = 0;
    }

    private static String shown(String name) {
        return name.length() > SHOWN ? name.substring(0, SHOWN) + "…" : name;
    }

    /** Whether it is to the last bit what was saved. */
    boolean sealed() {
        return manifest.checksums() != null;
    }

    Manifest manifest() {
        return manifest;
    }

    boolean has(ArchivedTable of) {
        return zip.getEntry(of.file()) != null;
    }

    /** The rows of a table, one a line; reading on past a limit is refused. */
    InputStream rows(ArchivedTable of) throws IOException {
        ZipEntry entry = entry(of.file());
        return new Bounded(zip.getInputStream(entry), Math.max(1, entry.getCompressedSize()));
    }

    /**
     * A photo.
     *
     * @throws RefusedException 422 when it is not there, or larger than a photo may be
     */
    byte[] photo(String brew, String type, int most) throws IOException {
        try (InputStream in = zip.getInputStream(entry(PhotoFile.name(brew, type)))) {
            byte[] bytes = in.readNBytes(most + 1);
            if (bytes.length > most) {
                throw refused("archive-flood", Map.of());
            }
            return bytes;
        } catch (java.util.zip.ZipException | java.io.EOFException e) {
            throw refused("archive-broken", Map.of());
        }
    }

    /** How many photos it has. */
    long photos() {
        return zip.stream().filter(e -> PhotoFile.is(e.getName())).count();
    }

    private ZipEntry entry(String name) {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw refused("archive-short", Map.of("entry", name));
        }
        return entry;
    }

    static RefusedException refused(String code, Map<String, ?> arguments) {
        return RefusedException.of(HttpStatus.UNPROCESSABLE_CONTENT, code, arguments);
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }

    /** Counts what is unpacked, against what it was packed as. */
    private final class Bounded extends FilterInputStream {

        private static final long SPARED = 1 << 20;

        private final long most;
        private long here;
        private long line;

        Bounded(InputStream in, long packed) {
            super(in);
            this.most = SPARED + packed * MOST_RATIO;
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] into, int at, int length) throws IOException {
            int n;
            try {
                n = super.read(into, at, length);
            } catch (java.util.zip.ZipException | java.io.EOFException e) {
                throw refused("archive-broken", Map.of());
            }
            here += Math.max(0, n);
            unpacked += Math.max(0, n);
            for (int i = at; i < at + n; i++) {
                line = into[i] == '\n' ? 0 : line + 1;
                if (line > MOST_ROW_BYTES) {
                    throw refused("archive-flood", Map.of());
                }
            }
            if (here > most || unpacked > MOST_ROWS_BYTES) {
                throw refused("archive-flood", Map.of());
            }
            return n;
        }
    }
}
