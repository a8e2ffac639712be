package embercup.core.materia;

import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A blend that the house composes, pounds and keeps in a jar: herbs in parts, used by the spoon. It is an ingredient as a herb
 * is; what it weighs, and what there is to say of its dose and of care, is that of its herbs. Immutable.
 *
 * @param slug key beside the herbs'
 * @param portions how much of each herb was mixed; parts are by the spoon (common practice, no source)
 */
public record HouseBlend(String slug, String name, String use, List<Portion> portions) {

    /** So much of one herb. */
    public record Portion(String herb, Form form, Cut cut, Quantity quantity) {

        /** A part is a spoon like any other. */
        Quantity spooned() {
            return quantity.unit() == Unit.PART ? Quantity.of(quantity.amount(), Unit.TEASPOON) : quantity;
        }
    }

    public HouseBlend {
        portions = List.copyOf(portions);
    }

    /**
     * The same materia with the blend among its herbs.
     *
     * @throws InvalidInputException when there are too few or too many herbs in it, or one of them is not known, is a blend itself,
     *     goes into the cup as it is, or is not counted in the unit that is said
     */
    public Materia in(Materia materia) {
        InvalidInputException.Check check = new InvalidInputException.Check();
        check.require(
                Limit.PORTIONS.holds(portions.size()),
                "parts",
                portions.size(),
                Wanted.Count.of(Wanted.Counted.ADDITIONS, Limit.PORTIONS));
        List<Herb> herbs = new ArrayList<>();
        for (int i = 0; i < portions.size(); i++) {
            Portion portion = portions.get(i);
            String at = "parts[" + i + "].";
            Optional<Herb> herb = materia.find(portion.herb);
            check.require(herb.isPresent(), at + "herb", portion.herb, materia.unknownHerb(portion.herb));
            herb.ifPresent(h -> {
                check.require(
                        !h.mixed() && h.part() != PlantPart.PANTRY, at + "herb", h.slug(), new Wanted.HerbByItself());
                herbs.add(h);
                try {
                    new HerbMeasure(materia, MeasureCustom.DEFAULT)
                            .grams(h, portion.form, portion.cut, portion.spooned(), at + "unit");
                } catch (InvalidInputException e) {
                    check.addAll(e.violations());
                }
            });
        }
        check.throwIfAny();
        return materia.with(List.of(Herb.mixed(this, keepsMonths(herbs))));
    }

    /** As long as the herb that keeps the shortest; empty when it is not known of one. */
    private static Optional<Herb.Sourced> keepsMonths(List<Herb> herbs) {
        return herbs.stream().allMatch(h -> h.keepsMonths().isPresent())
                ? herbs.stream()
                        .flatMap(h -> h.keepsMonths().stream())
                        .min(java.util.Comparator.comparingDouble(Herb.Sourced::value))
                : Optional.empty();
    }
}
