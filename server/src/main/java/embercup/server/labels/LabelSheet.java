package embercup.server.labels;

import embercup.server.platform.QrCode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;

/** Draws labels in black on white. The name and the days can be read at arm's length; what does not fit is behind the square. */
final class LabelSheet implements AutoCloseable {

    /** Ships with PDFBox: Latin, Greek and Cyrillic. */
    private static final String FONT = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

    private static final float PAD = Paper.pt(2.5);
    private static final float SQUARE = Paper.pt(19);
    private static final float NAME_MOST = 15;
    private static final float NAME_LEAST = 10.5f;
    private static final int NAME_LINES = 3;
    private static final float DAYS = 9.5f;
    private static final float SMALL = 7.2f;
    private static final float LEADING = 1.16f;
    /** How much thicker a bold stroke is, of its size: the font has one weight. */
    private static final float BOLD = 0.035f;

    private final PDDocument document = new PDDocument();
    private final PDFont font;
    private final Paper paper;
    private final String origin;
    private final String more;

    /**
     * @param origin address of the kitchen that the squares lead to
     * @param more what is said where a caution has no room
     */
    LabelSheet(Paper paper, String origin, String more) {
        this.paper = paper;
        this.more = more;
        this.origin = origin;
        try (InputStream in = Objects.requireNonNull(PDDocument.class.getResourceAsStream(FONT))) {
            font = PDType0Font.load(document, in, true);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @param skip places of the first page that are used already */
    byte[] drawn(List<Label> labels, int skip) {
        try {
            int place = skip % paper.onPage();
            PDPageContentStream page = null;
            for (Label label : labels) {
                if (page == null || place == paper.onPage()) {
                    if (page != null) {
                        page.close();
                    }
                    place = page == null ? place : 0;
                    page = page();
                }
                new Drawing(page, paper.left(place), paper.bottom(place)).draw(label);
                place++;
            }
            if (page != null) {
                page.close();
            }
            document.getDocumentInformation().setTitle("Labels");
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private PDPageContentStream page() throws IOException {
        PDPage page = new PDPage(new PDRectangle(paper.width(), paper.height()));
        document.addPage(page);
        return new PDPageContentStream(document, page);
    }

    @Override
    public void close() {
        try {
            document.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One label at its place. */
    private final class Drawing {

        private final PDPageContentStream page;
        private final float left;
        private final float bottom;
        private final float width = Paper.pt(Paper.LABEL_W);
        private final float height = Paper.pt(Paper.LABEL_H);
        private float y;
        /** At the foot, for what comes last. */
        private float kept;

        Drawing(PDPageContentStream page, float left, float bottom) {
            this.page = page;
            this.left = left;
            this.bottom = bottom;
            this.y = bottom + height - PAD;
        }

        void draw(Label label) throws IOException {
            if (paper != Paper.ROLL) {
                page.setLineWidth(0.3f);
                page.setStrokingColor(0.6f);
                page.addRect(left, bottom, width, height);
                page.stroke();
                page.setStrokingColor(0f);
            }
            square(label);
            name(label.name());
            line(label.made(), DAYS, false);
            line(label.useBy(), DAYS, true);
            y -= 1.5f;
            // However much is in it: that something is to be minded has its line.
            kept = label.care().isEmpty() ? 0 : SMALL * LEADING;
            paragraph(String.join("; ", label.contents()));
            paragraph(label.take());
            kept = 0;
            care(label.care());
        }

        /** A caution stands there whole or not at all; what has no room is behind the square, and that is said. */
        private void care(List<String> care) throws IOException {
            for (int i = 0; i < care.size(); i++) {
                float last = i == care.size() - 1 ? 0 : SMALL * LEADING;
                if (room(wrapped("! " + care.get(i), SMALL).size() * SMALL * LEADING + last)) {
                    paragraph("! " + care.get(i));
                } else {
                    line(more, SMALL, true);
                    return;
                }
            }
        }

        private boolean room(float high) {
            return y - high >= bottom + PAD * 0.6f + kept;
        }

        /** Beside the square it is narrow, below it wide. */
        private float most(float at) {
            boolean below = at < bottom + height - PAD - SQUARE - 2;
            return width - 2 * PAD - (below ? 0 : SQUARE + PAD);
        }

        private void square(Label label) throws IOException {
            List<String> rows = QrCode.of(origin + label.path()).orElse(List.of());
            float module = rows.isEmpty() ? 0 : SQUARE / rows.size();
            float x0 = left + width - PAD - SQUARE;
            float top = bottom + height - PAD;
            for (int r = 0; r < rows.size(); r++) {
                for (int c = 0; c < rows.get(r).length(); c++) {
                    if (rows.get(r).charAt(c) == '1') {
                        // A hair wider than it is, so that no white line is printed between two.
                        page.addRect(x0 + c * module, top - (r + 1) * module, module + 0.05f, module + 0.05f);
                    }
                }
            }
            page.fill();
        }

        /** As large as two lines of it fit, else in three small ones. */
        private void name(String name) throws IOException {
            float size = NAME_MOST;
            while (size > NAME_LEAST && wrapped(name, size).size() > 2) {
                size -= 0.5f;
            }
            List<String> lines = wrapped(name, size);
            for (int i = 0; i < Math.min(NAME_LINES, lines.size()); i++) {
                boolean cut = i == NAME_LINES - 1 && lines.size() > NAME_LINES;
                line(cut ? lines.get(i) + " …" : lines.get(i), size, true);
            }
            y -= 1.5f;
        }

        private void paragraph(String text) throws IOException {
            for (String line : wrapped(text, SMALL)) {
                line(line, SMALL, false);
            }
        }

        /** Nothing is drawn below the edge. */
        private void line(String text, float size, boolean bold) throws IOException {
            if (text.isEmpty() || !room(size * LEADING)) {
                return;
            }
            y -= size * LEADING;
            page.beginText();
            page.setFont(font, size);
            page.setRenderingMode(bold ? RenderingMode.FILL_STROKE : RenderingMode.FILL);
            page.setLineWidth(size * BOLD);
            page.newLineAtOffset(left + PAD, y + size * 0.2f);
            page.showText(fitting(text, size, most(y + size * LEADING)));
            page.endText();
        }

        private String fitting(String text, float size, float most) throws IOException {
            String fits = text;
            while (fits.length() > 1 && width(fits, size) > most) {
                fits = fits.substring(0, fits.length() - (fits.endsWith("…") ? 2 : 1))
                                .stripTrailing() + "…";
            }
            return fits;
        }

        /** Lines of a text from here down. */
        private List<String> wrapped(String text, float size) throws IOException {
            List<String> lines = new ArrayList<>();
            StringBuilder line = new StringBuilder();
            for (String word : known(text).split(" ")) {
                String longer = line.isEmpty() ? word : line + " " + word;
                if (!line.isEmpty() && width(longer, size) > most(y - lines.size() * size * LEADING)) {
                    lines.add(line.toString());
                    line = new StringBuilder(word);
                } else {
                    line = new StringBuilder(longer);
                }
            }
            if (!line.toString().isBlank()) {
                lines.add(line.toString());
            }
            return lines;
        }

        private float width(String text, float size) throws IOException {
            return font.getStringWidth(text) / 1000 * size;
        }

        /** What the font has no sign for is seen to be missing. */
        private String known(String text) {
            StringBuilder known = new StringBuilder();
            text.replaceAll("\\p{Cntrl}", " ")
                    .codePoints()
                    .forEach(c -> known.append(has(c) ? Character.toString(c) : "?"));
            return known.toString();
        }

        private boolean has(int c) {
            try {
                font.encode(Character.toString(c));
                return true;
            } catch (IOException | IllegalArgumentException e) {
                return false;
            }
        }
    }
}
