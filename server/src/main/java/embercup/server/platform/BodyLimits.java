package embercup.server.platform;

/** How large the body of a request may be, by what it is, bytes. */
public final class BodyLimits {

    /** Of JSON: three times what the longest recipe of a household has. */
    public static final int JSON_BYTES = 64 * 1024;
    /** Of a page or a text with recipes: a page is saved with its styles and scripts. */
    public static final int PAGE_BYTES = 2 * 1024 * 1024;
    /** Of a photo. */
    public static final int PHOTO_BYTES = 8 * 1024 * 1024;
    /** Of a household: four hundred of the largest photos and a hundred thousand brews. */
    public static final long ARCHIVE_BYTES = 4L << 30;

    private BodyLimits() {}
}
