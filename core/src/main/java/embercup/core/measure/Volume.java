package embercup.core.measure;

/** A volume of liquid or of loose herb. Immutable; millilitres inside, never rounded. */
public record Volume(double millilitres) implements Comparable<Volume> {

    public static final Volume ZERO = new Volume(0);

    /** @throws IllegalArgumentException for a negative or non-finite amount */
    public Volume {
        if (!(millilitres >= 0) || Double.isInfinite(millilitres)) {
            throw new IllegalArgumentException("a volume is zero or more millilitres, not " + millilitres);
        }
    }

    public static Volume millilitres(double millilitres) {
        return new Volume(millilitres);
    }

    public static Volume litres(double litres) {
        return new Volume(litres * 1000);
    }

    public Volume plus(Volume other) {
        return new Volume(millilitres + other.millilitres);
    }

    public Volume times(double factor) {
        return new Volume(millilitres * factor);
    }

    @Override
    public int compareTo(Volume other) {
        return Double.compare(millilitres, other.millilitres);
    }

    /** Full precision; {@link #parse} reads it back to an equal value. */
    @Override
    public String toString() {
        return millilitres + " mL";
    }

    /** @throws IllegalArgumentException for anything but {@code "<number> mL"} */
    public static Volume parse(String text) {
        return new Volume(TextForm.number(text, "mL"));
    }
}
