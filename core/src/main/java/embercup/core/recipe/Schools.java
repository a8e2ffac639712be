package embercup.core.recipe;

import embercup.core.materia.Tradition;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Where practitioners disagree, what this cook holds to. Immutable. A recipe's tradition sets the defaults; every default
 * says its why. All choices are common practice without a published source unless a rule that uses one cites it.
 */
public final class Schools {

    /** A question on which schools differ, with the default's reason in one line. */
    public enum Question {
        DOSE("How the dose is set", "As the recipe's tradition does; the grams are always beside it."),
        BOIL("Boil or not", "By plant part: tender parts lose their aroma at a boil, hard parts need it."),
        FIRST_CONTACT("Water on first contact", "Hard parts give more when the water warms up with them."),
        SKIN("Peel or skin on", "It is washed and strained out anyway."),
        FRESH_DRIED("Fresh for dried", "Dry matter is what gives; some traditions hold them for two herbs."),
        HONEY("When honey goes in", "Below 40 °C costs nothing but waiting, and the gate shows the minute."),
        ACID("When lemon or lime goes in", "Squeezed in at the end it keeps its freshness."),
        PEPPER("When pepper goes in", "Whole or cracked it needs the pot to give itself."),
        STOMACH("Empty or full stomach", "With food when a herb of the cup irritates."),
        SPENT_HERBS("What becomes of the spent herbs", "What is left in them is shown; the cook chooses."),
        LONG_USE("How long it is drunk", "The shortest limit of any herb in the cup counts.");

        private final String words;
        private final String why;

        Question(String words, String why) {
            this.words = words;
            this.why = why;
        }

        public String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        public String words() {
            return words;
        }

        /** Why the default is the default. */
        public String why() {
            return why;
        }

        public List<Choice> choices() {
            return Arrays.stream(Choice.values())
                    .filter(c -> c.question == this)
                    .toList();
        }

        public static Optional<Question> ofCode(String code) {
            return Arrays.stream(values()).filter(q -> q.code().equals(code)).findFirst();
        }
    }

    /** One answer to a question. */
    public enum Choice {
        SPOONS(Question.DOSE, "spoons per cup or jar"),
        GRAMS_PER_CUP(Question.DOSE, "grams per 150 mL"),
        GRAMS_PER_DAY(Question.DOSE, "grams per day over two boils"),
        START_AND_END(Question.DOSE, "start and end volume"),
        CONCENTRATE(Question.DOSE, "concentrate, then dilute"),
        BY_PART(Question.BOIL, "by plant part"),
        NEVER_BOIL(Question.BOIL, "never at a boil, a low simmer at most"),
        BOIL_AND_REST(Question.BOIL, "a short boil, then rest"),
        LONG_SIMMER(Question.BOIL, "a long simmer"),
        COLD_START(Question.FIRST_CONTACT, "cold start for hard parts, boiling for infusions"),
        WARM(Question.FIRST_CONTACT, "warm water"),
        AT_THE_BOIL(Question.FIRST_CONTACT, "at the boil"),
        COOLED(Question.FIRST_CONTACT, "boiled and cooled a little"),
        SKIN_ON(Question.SKIN, "skin on"),
        PEELED(Question.SKIN, "peeled"),
        DRY_MATTER(Question.FRESH_DRIED, "by dry matter"),
        A_HALF(Question.FRESH_DRIED, "half the weight dried"),
        A_THIRD(Question.FRESH_DRIED, "a third of the weight dried"),
        NOT_THE_SAME(Question.FRESH_DRIED, "not the same herb"),
        BELOW_40(Question.HONEY, "only below 40 °C"),
        ANY_TIME(Question.HONEY, "at any time"),
        AT_THE_END(Question.ACID, "squeezed in at the end"),
        WITH_THE_POT(Question.ACID, "boiled with the pot"),
        PEPPER_IN_POT(Question.PEPPER, "with the pot"),
        PEPPER_AFTER(Question.PEPPER, "after the heat"),
        WITH_FOOD(Question.STOMACH, "with food when a herb irritates"),
        EMPTY(Question.STOMACH, "empty in the morning"),
        SHOW_LEFT(Question.SPENT_HERBS, "show what is left"),
        ONCE_MORE(Question.SPENT_HERBS, "one more brew"),
        COMPOST(Question.SPENT_HERBS, "compost"),
        INTO_FOOD(Question.SPENT_HERBS, "into other food"),
        SHORTEST_LIMIT(Question.LONG_USE, "the shortest limit in the cup"),
        MONTHS(Question.LONG_USE, "daily for months");

        private final Question question;
        private final String words;

        Choice(Question question, String words) {
            this.question = question;
            this.words = words;
        }

        public Question question() {
            return question;
        }

        public String words() {
            return words;
        }

        public String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    private final Map<Question, Choice> chosen;

    private Schools(Map<Question, Choice> chosen) {
        this.chosen = chosen;
    }

    /** The defaults of a tradition: the first choice of every question, and the tradition's own way of saying a dose. */
    public static Schools of(Tradition tradition) {
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
        return chosen.get(question);
    }

    public boolean hold(Choice choice) {
        return chosen.get(choice.question) == choice;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Schools s && s.chosen.equals(chosen);
    }

    @Override
    public int hashCode() {
        return chosen.hashCode();
    }

    @Override
    public String toString() {
        return chosen.toString();
    }
}
