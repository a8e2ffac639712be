package embercup.core.words;

import embercup.core.measure.Volume;
import embercup.core.reading.Asked;
import embercup.core.reading.Understood;
import embercup.core.recipe.Told;
import embercup.core.workings.Code;
import java.util.Map;
import java.util.Optional;

/** What was read of somebody's recipe, and what is asked of it. Millilitres to the millilitre, as they were written. Immutable. */
final class ReadingWords {

    private final Words words;

    ReadingWords(Words words) {
        this.words = words;
    }

    /** Facts whose sentence depends on more than their components. */
    Optional<String> say(Record fact) {
        if (fact instanceof Understood.Plain plain) {
            return Optional.of(words.text("understood." + plain.kind().code()));
        } else if (fact instanceof Understood.Lasting lasting) {
            return Optional.of(
                    words.text("understood." + lasting.kind().code() + "-for", Map.of("time", span(lasting))));
        } else if (fact instanceof Understood.MakesCups makes) {
            return Optional.of(cups("understood.makes-cups", makes.cups()));
        } else if (fact instanceof Asked.Choice.OfCups of) {
            return Optional.of(cups("choice.of-cups", of.cups()));
        } else if (fact instanceof Understood.Makes makes) {
            return volume("understood.makes", makes.liquor());
        } else if (fact instanceof Understood.Water water) {
            return volume("understood.water", water.start());
        } else if (fact instanceof Understood.Reduced reduced) {
            return volume("understood.reduced", reduced.to());
        } else if (fact instanceof Understood.Refilled refilled) {
            return volume("understood.refilled", refilled.water());
        } else if (fact instanceof Understood.Filled filled) {
            return Optional.of(say(filled.fill()));
        } else if (fact instanceof Understood.Taken taken) {
            return Optional.of(words.say(taken.posology()));
        } else if (fact instanceof Told.NotFor who) {
            return Optional.of(say(who));
        } else if (fact instanceof Understood.NotFor who) {
            return Optional.of(say(who.who()));
        } else if (fact instanceof Understood.Keeps keeps) {
            return Optional.of(say(new Told.Keeps(keeps.days(), keeps.place())));
        } else if (fact instanceof Asked.Choice.OfVolume of) {
            return volume("choice.of-volume", of.volume());
        } else if (fact instanceof Asked.Choice.OfMinutes of) {
            return Optional.of(words.text(
                    "choice.of-minutes", Map.of("time", words.numbers().minutes(of.minutes()))));
        }
        return Optional.empty();
    }

    private String span(Understood.Lasting lasting) {
        String from = words.numbers().minutes(lasting.minutes());
        return lasting.minutesTo() > lasting.minutes() * 1.001
                ? words.text(
                        "understood.range",
                        Map.of("from", from, "to", words.numbers().minutes(lasting.minutesTo())))
                : from;
    }

    String say(Told.Fill fill) {
        return words.text(
                "fill." + Code.of(fill.from()), Map.of("height", words.numbers().centimetres(fill.cm())));
    }

    String say(Told.NotFor who) {
        return who.when().isPresent()
                ? words.text(
                        "not-for.condition",
                        Map.of("condition", words.name(who.when().get())))
                : words.text(
                        "not-for.under",
                        Map.of("years", words.numbers().plain(who.underYears().orElse(0))));
    }

    String say(Told.Keeps keeps) {
        return words.text(
                "keeps." + Code.of(keeps.place()),
                Map.of("days", words.numbers().minutes(keeps.days() * 24 * 60)));
    }

    private String cups(String key, double cups) {
        return words.text(key, Map.of("cups", words.numbers().plain(cups), "n", cups));
    }

    private Optional<String> volume(String key, Volume volume) {
        return Optional.of(words.text(key, Map.of("volume", words.numbers().exactMillilitres(volume.millilitres()))));
    }
}
