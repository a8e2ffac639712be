package embercup.core.reading;

import embercup.core.measure.Unit;
import java.util.ArrayList;
import java.util.List;

/** Bags that several herbs share. Stateless. */
final class BagsOfBlend {

    private BagsOfBlend() {}

    /** "2 bags of mint and chamomile" is a blend in each bag: of two herbs each has half of them. */
    static void share(List<Item> items) {
        for (int i = 0; i < items.size(); i++) {
            if (!(items.get(i) instanceof Item.Thing first) || !bags(first.phrase())) {
                continue;
            }
            List<Phrase> blend = new ArrayList<>(List.of(first.phrase()));
            for (int j = i + 1; j < items.size() && joins(items.get(j)); j++) {
                if (items.get(j) instanceof Item.Thing next) {
                    blend.add(next.phrase());
                }
            }
            Amount all = first.phrase().amount;
            if (blend.size() > 1 && all != null) {
                double n = blend.size();
                blend.forEach(
                        p -> p.amount = new Amount(all.low() / n, all.high() / n, all.unit(), all.loose(), all.word()));
            }
        }
    }

    private static boolean bags(Phrase p) {
        return p.herb()
                && p.amount != null
                && p.amount.unit().filter(u -> u == Unit.BAG).isPresent();
    }

    /** A herb without an amount, or a word or a comma between two of them. */
    private static boolean joins(Item item) {
        return item instanceof Item.Thing t
                ? t.phrase().herb() && t.phrase().amount == null
                : item instanceof Item.Atom a
                        && (a.label().is(Kind.GLUE)
                                || a.label().is(Kind.AND)
                                || a.label().mark(","));
    }
}
