package embercup.core.materia;

import embercup.core.measure.Spread;
import embercup.core.measure.Unit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One herb or kitchen ingredient of the materia: what it is, how it measures, how much is usual, how it gives itself to
 * water, and where care is due. Immutable. Every number carries the key of its source ({@link Source}).
 *
 * @param slug common English name in lower case with hyphens; unique
 * @param common name as the cook says it
 * @param latin botanical name
 * @param also other common names, for the search
 * @param part plant part in the tin
 * @param use "traditionally used for …", without a claim of cure
 * @param bulk weight of a level teaspoon by form and cut; may be empty, then the part's figure serves
 * @param pieces weight of one by form and counting or length unit
 * @param freshMoisture water fraction of the fresh herb, 0–1; empty when the part's figure serves
 * @param doses usual doses by tradition; empty when none is published
 * @param method the usual method; empty when the part decides
 * @param gives how it differs from its part in what it gives to water
 * @param ageFloorYears youngest drinker in years
 * @param longestRunDays days in a row before a break
 * @param keepsMonths months in a tin, dried
 * @param prep prep words in the cook's order
 * @param identity how the true, good herb looks and smells
 * @param lookAlikes what it is confused with, and how to tell
 * @param foraged whether it is commonly gathered wild and needs an identity check
 * @param stains whether it dyes hands and counters
 * @param sour whether it makes the cup acid
 * @param curdles whether it splits in an acid cup
 * @param withAcid how its colour turns in an acid cup; empty when it does not
 * @param inCup how warm a cup it goes into; empty when that does not matter
 * @param substitutes what can stand in for it
 * @param constituents what it holds that has a daily limit
 * @param cautions where care is due
 * @param stop why it is never brewed; empty for herbs that are
 */
