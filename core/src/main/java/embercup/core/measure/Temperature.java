package embercup.core.measure;

/** A temperature. Immutable; degrees Celsius inside, kelvin for the formulas that need it. */
public record Temperature(double celsius) implements Comparable<Temperature> {

    /** Zero of the Celsius scale in kelvin, exact (ITS-90). */
    public static final double ZERO_CELSIUS_K = 273.15;

    /** @throws IllegalArgumentException below absolute zero or for a non-finite value */
    public Temperature {
        if (!(celsius >= -ZERO_CELSIUS_K) || Double.isInfinite(celsius)) {
            throw new IllegalArgumentException("not a temperature: " + celsius + " °C");
        }
    }

    public static Temperature celsius(double celsius) {
        return new Temperature(celsius);
    }

    public static Temperature kelvin(double kelvin) {
        return new Temperature(kelvin - ZERO_CELSIUS_K);
    }

    public static Temperature fahrenheit(double fahrenheit) {
        return new Temperature((fahrenheit - 32) / 1.8);
    }

    public double kelvin() {
        return celsius + ZERO_CELSIUS_K;
    }

    @Override
    public int compareTo(Temperature other) {
        return Double.compare(celsius, other.celsius);
    }

    /** Full precision; {@link #parse} reads it back to an equal value. */
    @Override
    public String toString() {
        return celsius + " °C";
    }

    /** @throws IllegalArgumentException for anything but {@code "<number> °C"} */
    public static Temperature parse(String text) {
        return new Temperature(TextForm.number(text, "°C"));
    }
}
