package embercup.server.platform;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A text as a square for a camera (ISO/IEC 18004, by ZXing). */
public final class QrCode {

    /** White round it, modules: half of what the standard wants, as the paper or page round it is light. */
    private static final int QUIET = 2;

    private QrCode() {}

    /** Rows of 1 (dark) and 0; empty when the text is too long for one. */
    public static Optional<List<String>> of(String text) {
        try {
            BitMatrix matrix = new QRCodeWriter()
                    .encode(
                            text,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.MARGIN,
                                    QUIET,
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.L));
            List<String> rows = new ArrayList<>();
            for (int y = 0; y < matrix.getHeight(); y++) {
                StringBuilder row = new StringBuilder();
                for (int x = 0; x < matrix.getWidth(); x++) {
                    row.append(matrix.get(x, y) ? '1' : '0');
                }
                rows.add(row.toString());
            }
            return Optional.of(rows);
        } catch (WriterException e) {
            return Optional.empty();
        }
    }
}
