package embercup.core.reading;

import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Unit;
import embercup.core.recipe.Addition;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Place;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Recipe;
import embercup.core.recipe.Stage;
import embercup.core.recipe.StageKind;
import embercup.core.recipe.Told;
import embercup.core.workings.Code;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Texts written by this project with the reading that a cook expects of each, as facts: "kind:what". Below {@code --} stand an
 * addition a line ({@code slug amount unit form cut @stage}), water, cups, the stages, how it is taken, what is asked; a dash
 * leaves a fact open.
 */
final class Corpus {

    private static final MeasureCustom CUSTOM = MeasureCustom.DEFAULT;
    private static final Set<String> SINGLE = Set.of(
            "water", "cups", "fill", "spirit", "vinegar", "takes", "when", "moments", "days", "most", "dose", "not",
            "keeps", "asks", "note", "ofblend");

    private Corpus() {}

    /** A text, and what is expected of it. */
    record Sample(String file, String text, Set<String> expected, Set<String> kindsSaid) {
        String title() {
            return file + ": " + text.lines().findFirst().orElse("");
        }
    }

    static List<Sample> samples(String file) {
        try (var in = Objects.requireNonNull(Corpus.class.getResourceAsStream("/embercup/reading/" + file))) {
            String all = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            return Stream.of(all.split("(?m)^==\\s*$"))
                    .map(block -> sample(file, block))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Sample sample(String file, String block) {
        String[] halves = block.split("(?m)^--\\s*$");
        Set<String> facts = new HashSet<>();
        Set<String> kinds = new HashSet<>(Set.of("herb", "water", "not", "keeps", "ask"));
        for (String line : halves[1].strip().split("\\R")) {
            expect(line.strip(), facts, kinds);
        }
        return new Sample(file, halves[0].strip(), facts, kinds);
    }

    private static void expect(String line, Set<String> facts, Set<String> kinds) {
        String[] w = line.split("\\s+");
        if (SINGLE.contains(w[0])) {
            single(w, line, facts, kinds);
        } else if (StageKind.ofCode(w[0]).isPresent()) {
            stages(line, facts);
            kinds.addAll(Set.of("stage", "time", "mark", "lid", "sign"));
        } else {
            addition(w, facts);
        }
    }

    private static void single(String[] w, String line, Set<String> facts, Set<String> kinds) {
        switch (w[0]) {
            case "water" -> facts.add("water:" + ml(w[1], w[2]));
            case "asks" -> facts.add("ask:" + line.substring(5));
            case "spirit", "vinegar" -> facts.add("menstruum:" + w[0]);
            case "note" -> facts.add("note:" + line.substring(5));
            case "days" -> {
                facts.add("days:" + w[1]);
                facts.add("off:" + w[3]);
            }
            case "takes" -> {
                kinds.add("takes");
                String[] ends = w[1].split("\\.\\.");
                facts.add("takes:" + number(ends[0]) + (ends.length > 1 ? ".." + number(ends[1]) : ""));
            }
            case "fill" -> facts.add("fill:" + w[1] + " " + number(w[2]));
            case "dose" -> facts.add("dose:" + number(w[1]) + " " + w[2]);
            case "ofblend" -> facts.add("blend:" + number(w[1]) + " " + w[2]);
            case "keeps" -> facts.add("keeps:" + number(w[1]) + " " + w[2]);
            case "cups" -> {
                kinds.add("cups");
                facts.add("cups:" + number(w[1]));
            }
            default -> facts.add(w[0] + ":" + w[1]);
        }
    }

    private static void addition(String[] w, Set<String> facts) {
        String slug = w[0];
        facts.add("herb:" + slug);
        int i = 1;
        if (w[1].equals("-")) {
            i = 2;
        } else {
            String[] ends = w[1].split("\\.\\.");
            String unit = w[2];
            if (!unit.equals("-")) {
                facts.add("amount:" + slug + " " + number(ends[0]) + (ends.length > 1 ? ".." + number(ends[1]) : "")
                        + " " + unit);
            }
            i = 3;
        }
        if (!w[i].equals("-")) {
            facts.add("form:" + slug + " " + w[i]);
        }
        if (!w[i + 1].equals("-")) {
            facts.add("cut:" + slug + " " + w[i + 1]);
        }
        for (int j = i + 2; j < w.length; j++) {
            if (w[j].startsWith("@")) {
                facts.add("place:" + slug + " " + w[j].substring(1));
            } else if (w[j].equals("opt")) {
                facts.add("optional:" + slug);
            } else if (w[j].startsWith("or:")) {
                facts.add("or:" + slug + " " + w[j].substring(3));
            } else if (w[j].equals("each")) {
                facts.removeIf(f -> f.startsWith("amount:" + slug + " "));
            }
        }
    }

    private static void stages(String line, Set<String> facts) {
        String[] all = line.split("\\|");
        for (int i = 0; i < all.length; i++) {
            String stage = all[i].strip();
            int quote = stage.indexOf('"');
            if (quote >= 0) {
                facts.add("sign:" + i + " " + stage.substring(quote + 1, stage.length() - 1));
                stage = stage.substring(0, quote).strip();
            }
            String[] w = stage.split("\\s+");
            StringBuilder said = new StringBuilder(w[0]);
            facts.add("lid:" + i + " " + lid(StageKind.ofCode(w[0]).orElseThrow(), w));
            for (int j = 1; j < w.length; j++) {
                switch (w[j]) {
                    case "low", "medium", "high" -> {}
                    case "lid", "open" -> {}
                    case "pressed", "fridge", "sun" -> said.append(' ').append(w[j]);
                    default -> {
                        if (w[j].endsWith("C")) {
                            facts.add("mark:" + i + " " + number(w[j].replace("C", "")) + " C");
                        } else if (w[0].equals("reduce") || w[0].equals("refill")) {
                            facts.add("mark:" + i + " " + Math.round(Double.parseDouble(w[j])) + " mL");
                        } else {
                            String[] ends = w[j].split("-");
                            facts.add("time:" + i + " " + number(ends[0])
                                    + (ends.length > 1 ? "-" + number(ends[1]) : ""));
                        }
                    }
                }
            }
            facts.add("stage:" + i + " " + said);
        }
    }

    private static boolean lid(StageKind kind, String[] w) {
        List<String> words = List.of(w);
        return words.contains("lid") || !words.contains("open") && usualLid(kind);
    }

    private static boolean usualLid(StageKind kind) {
        return switch (kind) {
            case HEAT, SIMMER, STEEP, MACERATE, REST -> true;
            default -> false;
        };
    }

    private static long ml(String amount, String unit) {
        return Math.round(
                Double.parseDouble(amount) * Unit.ofCode(unit).orElseThrow().millilitresEach(CUSTOM));
    }

    static String number(String text) {
        return number(Double.parseDouble(text));
    }

    private static String number(double n) {
        return String.format(Locale.ROOT, "%.2f", n);
    }

    // ---- what was read

    static Set<String> facts(Reading reading) {
        Recipe r = reading.recipe();
        Set<String> facts = new HashSet<>();
        r.additions().forEach(a -> addition(a, facts));
        r.pourMl().ifPresent(ml -> facts.add("water:" + Math.round(ml)));
        facts.add("cups:" + number(r.cups()));
        for (int i = 0; i < r.stages().size(); i++) {
            stage(i, r.stages().get(i), facts);
        }
        if (r.menstruum().kind() != Menstruum.Kind.WATER) {
            facts.add("menstruum:" + r.menstruum().kind().code());
        }
        r.posology().ifPresent(p -> taking(p, facts));
        told(r.told(), facts);
        reading.lines().forEach(l -> l.asks().forEach(a -> facts.add("ask:" + a.key())));
        return facts;
    }

    private static void addition(Addition a, Set<String> facts) {
        String slug = a.herb();
        facts.add("herb:" + slug);
        String to = a.open().amountTo().isPresent()
                ? ".." + number(a.open().amountTo().getAsDouble())
                : "";
        facts.add("amount:" + slug + " " + number(a.quantity().amount()) + to + " "
                + a.quantity().unit().code());
        facts.add("form:" + slug + " " + Code.of(a.form()));
        facts.add("cut:" + slug + " " + Code.of(a.cut()));
        facts.add("place:" + slug + " " + a.stage());
        if (a.open().optional()) {
            facts.add("optional:" + slug);
        }
        a.open().or().forEach(o -> facts.add("or:" + slug + " " + o.herb()));
    }

    private static void stage(int i, Stage s, Set<String> facts) {
        StringBuilder said = new StringBuilder(s.kind().code());
        if (s instanceof Stage.Strain strain && strain.pressed()) {
            said.append(" pressed");
        }
        if (s instanceof Stage.Macerate m && m.place() != Place.ROOM) {
            said.append(' ').append(Code.of(m.place()));
        }
        facts.add("stage:" + i + " " + said);
        facts.add("lid:" + i + " " + s.lid());
        double minutes = s.lastsMin().orElse(0);
        if (minutes > 0) {
            String to = s.until().minutesTo().isPresent()
                    ? "-" + number(s.until().minutesTo().getAsDouble())
                    : "";
            facts.add("time:" + i + " " + number(minutes) + to);
        }
        if (!s.until().sign().isEmpty()) {
            facts.add("sign:" + i + " " + s.until().sign());
        }
        if (s instanceof Stage.Reduce r) {
            facts.add("mark:" + i + " " + Math.round(r.toMl()) + " mL");
        } else if (s instanceof Stage.Refill r) {
            facts.add("mark:" + i + " " + Math.round(r.toMl()) + " mL");
        } else if (s instanceof Stage.Heat h && h.toC().isPresent()) {
            facts.add("mark:" + i + " " + number(h.toC().getAsDouble()) + " C");
        } else if (s instanceof Stage.Pour p && p.toC().isPresent()) {
            facts.add("mark:" + i + " " + number(p.toC().getAsDouble()) + " C");
        } else if (s instanceof Stage.Cool c) {
            facts.add("mark:" + i + " " + number(c.toC()) + " C");
        }
    }

    private static void taking(Posology p, Set<String> facts) {
        String to = p.more().cupsADayTo().isPresent()
                ? ".." + number(p.more().cupsADayTo().getAsDouble())
                : "";
        facts.add("takes:" + number(p.cupsADay()) + to);
        if (p.when() != Posology.When.ANY_TIME) {
            facts.add("when:" + Code.of(p.when()));
        }
        p.more().moments().forEach(m -> facts.add("moments:" + Code.of(m)));
        p.daysOn().ifPresent(d -> facts.add("days:" + d));
        if (p.daysOff() > 0) {
            facts.add("off:" + p.daysOff());
        }
        p.more().mostDays().ifPresent(d -> facts.add("most:" + d));
        p.more()
                .dose()
                .ifPresent(d ->
                        facts.add("dose:" + number(d.amount()) + " " + d.unit().code()));
    }

    private static void told(Told told, Set<String> facts) {
        told.fill().ifPresent(f -> facts.add("fill:" + Code.of(f.from()) + " " + number(f.cm())));
        told.ofBlend()
                .ifPresent(q ->
                        facts.add("blend:" + number(q.amount()) + " " + q.unit().code()));
        told.notFor()
                .forEach(n -> facts.add("not:"
                        + n.when()
                                .map(c -> c.code())
                                .orElseGet(() -> "<" + Math.round(n.underYears().orElse(0)))));
        told.keeping().ifPresent(k -> facts.add("keeps:" + number(k.days()) + " " + Code.of(k.place())));
        told.notes().forEach(n -> facts.add("note:" + n));
    }

    static String kind(String fact) {
        return fact.substring(0, fact.indexOf(':'));
    }

    static String about(String fact) {
        return fact.substring(fact.indexOf(':') + 1).split(" ")[0];
    }

    /** What was read of a sample and counts: facts of kinds, or of slots, that the sample leaves open do not. */
    static Set<String> counted(Sample sample, Set<String> read) {
        return read.stream()
                .filter(f -> sample.expected.contains(f) || asserted(sample, f))
                .collect(Collectors.toCollection(HashSet::new));
    }

    private static boolean asserted(Sample sample, String fact) {
        String kind = kind(fact);
        return switch (kind) {
            case "amount", "form", "cut", "place" ->
                sample.expected.stream().anyMatch(e -> kind(e).equals(kind) && about(e).equals(about(fact)));
            case "note", "moments", "when", "dose" -> false;
            default -> sample.kindsSaid.contains(kind);
        };
    }

    /** Every sample that ships, English and Spanish. */
    static List<Sample> all() {
        List<Sample> all = new ArrayList<>();
        Stream.of(
                        "corpus-en-1.txt",
                        "corpus-en-2.txt",
                        "corpus-en-3.txt",
                        "corpus-en-4.txt",
                        "corpus-es-1.txt",
                        "corpus-es-2.txt",
                        "corpus-es-4.txt")
                .forEach(f -> all.addAll(samples(f)));
        return all;
    }
}
