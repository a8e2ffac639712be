package embercup.core.reading;

import java.util.List;

/** What a sentence is made of, once its words belong together. A closed family. */
sealed interface Item {

    /** The labels it was made of. */
    List<Label> labels();

    /** Something that goes into a pot, or a bare amount: see {@link Phrase}. */
    record Thing(Phrase phrase) implements Item {
        @Override
        public List<Label> labels() {
            return phrase.labels;
        }
    }

    /** A length of time. @param minutes or the lower end of a range @param named by a name only: overnight */
    record Time(double minutes, double minutesTo, boolean named, List<Label> labels) implements Item {
        public Time {
            labels = List.copyOf(labels);
        }

        boolean range() {
            return minutesTo > minutes * 1.001;
        }
    }

    /** A temperature. */
    record Degrees(double celsius, List<Label> labels) implements Item {
        public Degrees {
            labels = List.copyOf(labels);
        }
    }

    /** Any other label. */
    record Atom(Label label) implements Item {
        @Override
        public List<Label> labels() {
            return List.of(label);
        }
    }
}
