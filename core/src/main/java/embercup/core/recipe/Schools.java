package embercup.core.recipe;

import embercup.core.materia.Tradition;
import embercup.core.workings.Code;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Where practitioners disagree, what this cook holds to. Immutable. A recipe's tradition sets the defaults; the words of every
 * question, its choices and the why of its default stand in the catalogue. All choices are common practice without a published
 * source unless a rule that uses one cites it.
 *
 * @param chosen the answer to every question
 */
public record Schools(Map<Schools.Question, Schools.Choice> chosen) {

    /** A question on which schools differ, with the default's reason in one line. */
    public enum Question {
        DOSE,
        BOIL,
        FIRST_CONTACT,
        SKIN,
        FRESH_DRIED,
        HONEY,
        ACID,
        PEPPER,
        STOMACH,
        SPENT_HERBS,
        LONG_USE;

        public String code() {
            return Code.of(this);
        }

        public List<Choice> choices() {
            return Choice.OF.get(this);
        }

        public static Optional<Question> ofCode(String code) {
            return Arrays.stream(values()).filter(q -> q.code().equals(code)).findFirst();
        }
    }

    /** One answer to a question. */
    public enum Choice {
        SPOONS(Question.DOSE),
        GRAMS_PER_CUP(Question.DOSE),
        GRAMS_PER_DAY(Question.DOSE),
        START_AND_END(Question.DOSE),
        CONCENTRATE(Question.DOSE),
        BY_PART(Question.BOIL),
        NEVER_BOIL(Question.BOIL),
        BOIL_AND_REST(Question.BOIL),
        LONG_SIMMER(Question.BOIL),
        COLD_START(Question.FIRST_CONTACT),
        WARM(Question.FIRST_CONTACT),
        AT_THE_BOIL(Question.FIRST_CONTACT),
        COOLED(Question.FIRST_CONTACT),
        SKIN_ON(Question.SKIN),
        PEELED(Question.SKIN),
        DRY_MATTER(Question.FRESH_DRIED),
        A_HALF(Question.FRESH_DRIED),
        A_THIRD(Question.FRESH_DRIED),
        NOT_THE_SAME(Question.FRESH_DRIED),
        BELOW_40(Question.HONEY),
        ANY_TIME(Question.HONEY),
        AT_THE_END(Question.ACID),
        WITH_THE_POT(Question.ACID),
        PEPPER_IN_POT(Question.PEPPER),
        PEPPER_AFTER(Question.PEPPER),
        WITH_FOOD(Question.STOMACH),
        EMPTY(Question.STOMACH),
        SHOW_LEFT(Question.SPENT_HERBS),
        ONCE_MORE(Question.SPENT_HERBS),
        COMPOST(Question.SPENT_HERBS),
        INTO_FOOD(Question.SPENT_HERBS),
        SHORTEST_LIMIT(Question.LONG_USE),
        MONTHS(Question.LONG_USE);

        private static final Map<Question, List<Choice>> OF =
                Arrays.stream(values()).collect(Collectors.groupingBy(Choice::question));

        private final Question question;

        Choice(Question question) {
            this.question = question;
        }

        public Question question() {
            return question;
        }

        public String code() {
            return Code.of(this);
        }
    }

    private static final Map<Tradition, Schools> DEFAULTS =
            Arrays.stream(Tradition.values()).collect(Collectors.toUnmodifiableMap(t -> t, Schools::defaults));

    public Schools {
        chosen = Map.copyOf(chosen);
    }

    /** The defaults of a tradition: the first choice of every question, and the tradition's own way of saying a dose. */
    public static Schools of(Tradition tradition) {
        return DEFAULTS.get(tradition);
    }

    private static Schools defaults(Tradition tradition) {
        Map<Question, Choice> chosen = new EnumMap<>(Question.class);
        for (Question q : Question.values()) {
            chosen.put(q, q.choices().get(0));
        }
        chosen.put(
                Question.DOSE,
                switch (tradition) {
                    case FOLK -> Choice.SPOONS;
                    case MONOGRAPH -> Choice.GRAMS_PER_CUP;
                    case CHINESE -> Choice.GRAMS_PER_DAY;
                    case AYURVEDIC -> Choice.START_AND_END;
                });
        return new Schools(chosen);
    }

    /** The same with one question answered otherwise. */
    public Schools with(Choice choice) {
        Map<Question, Choice> other = new EnumMap<>(chosen);
        other.put(choice.question, choice);
        return new Schools(other);
    }

    public Choice chosen(Question question) {
        return Objects.requireNonNull(chosen.get(question));
    }

    public boolean hold(Choice choice) {
        return chosen.get(choice.question) == choice;
    }
}
