package embercup.server.archive;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;

/**
 * The seal of an archive: its zip ends with a comment that holds the SHA-256 of every byte before it, so that a flipped bit anywhere
 * in the file is found before anything of it is read. Also what the end of a zip says of its size, read before it is opened.
 *
 * @see <a href="https://pkware.cachefly.net/webdocs/casestudies/APPNOTE.TXT">ZIP application note 6.3.10, 4.3.14–4.3.16</a>
 */
final class Seal {

    private static final String BEGINS = "ember-cup sha-256 ";
    private static final int DIGITS = 64;
    private static final int COMMENT = BEGINS.length() + DIGITS;

    private static final int END_SIGNATURE = 0x06054b50;
    private static final int END_BYTES = 22;
    private static final int MOST_COMMENT = 0xffff;
    private static final int ENTRIES_AT = 10;
    private static final int DIRECTORY_AT = 12;
    private static final int IN_64 = 0xffff;
    /** Names and sizes of an entry in the directory, bytes: longer ones are none of ours. */
    private static final int MOST_ENTRY_BYTES = 512;

    private Seal() {}

    /** The comment of a zip whose bytes are still to come. */
    static String open() {
        return BEGINS + "0".repeat(DIGITS);
    }

    /** Writes the digest over the zeros of {@link #open}; the file is whole. */
    static void close(Path file) throws IOException {
        byte[] digest = digest(file).getBytes(StandardCharsets.US_ASCII);
        try (RandomAccessFile zip = new RandomAccessFile(file.toFile(), "rw")) {
            zip.seek(zip.length() - DIGITS);
            zip.write(digest);
        }
    }

    /** Whether a file has a seal, and whether it holds; empty for one that an earlier version made without. */
    static Optional<Boolean> holds(Path file) throws IOException {
        if (Files.size(file) < COMMENT) {
            return Optional.empty();
        }
        String end = new String(tail(file, COMMENT), StandardCharsets.ISO_8859_1);
        return end.startsWith(BEGINS)
                ? Optional.of(end.substring(BEGINS.length()).equals(digest(file)))
                : Optional.empty();
    }

    /** Whether the end of a zip says of more entries than an archive may have, or of a longer directory of them. */
    static boolean floods(Path file, int mostEntries) throws IOException {
        int length = (int) Math.min(Files.size(file), END_BYTES + MOST_COMMENT);
        ByteBuffer end = ByteBuffer.wrap(tail(file, length)).order(ByteOrder.LITTLE_ENDIAN);
        for (int at = length - END_BYTES; at >= 0; at--) {
            if (end.getInt(at) == END_SIGNATURE) {
                int entries = end.getShort(at + ENTRIES_AT) & 0xffff;
                long directory = end.getInt(at + DIRECTORY_AT) & 0xffffffffL;
                return entries == IN_64 || entries > mostEntries || directory > (long) mostEntries * MOST_ENTRY_BYTES;
            }
        }
        return false;
    }

    private static byte[] tail(Path file, int bytes) throws IOException {
        byte[] tail = new byte[bytes];
        try (RandomAccessFile zip = new RandomAccessFile(file.toFile(), "r")) {
            zip.seek(zip.length() - bytes);
            zip.readFully(tail);
        }
        return tail;
    }

    private static String digest(Path file) throws IOException {
        MessageDigest sha = sha256();
        long left = Files.size(file) - DIGITS;
        byte[] chunk = new byte[1 << 16];
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            while (left > 0) {
                int n = in.read(chunk, 0, (int) Math.min(chunk.length, left));
                if (n < 0) {
                    break;
                }
                sha.update(chunk, 0, n);
                left -= n;
            }
        }
        return hex(sha);
    }

    /** What a digest has come to, in {@link #DIGITS} lower-case hexadecimal digits; it begins anew. */
    static String hex(MessageDigest sha) {
        return HexFormat.of().formatHex(sha.digest());
    }

    static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
