package embercup.core.words;

import embercup.core.measure.HouseScale;
import embercup.core.measure.HouseUnits;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.LocalTime;
import java.util.Locale;
import java.util.Map;

/** Numbers as a kitchen says them. Rounds; for display only. */
final class Numbers {

    private static final String[] EIGHTHS = {"", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"};
    private static final int NOON = 12;
    private static final double HALF = 0.5;
    private static final double TENTH = 0.1;
    private static final double SMALLEST_WITH_TWO = 0.01;
    private static final double DAYS_FROM_MIN = 48 * 60;

    private final Catalogue catalogue;
    private final boolean twelve;
    private final HouseScale temperature;
    private final HouseScale mass;
    private final HouseScale volume;
    private final HouseScale length;

    Numbers(Catalogue catalogue, HouseUnits units) {
        this.catalogue = catalogue;
        this.twelve = units.hours() == HouseUnits.Hours.TWELVE;
        this.temperature = units.temperature();
        this.mass = units.mass();
        this.volume = units.volume();
        this.length = units.length();
    }

    /** "0.25 g", "8.0 g", "28 g": as a kitchen scale of the house reads. */
    String grams(double grams) {
        return shown(mass, grams);
    }

    /** "230 mg", "4.1 mg", "0.05 mg": two figures that count, so that a small limit is told as it is. */
    String milligrams(double milligrams) {
        if (milligrams >= 10 || milligrams <= 0) {
            return quantity(whole(milligrams), "mg");
        } else if (milligrams >= 0.995) {
            return quantity(decimals(milligrams, 1), "mg");
        }
        BigDecimal two = new BigDecimal(milligrams).round(new MathContext(2)).stripTrailingZeros();
        return quantity(two.toPlainString().replace(".", mark()), "mg");
    }

    /** "245 mL", "8.3 fl oz": as a jug of the house shows it, to 5 mL from 100 mL on. */
    String millilitres(double millilitres) {
        return shown(volume, millilitres);
    }

    /** To the millilitre or the tenth of an ounce, for what somebody wrote. */
    String exactMillilitres(double millilitres) {
        double shown = volume.shown(millilitres);
        return quantity(volume.ofCore() ? whole(shown) : plain(Math.round(shown * 10) / 10.0), volume.unit());
    }

    /** "85 °C", "185 °F". */
    String celsius(double celsius) {
        return shown(temperature, celsius);
    }

    /** "5.2 cm", "2⅛ in". */
    String centimetres(double centimetres) {
        return shown(length, centimetres);
    }

    /** A quantity as a scale of the house shows it. */
    String shown(HouseScale scale, double inCore) {
        double number = scale.rounded(inCore);
        if (scale.eighths()) {
            return quantity(fraction(number), scale.unit());
        }
        double step = scale.stepOf(scale.shown(inCore));
        boolean whole = step >= 1 || (step == HALF && number == Math.rint(number));
        return quantity(whole ? whole(number) : decimals(number, step < TENTH ? 2 : 1), scale.unit());
    }

    private String quantity(String number, String unit) {
        return catalogue.say("quantity", Map.of("number", number, "unit", unit));
    }

    /** "20 min", "1 h 30", "8 h", "3 days". */
    String minutes(double minutes) {
        if (minutes >= DAYS_FROM_MIN) {
            return days(Math.round(minutes / (24 * 60)));
        }
        if (minutes >= 60) {
            long all = Math.round(minutes);
            return all % 60 == 0
                    ? catalogue.say("time.hours", Map.of("hours", all / 60))
                    : catalogue.say("time.hours-and", Map.of("hours", all / 60, "minutes", all % 60));
        }
        if (minutes < 1) {
            return catalogue.say("time.seconds", Map.of("seconds", whole(minutes * 60)));
        }
        boolean whole = minutes >= 10 || Math.abs(minutes - Math.rint(minutes)) < 0.05;
        return catalogue.say("time.minutes", Map.of("minutes", whole ? whole(minutes) : decimals(minutes, 1)));
    }

    /** "21:05", "9:05 pm". */
    String clock(LocalTime time) {
        if (!twelve) {
            return String.format(Locale.ROOT, "%02d:%02d", time.getHour(), time.getMinute());
        }
        int hour = time.getHour() % NOON == 0 ? NOON : time.getHour() % NOON;
        String half = time.getHour() < NOON ? "time.before-noon" : "time.after-noon";
        return catalogue.say(half, Map.of("clock", String.format(Locale.ROOT, "%d:%02d", hour, time.getMinute())));
    }

    String days(long days) {
        return catalogue.say("time.days", Map.of("n", days));
    }

    /** A number to the nearest eighth with a fraction sign: 1.5 is "1½". */
    String fraction(double value) {
        long eighths = Math.round(value * 8);
        String whole = eighths >= 8 ? Long.toString(eighths / 8) : "";
        String text = whole + EIGHTHS[(int) (eighths % 8)];
        return text.isEmpty() ? "0" : text;
    }

    /** A number with as many decimals as it needs, two at most; below a hundredth two figures that count. */
    String plain(double value) {
        if (value == Math.rint(value) && Math.abs(value) < 1e15) {
            return Long.toString((long) value);
        }
        if (Math.abs(value) < SMALLEST_WITH_TWO) {
            return new BigDecimal(value)
                    .round(new MathContext(2))
                    .stripTrailingZeros()
                    .toPlainString()
                    .replace(".", mark());
        }
        String text = String.format(Locale.ROOT, "%.2f", value).replaceFirst("0$", "");
        return text.replace(".", mark());
    }

    private static String whole(double value) {
        return Long.toString(Math.round(value));
    }

    /** A non-negative number with exactly so many decimals; a plan says dozens of them, and a Formatter is slow. */
    String decimals(double value, int places) {
        long parts = places == 2 ? 100 : 10;
        long all = Math.round(value * parts);
        String rest = Long.toString(parts + all % parts).substring(1);
        return all / parts + mark() + rest;
    }

    private String mark() {
        return catalogue.pattern("decimal.mark").orElse(".");
    }
}
