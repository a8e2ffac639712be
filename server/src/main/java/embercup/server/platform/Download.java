package embercup.server.platform;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

/** A text that a browser keeps as a file, and takes for nothing else than it is said to be. */
public final class Download {

    private Download() {}

    /**
     * The answer, in UTF-8.
     *
     * @param name of the file
     * @param type media type, without its encoding
     */
    public static ResponseEntity<byte[]> of(String name, String type, String text) {
        return begun(name, type).body(text.getBytes(StandardCharsets.UTF_8));
    }

    /** The same before its body, for more headers. */
    public static ResponseEntity.BodyBuilder begun(String name, String type) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, type + ";charset=UTF-8")
                .header("X-Content-Type-Options", "nosniff")
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString());
    }
}
