package embercup.server.archive;

import java.util.regex.Pattern;
import org.springframework.http.MediaType;

/** How the file of a photo is called in an archive: by its brew. */
final class PhotoFile {

    private static final String FOLDER = "photos/";
    private static final Pattern NAME =
            Pattern.compile(FOLDER + "[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}\\.(jpg|png)");

    private PhotoFile() {}

    static String name(String brew, String type) {
        return FOLDER + brew + (type.equals(MediaType.IMAGE_PNG_VALUE) ? ".png" : ".jpg");
    }

    static boolean is(String entry) {
        return NAME.matcher(entry).matches();
    }
}
