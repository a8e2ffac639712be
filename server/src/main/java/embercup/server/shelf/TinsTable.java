package embercup.server.shelf;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.server.herbs.HouseMateria;
import embercup.server.platform.Csv;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.RefusedException;
import embercup.server.shelf.Tin.TinRequest;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Tins as a table, out and in. A row is understood or it says what is wrong with it; nothing near is taken for it. */
@Component
class TinsTable {

    /** Twice every herb of the materia in both forms. */
    static final int MOST = 2000;

    /** "1,000": a thousand to one reader and one to another. */
    private static final Pattern THOUSANDS_OR_DECIMAL = Pattern.compile("[1-9]\\d{0,2}[.,]\\d{3}");

    private static final List<String> COLUMNS =
            List.of("herb", "name", "latin", "form", "grams", "filled_on", "best_before", "note", "place");

    private final Shelf shelf;
    private final HouseMateria houseMateria;

    TinsTable(Shelf shelf, HouseMateria houseMateria) {
        this.shelf = shelf;
        this.houseMateria = houseMateria;
    }

    /**
     * What was made of a table.
     *
     * @param encoding that it was read in
     * @param kept how many tins went onto the shelf
     */
    record TinsResponse(List<TinLine> lines, String encoding, int kept) {}

    /**
     * A row.
     *
     * @param row its number in the table, the header being 1
     * @param herb slug; missing when it is not known
     * @param problem what is wrong with it; missing when nothing is
     * @param fillsAnew whether such a tin stands on the shelf already
     */
    record TinLine(
            int row,
            String text,
            @Nullable String herb,
            @Nullable String common,
            @Nullable String form,
            @Nullable Double grams,
            @Nullable LocalDate filledOn,
            @Nullable String note,
            @Nullable String place,
            @Nullable String problem,
            boolean fillsAnew) {}

    String written() {
        Materia materia = houseMateria.materia();
        return Csv.written(
                COLUMNS,
                shelf.all().stream()
                        .map(t -> Arrays.asList(
                                t.herb(),
                                t.common(),
                                materia.find(t.herb()).map(Herb::latin).orElse(""),
                                t.form(),
                                t.grams(),
                                t.filledOn(),
                                t.bestBefore(),
                                t.note(),
                                t.stands().place())));
    }

    /** @throws RefusedException 422 when it is no table of tins, or too long */
    TinsResponse read(byte[] body) {
        Csv.Table table = Csv.read(body, MOST);
        Map<String, Integer> at = new HashMap<>();
        for (int i = 0; i < table.header().size(); i++) {
            at.putIfAbsent(table.header().get(i).toLowerCase(Locale.ROOT).replace(' ', '_'), i);
        }
        if (!at.containsKey("herb") && !at.containsKey("name")) {
            throw RefusedException.of(HttpStatus.UNPROCESSABLE_CONTENT, "no-tins", Map.of());
        }
        if (table.rows().size() > MOST) {
            throw RefusedException.of(HttpStatus.UNPROCESSABLE_CONTENT, "too-many-tins", Map.of("most", MOST));
        }
        Materia materia = houseMateria.materia();
        Set<String> there = new HashSet<>();
        shelf.all().forEach(t -> there.add(t.herb() + "|" + t.form()));
        Map<String, Integer> seen = new HashMap<>();
        List<TinLine> lines = new ArrayList<>();
        for (int i = 0; i < table.rows().size(); i++) {
            lines.add(new Row(table.rows().get(i), at, i + 2).line(materia, there, seen));
        }
        return new TinsResponse(lines, table.encoding(), 0);
    }

    /** Puts every row without a problem onto the shelf, all of them or none. */
    @Transactional
    public TinsResponse kept(byte[] body) {
        TinsResponse read = read(body);
        int kept = 0;
        for (TinLine l : read.lines()) {
            if (l.problem() == null) {
                shelf.put(new TinRequest(null, l.herb(), l.form(), l.filledOn(), l.grams(), l.note(), l.place(), null));
                kept++;
            }
        }
        return new TinsResponse(read.lines(), read.encoding(), kept);
    }

    /** One row while it is read. */
    private final class Row {

