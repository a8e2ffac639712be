package embercup.core.words;

import embercup.core.plan.Caution;
import java.util.Map;
import java.util.Optional;

/** Cautions whose sentence depends on more than their components. Immutable and thread-safe. */
final class CautionWords {

    private final Words words;

    CautionWords(Words words) {
        this.words = words;
    }

    Optional<String> say(Record fact) {
        if (fact instanceof Caution.Identity identity) {
            return said(identity, Map.of("names", words.either(identity.names())));
        } else if (fact instanceof Caution.Stains stains) {
            return said(
                    stains, Map.of("several", Boolean.toString(stains.herbs().size() > 1)));
        } else if (fact instanceof Caution.Alcohol alcohol) {
            double g = alcohol.holds().grams();
            return said(
                    alcohol,
                    Map.of(
                            "much",
                            g > Caution.Alcohol.LOW_RISK_G
                                    ? "drinks"
                                    : g > Caution.Alcohol.STANDARD_DRINK_G ? "drink" : "little"));
        } else if (fact instanceof Caution.AgeFloor floor) {
            return said(
                    floor,
                    Map.of(
                            "infant", Boolean.toString(floor.years() <= 1),
                            "years", Long.toString(Math.round(floor.years()))));
        }
        return Optional.empty();
    }

    private Optional<String> said(Record fact, Map<String, Object> more) {
        return Optional.of(
                words.text(Facts.key(fact.getClass()), words.arguments(fact).with(more)));
    }
}
