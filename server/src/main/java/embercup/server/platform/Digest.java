package embercup.server.platform;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** What is kept of a secret: enough to know it again, nothing to find it out by. */
public final class Digest {

    private Digest() {}

    /** SHA-256 of a text, in lower-case hexadecimal digits. */
    public static String of(String secret) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
