package embercup.core.plan;

import embercup.core.dose.UsualDose;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.measure.KitchenAmount;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.PlannedAddition.Beside;
import embercup.core.plan.PlannedAddition.Grams;
import embercup.core.plan.PlannedAddition.Measured;
import embercup.core.plan.PlannedAddition.OfBlend;
import embercup.core.recipe.Addition;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;

/** Says of every herb of a blend with how much of the blend it is measured out. Used once. */
record MeasuredBlends(Materia materia, PlanRequest request, HerbMeasure measure) {

    /** @param recipe the lines that were planned, in the same order */
    List<PlannedAddition> of(List<Addition> recipe, List<PlannedAddition> lines) {
        Map<Integer, List<Integer>> blends = new LinkedHashMap<>();
        for (int i = 0; i < recipe.size(); i++) {
            int at = i;
            recipe.get(i).spooned().ifPresent(s -> blends.computeIfAbsent(s.line(), l -> new ArrayList<>())
                    .add(at));
        }
        List<PlannedAddition> all = new ArrayList<>(lines);
        blends.values().forEach(herbs -> {
            OfBlend blend = blend(
                    recipe.get(herbs.get(0)), herbs.stream().map(lines::get).toList(), recipe);
            for (int at : herbs) {
                all.set(at, lines.get(at).with(at == herbs.get(0) ? blend : blend.following()));
            }
        });
        return all;
    }

    /** What the grams of a blend are the sum of, by {@code blends.<line>.grams}. */
    static Map<String, Workings> why(List<Addition> recipe, Map<String, Workings> workings) {
        Map<Integer, List<Workings>> blends = new LinkedHashMap<>();
        for (int i = 0; i < recipe.size(); i++) {
            Workings grams = Objects.requireNonNull(workings.get("additions." + i + ".grams"));
            recipe.get(i).spooned().ifPresent(s -> blends.computeIfAbsent(s.line(), l -> new ArrayList<>())
                    .add(grams));
        }
        Map<String, Workings> all = new LinkedHashMap<>();
        blends.forEach(
                (line, herbs) -> all.put("blends." + line + ".grams", Workings.sum(Term.GRAMS_OF_BLEND, "g", herbs)));
        return all;
    }

    private OfBlend blend(Addition first, List<PlannedAddition> herbs, List<Addition> recipe) {
        Addition.Spooned spooned = first.spooned().orElseThrow();
        double ownG = recipe.stream()
                .filter(a -> a.spooned().filter(s -> s.line() == spooned.line()).isPresent())
                .mapToDouble(a -> a.quantity().amount())
                .sum();
        Grams all = new Grams(
                sum(herbs, PlannedAddition::grams),
                sum(herbs, PlannedAddition::lowG),
                sum(herbs, PlannedAddition::highG),
                sum(herbs, PlannedAddition::perCupG));
        PlannedAddition lead = herbs.get(0);
        double measuredG = lead.perCup() ? all.perCup() : all.best();
        double times = measuredG / ownG;
        Measured measured = new Measured(
                amount(spooned, times, measuredG),
                lead.measured().toEachCup(),
                herbs.stream().anyMatch(PlannedAddition::weigh),
                Optional.empty(),
                lead.measured().into());
        OptionalDouble to = first.open().amountTo();
        Optional<KitchenAmount> upTo = to.isPresent()
                ? Optional.of(KitchenAmount.asWritten(
                        to.getAsDouble() * times, spooned.whole().unit()))
                : Optional.empty();
        Beside beside = new Beside(
                usual(herbs, all),
                request.shareOfAdult().value(),
                first.open().optional(),
                first.open().or().stream()
                        .map(o -> HerbName.of(materia.herb(o.herb(), "herb")))
                        .toList(),
                upTo);
        return new OfBlend(spooned.blend(), spooned.line(), true, all, measured, beside);
    }

    /** In the unit that the recipe says; grams in spoons of the blend. */
    private KitchenAmount amount(Addition.Spooned spooned, double times, double grams) {
        Quantity whole = spooned.whole();
        Optional<Herb> blend = materia.find(spooned.blend().slug()).filter(Herb::mixed);
        return whole.unit().dimension() == Unit.Dimension.MASS && blend.isPresent()
                ? measure.kitchen(blend.get(), Form.DRIED, Cut.CHOPPED, grams).amount()
                : KitchenAmount.asWritten(whole.amount() * times, whole.unit());
    }

    /** What is usual of its herbs, by their shares; empty when it is not known of one. */
    private Optional<UsualDose.Range> usual(List<PlannedAddition> herbs, Grams all) {
        double low = 0;
        double high = 0;
        for (PlannedAddition a : herbs) {
            Optional<UsualDose.Range> one = a.usual(materia, request.recipe().tradition())
                    .inCup()
                    .map(u -> u.times(request.shareOfAdult().value()))
                    .filter(u -> u.highG() > 0);
            if (one.isEmpty() || all.best() == 0) {
                return Optional.empty();
            }
            double share = a.grams() / all.best();
            low += one.get().lowG() * share;
            high += one.get().highG() * share;
        }
        return Optional.of(new UsualDose.Range(low, high, "practice"));
    }

    private static double sum(List<PlannedAddition> herbs, java.util.function.ToDoubleFunction<PlannedAddition> of) {
        return herbs.stream().mapToDouble(of).sum();
    }
}
