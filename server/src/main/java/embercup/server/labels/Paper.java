package embercup.server.labels;

/**
 * What labels are printed on. A label has one size, for tins, jars, bottles and tags: 62 × 35 mm.
 *
 * @see #LABEL_W
 */
enum Paper {
    A4(210, 297),
    LETTER(215.9, 279.4),
    /** One label after the other, each a page. */
    ROLL(62, 35);

    static final double LABEL_W = 62;
    static final double LABEL_H = 35;
    private static final double MM = 72 / 25.4;
    /** What home printers leave white, mm. */
    private static final double EDGE = 5;

    private final double widthMm;
    private final double heightMm;

    Paper(double widthMm, double heightMm) {
        this.widthMm = widthMm;
        this.heightMm = heightMm;
    }

    /** Points of PDF. */
    static float pt(double mm) {
        return (float) (mm * MM);
    }

    float width() {
        return pt(widthMm);
    }

    float height() {
        return pt(heightMm);
    }

    int columns() {
        return this == ROLL ? 1 : (int) ((widthMm - 2 * EDGE) / LABEL_W);
    }

    int rows() {
        return this == ROLL ? 1 : (int) ((heightMm - 2 * EDGE) / LABEL_H);
    }

    /** Labels on a page: 24 on A4, 21 on letter. */
    int onPage() {
        return columns() * rows();
    }

    /** Left edge of a place on the page, pt. */
    float left(int place) {
        double margin = (widthMm - columns() * LABEL_W) / 2;
        return pt(margin + place % columns() * LABEL_W);
    }

    /** Lower edge of a place on the page, pt. */
    float bottom(int place) {
        double margin = (heightMm - rows() * LABEL_H) / 2;
        return pt(heightMm - margin - (place / columns() + 1) * LABEL_H);
    }
}
