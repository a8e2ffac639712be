package embercup.server.platform;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;

/**
 * Tables as RFC 4180 has them. No cell that goes out is run by a spreadsheet: a text that begins like a formula stands behind an
 * apostrophe, which is taken off when it comes back. What comes in may be separated and encoded as spreadsheets do it.
 */
public final class Csv {

    public static final String TYPE = "text/csv";

    /** What a spreadsheet takes for the beginning of something to run (OWASP, CSV injection, mem). */
    private static final String RUN = "=+-@\t\r\n";

    private static final List<Character> SEPARATORS = List.of(',', ';', '\t');
    private static final Charset OF_OLD_SPREADSHEETS = Charset.forName("windows-1252");

    private Csv() {}

    /** A table as it came. @param encoding that it was read in */
    public record Table(List<String> header, List<List<String>> rows, String encoding) {}

    /** @param rows texts, numbers and moments; a missing one is an empty cell */
    public static String written(List<String> header, Stream<List<@Nullable Object>> rows) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
            out.printRecord(header);
            for (List<@Nullable Object> row : (Iterable<List<@Nullable Object>>) rows::iterator) {
                out.printRecord(row.stream().map(Csv::safe).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static Object safe(@Nullable Object cell) {
        if (cell instanceof String text && !text.isEmpty() && RUN.indexOf(text.charAt(0)) >= 0) {
            return "'" + text;
        }
        return cell instanceof Double number ? rounded(number) : cell == null ? "" : cell;
    }

    /** As people read it: whole from a hundred on, to a tenth from ten on, else to a hundredth. */
    private static BigDecimal rounded(double number) {
        double size = Math.abs(number);
        BigDecimal to = BigDecimal.valueOf(number).setScale(size >= 100 ? 0 : size >= 10 ? 1 : 2, RoundingMode.HALF_UP);
        return to.signum() == 0
                ? BigDecimal.ZERO
                : new BigDecimal(to.stripTrailingZeros().toPlainString());
    }

    /** As a file; with a mark of its encoding, so that spreadsheets read more than English. */
    public static ResponseEntity<byte[]> file(String name, String text) {
        return Download.of(name, TYPE, '\ufeff' + text);
    }

    /** @param most rows that are read; more are told by one row more */
    public static Table read(byte[] bytes, int most) {
        Charset charset = charset(bytes);
        String text = new String(bytes, charset).replace("\ufeff", "");
        String first = text.lines().findFirst().orElse("");
        char separator = SEPARATORS.stream()
                .max((a, b) -> Long.compare(count(first, a), count(first, b)))
                .orElse(',');
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .setLenientEof(true)
                .setTrailingData(true)
                .get();
        List<List<String>> rows = new ArrayList<>();
        try (CSVParser in = CSVParser.parse(new StringReader(text), format)) {
            for (CSVRecord record : in) {
                rows.add(Arrays.stream(record.values()).map(Csv::back).toList());
                if (rows.size() > most + 1) {
                    break;
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw RefusedException.of(
                    org.springframework.http.HttpStatus.UNPROCESSABLE_CONTENT, "no-table", java.util.Map.of());
        }
        return rows.isEmpty()
                ? new Table(List.of(), List.of(), charset.name())
                : new Table(rows.get(0), List.copyOf(rows.subList(1, rows.size())), charset.name());
    }

    private static String back(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '\'' && RUN.indexOf(cell.charAt(1)) >= 0
                ? cell.substring(1)
                : cell;
    }

    private static long count(String line, char c) {
        return line.chars().filter(x -> x == c).count();
    }

    /** By its mark, else UTF-8 when it is that, else what old spreadsheets write. */
    private static Charset charset(byte[] bytes) {
        if (bytes.length > 1 && (bytes[0] & 0xff) == 0xff && (bytes[1] & 0xff) == 0xfe) {
            return StandardCharsets.UTF_16LE;
        }
        if (bytes.length > 1 && (bytes[0] & 0xff) == 0xfe && (bytes[1] & 0xff) == 0xff) {
            return StandardCharsets.UTF_16BE;
        }
        try {
            StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes));
            return StandardCharsets.UTF_8;
        } catch (CharacterCodingException e) {
            return OF_OLD_SPREADSHEETS;
        }
    }
}
