package embercup.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import embercup.core.materia.Materia;
import embercup.core.measure.MeasureCustom;
import embercup.core.words.Words;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What people write, and what comes of it: precision and recall of every kind of fact over the whole corpus. */
class CorpusTest {

    private static final double ENOUGH = 0.98;

    private static final Reader READER = new Reader(Materia.shipped());

    private static Reading read(String text) {
        return READER.read(text, MeasureCustom.DEFAULT, Optional.empty(), Answers.NONE);
    }

    /** Right, wrong and missed facts of a kind. */
    private static final class Count {
        int right;
        int wrong;
        int missed;

        double precision() {
            return right + wrong == 0 ? 1 : right / (double) (right + wrong);
        }

        double recall() {
            return right + missed == 0 ? 1 : right / (double) (right + missed);
        }

        @Override
        public String toString() {
            return String.format("precision %.3f recall %.3f of %d", precision(), recall(), right + missed);
        }
    }

    @Test
    void everyKindOfFactIsReadAsItIsMeant() {
        Map<String, Count> counts = new TreeMap<>();
        StringBuilder report = new StringBuilder();
        for (Corpus.Sample sample : Corpus.all()) {
            Set<String> read = Corpus.counted(sample, Corpus.facts(read(sample.text())));
            Set<String> missed = new HashSet<>(sample.expected());
            missed.removeAll(read);
            Set<String> wrong = new HashSet<>(read);
            wrong.removeAll(sample.expected());
            read.stream().filter(sample.expected()::contains).forEach(f -> count(counts, f).right++);
            wrong.forEach(f -> count(counts, f).wrong++);
            missed.forEach(f -> count(counts, f).missed++);
            if (!missed.isEmpty() || !wrong.isEmpty()) {
                report.append(sample.title())
                        .append("\n  missed ")
                        .append(missed)
                        .append("\n  wrong ")
                        .append(wrong)
                        .append('\n');
            }
        }
        counts.forEach(
                (kind, count) -> report.append(kind).append(": ").append(count).append('\n'));
        System.getLogger("corpus").log(System.Logger.Level.INFO, report);
        assertThat(counts).as(report.toString()).allSatisfy((kind, count) -> {
            assertThat(count.precision()).as("precision of " + kind).isGreaterThanOrEqualTo(ENOUGH);
            assertThat(count.recall()).as("recall of " + kind).isGreaterThanOrEqualTo(ENOUGH);
        });
    }

    private static Count count(Map<String, Count> counts, String fact) {
        return counts.computeIfAbsent(Corpus.kind(fact), k -> new Count());
    }

    /** Whatever is read, asked or offered of the corpus is said in words, without a hole or a bad number. */
    @Test
    void everythingThatIsReadIsSaid() {
        Words words = Words.ofLanguage("en");
        for (Corpus.Sample sample : Corpus.all()) {
            for (Reading.Line line : read(sample.text()).lines()) {
                Stream<String> said = Stream.of(
                                line.reads().stream().map(words::say),
                                line.asks().stream().map(a -> words.say(a.question())),
                                line.asks().stream()
                                        .flatMap(a -> a.choices().stream())
                                        .map(words::say))
                        .flatMap(s -> s);
                assertThat(said)
                        .as(line.text())
                        .allSatisfy(s -> assertThat(s).isNotBlank().doesNotContain("{", "NaN", "null", "Optional"));
            }
        }
    }

    @Test
    void noWordIsLost() {
        for (Corpus.Sample sample : Corpus.all()) {
            Reading reading = read(sample.text());
            List<String> lines =
                    reading.lines().stream().map(Reading.Line::text).toList();
            assertThat(lines).as(sample.title()).hasSize((int)
                    sample.text().lines().filter(l -> !l.isBlank()).count());
            for (Reading.Line line : reading.lines()) {
                boolean[] covered = new boolean[line.text().length()];
                line.spans().forEach(s -> java.util.Arrays.fill(covered, s.from(), s.to(), true));
                for (int i = 0; i < covered.length; i++) {
                    assertThat(covered[i]
                                    || Character.isWhitespace(line.text().charAt(i))
                                    || line.text().charAt(i) == '-')
                            .as(line.text() + " at " + i)
                            .isTrue();
                }
                for (String kept : line.kept()) {
                    boolean said = kept.chars().noneMatch(Character::isLetterOrDigit)
                            || reading.recipe().told().notes().stream().anyMatch(n -> n.contains(kept));
                    assertThat(said).as("'" + kept + "' of: " + line.text()).isTrue();
                }
            }
        }
    }
}
