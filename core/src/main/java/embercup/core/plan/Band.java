package embercup.core.plan;

import embercup.core.brew.BrewSetup;
import embercup.core.brew.Charge;
import embercup.core.materia.ExtractClass;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.List;

/**
 * How uncertain a strength is: by the rates of giving, and by what the spoon really held. Independent of each other, so they
 * add in quadrature. Stateless.
 */
final class Band {

    private Band() {}

    /**
     * Relative half-width.
     *
     * @param drawn share of the body that is drawn, 0–1
     */
    static double of(StandardCup standard, double drawn, BrewSetup pot, List<PlannedAddition> additions) {
        double square = Math.pow(standard.band(drawn), 2);
        for (Part part : parts(pot, additions)) {
            square += Math.pow(part.share * part.spread, 2);
        }
        return Math.sqrt(square);
    }

    /** The same with its workings. @param drawn the share with its workings */
    static Workings explained(BrewPlan plan, Workings drawn) {
        List<Workings> widths = new ArrayList<>();
        widths.add(Workings.product(
                Term.HALF_WIDTH_OF_RATES,
                "",
                Workings.sourced(Term.RATES_UNCERTAIN_BY, plan.standard().bandRelative(), "", "estimate"),
                Workings.solved(Term.STRENGTH_MOVES_BY, "", StrengthEquation.RATE_SENSITIVITY, drawn)));
        for (Part part : parts(plan.pot(), plan.additions())) {
            widths.add(Workings.product(
                            Term.HALF_WIDTH_OF_SPOON,
                            "",
                            Workings.given(Term.SHARE_OF_BODY, part.share, "").of(part.common),
                            Workings.given(Term.SPOON_UNCERTAIN_BY, part.spread, "")
                                    .of(part.common))
                    .of(part.common));
        }
        return Workings.solved(Term.HALF_WIDTH, "", StrengthEquation.IN_QUADRATURE, widths);
    }

    /**
     * What one herb has of the body of all.
     *
     * @param share of the body that all herbs hold, 0–1
     * @param spread relative half-width of its measure
     */
    private record Part(String common, double share, double spread) {}

    private static List<Part> parts(BrewSetup pot, List<PlannedAddition> additions) {
        double all = pot.charges().stream().mapToDouble(Band::body).sum();
        if (all <= 0) {
            return List.of();
        }
        List<Part> parts = new ArrayList<>();
        List<PlannedAddition> brewed = PlannedAddition.brewed(additions);
        for (int i = 0; i < brewed.size(); i++) {
            PlannedAddition addition = brewed.get(i);
            Charge charge = pot.charges().get(i);
            double spread = addition.grams() <= 0 ? 0 : (addition.highG() - addition.lowG()) / 2 / addition.grams();
            parts.add(new Part(charge.common(), body(charge) / all, spread));
        }
        return parts;
    }

    private static double body(Charge charge) {
        return charge.grams() * charge.holdsPerG(ExtractClass.BODY);
    }
}
