package embercup.server.brews;

import embercup.server.platform.RefusedException;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Map;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** A picture is one that can be decoded, whatever it calls itself. */
public final class Picture {

    /** More than any page shows, pixels; the page sends its photos smaller. */
    private static final long MOST_PIXELS = 16_000_000;
    /** Decoded so small to see whether it can be, pixels of the longer side. */
    private static final int TRIED = 400;

    private Picture() {}

    /**
     * Its media type, JPEG or PNG.
     *
     * @throws RefusedException 415 when it is no picture of these, or a broken one; 413 when it is too large
     */
    public static String typeOf(byte[] bytes) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw none();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return tried(reader);
            } finally {
                reader.dispose();
            }
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException | NegativeArraySizeException e) {
            throw none();
        }
    }

    private static String tried(ImageReader reader) throws IOException {
        String type =
                switch (reader.getFormatName().toLowerCase(java.util.Locale.ROOT)) {
                    case "jpeg" -> MediaType.IMAGE_JPEG_VALUE;
                    case "png" -> MediaType.IMAGE_PNG_VALUE;
                    default -> throw none();
                };
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if ((long) width * height > MOST_PIXELS) {
            throw RefusedException.of(
                    HttpStatus.CONTENT_TOO_LARGE,
                    "photo-too-large",
                    Map.of("megapixels", (long) width * height / 1_000_000, "most", MOST_PIXELS / 1_000_000));
        }
        int each = Math.max(1, Math.max(width, height) / TRIED);
        ImageReadParam small = reader.getDefaultReadParam();
        small.setSourceSubsampling(each, each, 0, 0);
        BufferedImage seen = reader.read(0, small);
        if (seen == null) {
            throw none();
        }
        return type;
    }

    private static RefusedException none() {
        return RefusedException.of(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "no-photo", Map.of());
    }
}
