package embercup.core.plan;

import embercup.core.dose.UsualDose;
import embercup.core.materia.HerbName;
import embercup.core.materia.Severity;
import embercup.core.measure.Mass;
import java.util.Optional;

/** What a cup has of a herb against a usual single dose: the one home of that rule, for everybody who drinks of a pot. Stateless. */
public final class SingleDose {

    /** From this factor on a single dose is a matter of care, not of note (design value). */
    static final double MUCH_MORE = 1.5;
    /** What rounding may move, relative. */
    private static final double ROUNDING = 1e-6;

    private SingleDose() {}

    /**
     * @param inCupG grams of the herb in what is drunk at a time, in the form of {@code usual}
     * @param share of an adult's dose that this drinker has, 0–1
     * @return empty within the usual, and where nothing is published
     */
    public static Optional<Caution> of(UsualDose usual, HerbName name, double inCupG, double share) {
        return usual.highestInCup()
                .filter(most -> inCupG > most.value() * share * (1 + ROUNDING))
                .map(most -> new Caution.SingleDose(
                        name,
                        Mass.grams(inCupG),
                        Mass.grams(most.value() * share),
                        inCupG > most.value() * share * MUCH_MORE ? Severity.CARE : Severity.NOTE,
                        most.source()));
    }
}