        private final List<String> cells;
        private final Map<String, Integer> at;
        private final int number;

        Row(List<String> cells, Map<String, Integer> at, int number) {
            this.cells = cells;
            this.at = at;
            this.number = number;
        }

        private String cell(String column) {
            Integer i = at.get(column);
            return i == null || i >= cells.size() ? "" : cells.get(i).strip();
        }

        TinLine line(Materia materia, Set<String> there, Map<String, Integer> seen) {
            String said = cell("herb").isEmpty() ? cell("name") : cell("herb");
            String form = cell("form").isEmpty() ? "dried" : cell("form").toLowerCase(Locale.ROOT);
            try {
                Herb herb = herb(materia, said);
                Fields.oneOf(Form.class, form, "form");
                Double grams = grams();
                LocalDate filled = day();
                String place = place(herb, form);
                String key = herb.slug() + "|" + form;
                Integer before = seen.putIfAbsent(key, number);
                String problem = before == null ? null : said("tins.twice", Map.of("row", before));
                return new TinLine(
                        number,
                        said,
                        herb.slug(),
                        herb.common(),
                        form,
                        grams,
                        filled,
                        cell("note"),
                        place,
                        problem,
                        there.contains(key));
            } catch (InvalidInputException e) {
                String problem = HouseWords.words().message(e.violations());
                return new TinLine(number, said, null, null, form, null, null, cell("note"), null, problem, false);
            }
        }

        private Herb herb(Materia materia, String said) {
            String slug = said.toLowerCase(Locale.ROOT).replace(' ', '-');
            return materia.find(slug)
                    .or(() -> named(materia, said))
                    .orElseThrow(() -> InvalidInputException.of("herb", said, materia.unknownHerb(slug)));
        }

        /** By one of its names, exactly; two that are called so are none. */
        private Optional<Herb> named(Materia materia, String said) {
            List<Herb> all = said.isBlank()
                    ? List.of()
                    : materia.herbs().stream().filter(h -> called(h, said)).toList();
            return all.size() == 1 ? Optional.of(all.get(0)) : Optional.empty();
        }

        /** By a name of the house, or by genus and species, with or without who named them. */
        private boolean called(Herb herb, String said) {
            String latin = herb.latin().toLowerCase(Locale.ROOT);
            String wanted = said.toLowerCase(Locale.ROOT);
            return herb.common().equalsIgnoreCase(said)
                    || herb.also().stream().anyMatch(said::equalsIgnoreCase)
                    || latin.equals(wanted)
                    || wanted.indexOf(' ') > 0 && latin.startsWith(wanted + " ");
        }

        private @Nullable Double grams() {
            String cell = cell("grams");
            String text = cell.replace(',', '.');
            if (text.isEmpty()) {
                return null;
            }
            if (THOUSANDS_OR_DECIMAL.matcher(cell).matches()) {
                String thousands = cell.replaceAll("[.,]", "");
                throw InvalidInputException.of(
                        "grams", cell, new Wanted.OneReading(thousands, String.valueOf(Double.parseDouble(text))));
            }
            try {
                return Fields.within(Double.parseDouble(text), "grams", Limit.TIN_G);
            } catch (NumberFormatException e) {
                throw InvalidInputException.of("grams", text, new Wanted.OfKind(Wanted.Kind.NUMBER));
            }
        }

        /** Where it stands; missing for where such a thing usually does. */
        private @Nullable String place(Herb herb, String form) {
            String text = cell("place").toLowerCase(Locale.ROOT);
            return text.isEmpty() ? null : Fields.code(Shelf.place(text, herb, Fields.oneOf(Form.class, form, "form")));
        }

        private @Nullable LocalDate day() {
            String text = cell("filled_on");
            if (text.isEmpty()) {
                return null;
            }
            try {
                LocalDate day = LocalDate.parse(text);
                shelf.checkFilled(day);
                return day;
            } catch (DateTimeParseException e) {
                throw InvalidInputException.of("filledOn", text, new Wanted.OfKind(Wanted.Kind.DAY));
            }
        }

        private String said(String key, Map<String, ?> arguments) {
            return HouseWords.words().sentence(key, arguments);
        }
    }
}
