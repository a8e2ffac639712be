package embercup.core.care;

import embercup.core.materia.Herb;
import embercup.core.materia.HerbName;
import embercup.core.materia.Materia;
import embercup.core.materia.Trait;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlannedAddition;
import java.util.ArrayList;
import java.util.List;

/** What herbs of a kind say when several of them meet in one pot, and whether they are together too much. Immutable. */
record HerbCombinations(Materia materia, BrewPlan plan) {

    List<Caution> cautions(List<Herb> herbs) {
        List<Caution> all = new ArrayList<>();
        for (Trait.Kind kind : Trait.Kind.values()) {
            Trait trait = materia.trait(kind);
            List<Herb> meet = herbs.stream().filter(h -> h.has(kind)).toList();
            if (trait.together().isEmpty() || meet.size() < 2) {
                continue;
            }
            List<HerbName> names = meet.stream().map(HerbName::of).toList();
            double days =
                    trait.addsUp() ? meet.stream().mapToDouble(this::shareOfDay).sum() : 0;
            if (days > 1 + 1e-9) {
                all.add(new Caution.AddsUp(names, trait.together(), (int) Math.round(days * 100), trait.source()));
            } else {
                all.add(new Caution.Together(names, trait.together(), trait.source()));
            }
        }
        return all;
    }

    /** What the day's cups hold of a herb, as a share of its largest usual day; 0 when none is published. */
    private double shareOfDay(Herb herb) {
        return plan.additions().stream()
                .filter(a -> a.herb().equals(herb.slug()))
                .mapToDouble(this::shareOfDay)
                .sum();
    }

    private double shareOfDay(PlannedAddition addition) {
        double grams = addition.perCupG() * plan.request().cupsADay();
        return plan.usual(materia, addition)
                .mostInDay()
                .map(most -> grams / most.value())
                .orElse(0.0);
    }
}
