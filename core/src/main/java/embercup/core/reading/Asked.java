package embercup.core.reading;

import embercup.core.materia.Form;
import embercup.core.materia.HerbName;
import embercup.core.measure.Quantity;
import embercup.core.measure.Volume;
import java.util.List;
import java.util.Optional;

/**
 * A question that a line leaves open, with what may be answered. Immutable.
 *
 * @param choices in the order of the likeliest; never empty
 * @param taken value of the choice that is taken until the cook decides; empty when nothing is
 */
public record Asked(Question question, List<Choice> choices, Optional<String> taken) {

    public Asked {
        choices = List.copyOf(choices);
    }

    /** What is asked: facts, said by {@code words}. A closed family. */
    public sealed interface Question {

        /** Names the question inside its line. */
        String key();

        /** A name that means several herbs. @param why what depends on it; empty where nothing is known */
        record WhichHerb(String name, String why) implements Question {
            @Override
            public String key() {
                return "which:" + name;
            }
        }

        /** A name that is not known. What is spelled nearly so is another plant: nothing is taken for it. */
        record NoHerb(String name) implements Question {
            @Override
            public String key() {
                return "herb:" + name;
            }
        }

        record FreshOrDried(HerbName herb) implements Question {
            @Override
            public String key() {
                return "form:" + herb.slug();
            }
        }

        /** An amount that is left open: "a few", "to taste", "a small piece", "heaped"; none at all. */
        record HowMuch(HerbName herb, String word) implements Question {
            @Override
            public String key() {
                return "amount:" + herb.slug();
            }
        }

        /** A bare number. */
        record OfWhat(HerbName herb, double number) implements Question {
            @Override
            public String key() {
                return "unit:" + herb.slug();
            }
        }

        /** Two amounts of one line that contradict each other. */
        record WhichAmount(HerbName herb) implements Question {
            @Override
            public String key() {
                return "amounts:" + herb.slug();
            }
        }

        /** Two waters. */
        record WhichWater() implements Question {
            @Override
            public String key() {
                return "water";
            }
        }

        /** No water at all, or one without an amount. */
        record HowMuchWater() implements Question {
            @Override
            public String key() {
                return "water";
            }
        }

        /** How long, where no time is written, or only a name for it. */
        record HowLong() implements Question {
            @Override
            public String key() {
                return "time";
            }
        }

        /** A time and a mark: which of them rules. */
        record TimeOrMark() implements Question {
            @Override
            public String key() {
                return "mark";
            }
        }

        /** Boiled down to how much. */
        record ReducedToWhat() implements Question {
            @Override
            public String key() {
                return "reduced";
            }
        }

        /** How many cups it makes, where neither it nor its water says. */
        record HowManyCups() implements Question {
            @Override
            public String key() {
                return "cups";
            }
        }
    }

    /** An answer: facts, said by {@code words}. A closed family. */
    public sealed interface Choice {

        /** Names the choice inside its question. */
        String value();

        record OfHerb(HerbName herb) implements Choice {
            @Override
            public String value() {
                return herb.slug();
            }
        }

        /** The line is left out of the recipe and kept as a note. */
        record LeaveOut() implements Choice {
            public static final String VALUE = "leave-out";

            @Override
            public String value() {
                return VALUE;
            }
        }

        record OfForm(Form form) implements Choice {
            @Override
            public String value() {
                return embercup.core.workings.Code.of(form);
            }
        }

        record OfQuantity(Quantity quantity) implements Choice {
            @Override
            public String value() {
                return quantity.toString();
            }
        }

        record OfVolume(Volume volume) implements Choice {
            @Override
            public String value() {
                return Double.toString(volume.millilitres());
            }
        }

        record OfMinutes(double minutes) implements Choice {
            @Override
            public String value() {
                return Double.toString(minutes);
            }
        }

        record OfCups(double cups) implements Choice {
            @Override
            public String value() {
                return Double.toString(cups);
            }
        }

        /** The time rules, or the mark. */
        record ByTime(boolean time) implements Choice {
            @Override
            public String value() {
                return time ? "time" : "mark";
            }
        }
    }

    public String key() {
        return question.key();
    }
}
