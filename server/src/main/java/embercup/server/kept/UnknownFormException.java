package embercup.server.kept;

/** A document of a form that this program does not know: a later version kept it. It is left as it is. */
public final class UnknownFormException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final String kind;
    private final int form;
    private final int newest;

    UnknownFormException(String kind, int form, int newest) {
        super("A kept %s of form %d; this version reads forms 1 to %d".formatted(kind, form, newest));
        this.kind = kind;
        this.form = form;
        this.newest = newest;
    }

    /** What it is, as the documents are named. */
    public String kind() {
        return kind;
    }

    public int form() {
        return form;
    }

    /** The newest form that is read here. */
    public int newest() {
        return newest;
    }
}
