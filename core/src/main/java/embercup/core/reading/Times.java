package embercup.core.reading;

import embercup.core.reading.Amount.Loose;
import java.util.List;

/** Reads times and warmths out of the labels of a sentence. Stateless. */
final class Times {

    /** @param last where the last label stands that it takes */
    record Read(Item item, int last) {}

    private Times() {}

    /**
     * A number and its unit: "an hour and a half", "6 weeks to 2 months".
     *
     * @param at where the number stands, @param amount the number, or from and to, @param used its labels
     * @param unitAt where the unit stands
     */
    static Read read(List<Label> labels, int at, Amount amount, List<Label> used, int unitAt) {
        for (int i = at + 1; i <= unitAt; i++) {
            if (!used.contains(labels.get(i))) {
                used.add(labels.get(i));
            }
        }
        double each = minutes(labels.get(unitAt).value());
        double more = 0;
        int end = unitAt;
        // "an hour and a half", "1 hour 30 minutes"
        int next = unitAt + 1;
        boolean joined = next < labels.size() && labels.get(next).is(Kind.AND);
        int number = joined ? next + 1 : next;
        if (number < labels.size() && labels.get(number).is(Kind.NUMBER)) {
            double value = labels.get(number).meaning().number();
            boolean unit = number + 1 < labels.size() && labels.get(number + 1).is(Kind.TIME);
            double smaller = unit ? minutes(labels.get(number + 1).value()) : each;
            if (unit && smaller < each || !unit && joined && value < 1) {
                more = value * smaller;
                end = unit ? number + 1 : number;
            }
        }
        // "6 weeks to 2 months", "30 seconds or 1 minute"
        double high = amount.high() * each + more;
        if (more == 0
                && next + 2 < labels.size()
                && between(labels.get(next))
                && labels.get(next + 1).is(Kind.NUMBER)
                && labels.get(next + 2).is(Kind.TIME)) {
            double to = labels.get(next + 1).meaning().number()
                    * minutes(labels.get(next + 2).value());
            if (to > high) {
                high = to;
                end = next + 2;
            }
        }
        for (int i = unitAt + 1; i <= end; i++) {
            used.add(labels.get(i));
        }
        return new Read(new Item.Time(amount.low() * each + more, high, amount.loose() == Loose.FEW, used), end);
    }

    static Read span(Label label, int at) {
        double minutes = Double.parseDouble(label.value());
        return new Read(new Item.Time(minutes, minutes, true, List.of(label)), at);
    }

    /** A time without a number: "the last minute" is one. */
    static Read one(List<Label> labels, int at) {
        Label label = labels.get(at);
        boolean last = at > 0 && labels.get(at - 1).is(Kind.LAST);
        double minutes = minutes(label.value());
        return new Read(last ? new Item.Time(minutes, minutes, false, List.of(label)) : new Item.Atom(label), at);
    }

    /** A number and its degrees, °C or °F. */
    static Read degrees(List<Label> labels, int at, Amount amount, List<Label> used, int unitAt) {
        used.addAll(labels.subList(at + used.size(), unitAt + 1));
        boolean fahrenheit = labels.get(unitAt).value().equals("f");
        double said = (amount.low() + amount.high()) / 2;
        return new Read(new Item.Degrees(fahrenheit ? (said - 32) / 1.8 : said, used), unitAt);
    }

    /** Whether a label stands between two ends: "to", "or", a hyphen. */
    static boolean between(Label label) {
        return label.is(Kind.RANGE) || label.is(Kind.OR) || label.mark("-");
    }

    private static double minutes(String code) {
        return switch (code) {
            case "s" -> 1 / 60.0;
            case "h" -> 60;
            case "day" -> 24 * 60;
            case "week" -> 7 * 24 * 60;
            case "month" -> 30 * 24 * 60;
            default -> 1;
        };
    }
}
