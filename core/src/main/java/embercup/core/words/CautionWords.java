package embercup.core.words;

import embercup.core.plan.Caution;
import java.util.Locale;
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
            return said(
                    alcohol,
                    Map.of(
                            "much",
                            Caution.Alcohol.much(alcohol.holds().grams()).name().toLowerCase(Locale.ROOT)));
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