public record Herb(
        String slug,
        String common,
        String latin,
        List<String> also,
        PlantPart part,
        String use,
        List<Bulk> bulk,
        List<Piece> pieces,
        Optional<Sourced> freshMoisture,
        List<DoseRange> doses,
        Optional<UsualMethod> method,
        Gives gives,
        Optional<Sourced> ageFloorYears,
        Optional<Sourced> longestRunDays,
        Optional<Sourced> keepsMonths,
        List<String> prep,
        String identity,
        List<LookAlike> lookAlikes,
        boolean foraged,
        boolean stains,
        boolean sour,
        boolean curdles,
        Optional<ColourTurn> withAcid,
        Optional<CupGate> inCup,
        List<Substitute> substitutes,
        List<Content> constituents,
        List<HerbCaution> cautions,
        Optional<Stop> stop) {

    public Herb {
        also = List.copyOf(also);
        bulk = List.copyOf(bulk);
        pieces = List.copyOf(pieces);
        doses = List.copyOf(doses);
        prep = List.copyOf(prep);
        lookAlikes = List.copyOf(lookAlikes);
        substitutes = List.copyOf(substitutes);
        constituents = List.copyOf(constituents);
        cautions = List.copyOf(cautions);
    }

    /** A herb of the cook's own: names, part and weights are hers, everything else is its part's. */
    public static Herb own(String slug, String common, String latin, PlantPart part, String use, List<Bulk> weights) {
        return new Herb(
                slug,
                common,
                latin,
                List.of(),
                part,
                use,
                weights,
                List.of(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                Gives.AS_ITS_PART,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                "",
                List.of(),
                false,
                false,
                false,
                false,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty());
    }

    /** The same herb with the cook's own weights before the shipped ones of the same form and cut. */
    public Herb withOwnWeights(List<Bulk> weights) {
        List<Bulk> all = new java.util.ArrayList<>(weights);
        bulk.stream()
                .filter(b -> weights.stream().noneMatch(w -> w.form() == b.form() && w.cut() == b.cut()))
                .forEach(all::add);
        return new Herb(
                slug,
                common,
                latin,
                also,
                part,
                use,
                all,
                pieces,
                freshMoisture,
                doses,
                method,
                gives,
                ageFloorYears,
                longestRunDays,
                keepsMonths,
                prep,
                identity,
                lookAlikes,
                foraged,
                stains,
                sour,
                curdles,
                withAcid,
                inCup,
                substitutes,
                constituents,
                cautions,
                stop);
    }

    /** A number with the key of its source. */
    public record Sourced(double value, String source) {}

    /** A level teaspoon (US, 4.93 mL) of this form and cut in grams. */
    public record Bulk(Form form, Cut cut, Spread gPerTsp, String source) {}

    /** One slice, stick, leaf or inch in grams. */
    public record Piece(Form form, Unit unit, Spread grams, String source) {}

    /**
     * A usual dose.
     *
     * @param perCupG lowest and highest single dose in grams; empty when the tradition doses by the day
     * @param perDayG lowest and highest daily amount in grams
     * @param timesADay fewest and most cups a day
     */
    public record DoseRange(
            Tradition tradition, Form form, Range perCupG, Range perDayG, Range timesADay, String source) {}

    /** Two ends of a range, low ≤ high. */
    public record Range(double low, double high) {
        /** @throws IllegalArgumentException when low > high */
        public Range {
            if (!(low <= high)) {
                throw new IllegalArgumentException("a range needs low <= high: " + low + ", " + high);
            }
        }
    }

    /** How it is usually brewed; minutes of steeping or simmering. */
    public record UsualMethod(Method method, double minutes, String source) {}

    /** Kinds of usual method. */
    public enum Method {
        INFUSION,
        DECOCTION,
        MACERATION
    }

    /**
     * How the herb differs from its part, as factors on the part's figures; 1 where it does not.
     *
     * @param speed on the rate of giving
     * @param amounts on what it holds, by class; absent means 1
     */
    public record Gives(double speed, Map<ExtractClass, Double> amounts, String source) {
        public static final Gives AS_ITS_PART = new Gives(1, Map.of(), "");

        public Gives {
            amounts = Map.copyOf(amounts);
        }

        public double amount(ExtractClass extractClass) {
            return amounts.getOrDefault(extractClass, 1.0);
        }
    }

    /**
     * How warm a cup may be, or must be, for what is stirred into it.
     *
     * @param aboveC the cup is warmer than this; empty when it may be cold
     * @param belowC the cup is cooler than this; empty when it may be hot
     */
    public record CupGate(OptionalDouble aboveC, OptionalDouble belowC, String why, String source) {}

    /** Colours of the liquor before and after acid comes to it. */
    public record ColourTurn(String from, String to, String source) {}

    /** A confusable plant, how to tell it, and whether it poisons. */
    public record LookAlike(String name, String tell, boolean poisonous) {}

    /** Whether a gathered one is to be looked at closely before it is brewed: it has a poisonous look-alike. */
    public boolean needsIdentityCheck() {
        return foraged && lookAlikes.stream().anyMatch(LookAlike::poisonous);
    }

    /** What can stand in: grams of the other for one gram of this, and what changes. */
    public record Substitute(String herb, double ratio, String change, String source) {}

    /** Milligrams of a limited constituent in a gram of the dried herb. */
    public record Content(Constituent constituent, Spread mgPerG, String source) {}

    /**
     * A caution of the herb.
     *
     * @param when the condition it is for; empty when it is for everybody
     */
    public record HerbCaution(Optional<Condition> when, Severity severity, String text, String source) {}

    /** Why it is never brewed. */
    public record Stop(String text, String source) {}

    /**
     * Largest usual daily amount of a form in a tradition or in the monographs, in grams; empty when neither publishes one:
     * a formula's share of another tradition is no maximum for a kitchen pot.
     */
    public Optional<Sourced> mostPerDayG(Tradition tradition, Form form) {
        return doses.stream()
                .filter(d -> d.form() == form && (d.tradition() == tradition || d.tradition() == Tradition.MONOGRAPH))
                .max(java.util.Comparator.comparingDouble(d -> d.perDayG().high()))
                .map(d -> new Sourced(d.perDayG().high(), d.source()));
    }

    /** The dose of a tradition and form; falls back to the monograph's, then to any of the form. */
    public Optional<DoseRange> dose(Tradition tradition, Form form) {
        List<DoseRange> ofForm = doses.stream().filter(d -> d.form() == form).toList();
        return ofForm.stream()
                .filter(d -> d.tradition() == tradition)
                .findFirst()
                .or(() -> ofForm.stream()
                        .filter(d -> d.tradition() == Tradition.MONOGRAPH)
                        .findFirst())
                .or(() -> ofForm.stream().findFirst());
    }
}
