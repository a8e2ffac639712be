package embercup.core.reading;

import embercup.core.workings.Code;

/**
 * A run of words and what it was taken for. Immutable.
 *
 * @param from index of its first word
 * @param to index after its last
 */
record Label(int from, int to, Meaning meaning) {

    Kind kind() {
        return meaning.kind();
    }

    String value() {
        return meaning.value();
    }

    boolean is(Kind kind) {
        return meaning.kind() == kind;
    }

    boolean is(Act act) {
        return is(Kind.ACT) && value().equals(act.name());
    }

    boolean mark(String marks) {
        return is(Kind.MARK) && marks.contains(value());
    }

    /** The constant that its value is the code of. */
    <E extends Enum<E>> E as(Class<E> type) {
        return Code.constant(type, value());
    }

    Act act() {
        return Act.valueOf(value());
    }

    int words() {
        return to - from;
    }
}
