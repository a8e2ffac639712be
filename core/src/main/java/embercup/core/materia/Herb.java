package embercup.core.materia;

import embercup.core.measure.Spread;
import embercup.core.measure.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/**
 * One herb or kitchen ingredient of the materia: what it is, how it measures, how much is usual, how it infuses into water,
 * and where care is due. Immutable. Every number carries the key of its source ({@link Source}). The sections are those of
 * its file.
 *
 * @param slug common English name in lower case with hyphens; unique
 */
public record Herb(
        String slug,
        About about,
        Weights weights,
        Dosing dosing,
        Brewing brewing,
        InTheCup cup,
        Knowing knowing,
        Cares care) {

    /**
     * What it is.
     *
     * @param common name as the cook says it
     * @param latin botanical name
     * @param also other common names in English, for the search
     * @param names common names in other languages, by the language's code; the usual one first
     * @param part plant part in the tin
     * @param use "traditionally used for …", without a claim of cure
     * @param mixedOf what a blend of the house is mixed of; empty for a herb
     */
    public record About(
            String common,
            String latin,
            List<String> also,
            Map<String, List<String>> names,
            PlantPart part,
            String use,
            List<HouseBlend.Portion> mixedOf) {
        public About {
            mixedOf = List.copyOf(mixedOf);
            also = List.copyOf(also);
            names = Map.copyOf(names);
        }
    }

    /**
     * How it measures and keeps.
     *
     * @param bulk weight of a level teaspoon by form and cut; may be empty, then the part's figure serves
     * @param pieces weight of one by form and counting or length unit
     * @param freshMoisture water fraction of the fresh herb, 0–1; empty when the part's figure serves
     * @param keepsMonths months in a tin, dried
     */
    public record Weights(
            List<Bulk> bulk, List<Piece> pieces, Optional<Sourced> freshMoisture, Optional<Sourced> keepsMonths) {
        static final Weights NONE = new Weights(List.of(), List.of(), Optional.empty(), Optional.empty());

        public Weights {
            bulk = List.copyOf(bulk);
            pieces = List.copyOf(pieces);
        }
    }

    /**
     * How much is usual.
     *
     * @param doses usual doses by tradition; empty when none is published
     * @param ageFloorYears youngest drinker in years
     * @param longestRunDays days in a row before a break
     * @param harmful from how much on it poisons; empty where its usual most and its constituents say enough
     */
    public record Dosing(
            List<DoseRange> doses,
            Optional<Sourced> ageFloorYears,
            Optional<Sourced> longestRunDays,
            Optional<Harmful> harmful) {
        static final Dosing NONE = new Dosing(List.of(), Optional.empty(), Optional.empty(), Optional.empty());

        /** What a cook may enter of a herb of her own. */
        public Dosing(List<DoseRange> doses, Optional<Sourced> ageFloorYears, Optional<Sourced> longestRunDays) {
            this(doses, ageFloorYears, longestRunDays, Optional.empty());
        }

        public Dosing {
            doses = List.copyOf(doses);
        }
    }

    /**
     * How it is prepared and brewed.
     *
     * @param method the usual method; empty when the part decides
     * @param gives how it differs from its part in what it gives to water
     * @param prep what is done to the fresh herb first, in the cook's order
     * @param cutting how this herb is crushed or bruised, in the cook's words; empty when the cut says it
     * @param skin whether it has a skin that is peeled or left on
     * @param restMinutes how long it rests between cutting and heat
     * @param neverRawMinutes how long it is boiled at least, because raw it upsets; empty when it need not be
     * @param drunkWhole whether it stays in the cup and is drunk with it, as a fine powder is
     * @param swelling volume that a gram takes once it has swollen, mL/g; empty for herbs that hardly swell
     * @param differs when it goes in, where schools differ on that; empty where they do not
     */
    public record Brewing(
            Optional<UsualMethod> method,
            Gives gives,
            List<String> prep,
            String cutting,
            boolean skin,
            Optional<Sourced> restMinutes,
            Optional<Sourced> neverRawMinutes,
            Optional<Sourced> swelling,
            boolean drunkWhole,
            Optional<Differs> differs) {
        static final Brewing NONE = new Brewing(
                Optional.empty(),
                Gives.AS_ITS_PART,
                List.of(),
                "",
                false,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                Optional.empty());

        public Brewing {
            prep = List.copyOf(prep);
        }
    }

    /** Ingredients on whose turn schools differ. */
    public enum Differs {
        HONEY,
        ACID,
        PEPPER
    }

    /**
     * What it does in the cup and to the kitchen.
     *
     * @param sour whether it makes the cup acid
     * @param curdles whether it splits in an acid cup
     * @param liquid whether it is as thin as water and counts as much: milk, juice
     * @param stains whether it dyes hands and counters
     * @param withAcid how its colour turns in an acid cup; empty when it does not
     * @param gate how warm a cup it goes into; empty when that does not matter
     */
    public record InTheCup(
            boolean sour,
            boolean curdles,
            boolean liquid,
            boolean stains,
            Optional<ColourTurn> withAcid,
            Optional<CupGate> gate) {
        static final InTheCup NONE = new InTheCup(false, false, false, false, Optional.empty(), Optional.empty());
    }

    /**
     * How it is known, and what stands in for it.
     *
     * @param identity how the true, good herb looks and smells
     * @param lookAlikes what it is confused with, and how to tell
     * @param foraged whether it is commonly gathered wild and needs an identity check
     * @param substitutes what can stand in for it
     */
    public record Knowing(String identity, List<LookAlike> lookAlikes, boolean foraged, List<Substitute> substitutes) {
        static final Knowing NONE = new Knowing("", List.of(), false, List.of());

        public Knowing {
            lookAlikes = List.copyOf(lookAlikes);
            substitutes = List.copyOf(substitutes);
        }
    }

    /**
     * Where care is due.
     *
     * @param constituents what it holds that has a daily limit
     * @param traits what it has in common with others
     * @param cautions where care is due: its own, and those of its traits; of a condition either its own or the gravest
     * @param noneKnown conditions of which nothing is known that would ask for care: silence is a decision
     * @param stop why it is never brewed; empty for herbs that are
     */
    public record Cares(
            List<Content> constituents,
            Set<Trait.Kind> traits,
            List<HerbCaution> cautions,
            Set<Condition> noneKnown,
            Optional<Stop> stop) {
        static final Cares NONE = new Cares(List.of(), Set.of(), List.of(), Set.of(), Optional.empty());

        public Cares {
            constituents = List.copyOf(constituents);
            traits = Set.copyOf(traits);
            cautions = List.copyOf(cautions);
            noneKnown = Set.copyOf(noneKnown);
        }
    }

    /** A blend of the house as an ingredient. @param keepsMonths of the herb that keeps the shortest */
    static Herb mixed(HouseBlend blend, Optional<Sourced> keepsMonths) {
        return new Herb(
                blend.slug(),
                new About(blend.name(), "", List.of(), Map.of(), PlantPart.BLEND, blend.use(), blend.portions()),
                new Weights(List.of(), List.of(), Optional.empty(), keepsMonths),
                Dosing.NONE,
                Brewing.NONE,
                InTheCup.NONE,
                Knowing.NONE,
                Cares.NONE);
    }

    /** A herb of the cook's own: names, part and weights are hers, everything else is its part's. */
    public static Herb own(String slug, String common, String latin, PlantPart part, String use, List<Bulk> bulk) {
        return new Herb(
                slug,
                new About(common, latin, List.of(), Map.of(), part, use, List.of()),
                new Weights(bulk, List.of(), Optional.empty(), Optional.empty()),
                Dosing.NONE,
                Brewing.NONE,
                InTheCup.NONE,
                Knowing.NONE,
                Cares.NONE);
    }

    /**
     * The same with what a source says that the cook names: its doses and age, and what it says of conditions.
     *
     * @param dosing with the key {@code cooks-source}
     */
    public Herb asSourceSays(Dosing dosing, List<HerbCaution> says) {
        Cares cares = new Cares(List.of(), Set.of(), says, Set.of(), Optional.empty());
        return new Herb(slug, about, weights, dosing, brewing, cup, knowing, cares);
    }

    /** The same herb with the cook's own weights before the shipped ones of the same form and cut. */
    public Herb withOwnWeights(List<Bulk> own) {
        List<Bulk> all = new ArrayList<>(own);
        bulk().stream()
                .filter(b -> own.stream().noneMatch(w -> w.form() == b.form() && w.cut() == b.cut()))
                .forEach(all::add);
        Weights both = new Weights(all, weights.pieces, weights.freshMoisture, weights.keepsMonths);
        return new Herb(slug, about, both, dosing, brewing, cup, knowing, care);
    }

    public String common() {
        return about.common;
    }

    public String latin() {
        return about.latin;
    }

    public List<String> also() {
        return about.also;
    }

    /** Every name it is known by, in any language, the slug and the binomial among them. */
    public Stream<String> everyName() {
        return Stream.of(
                        Stream.of(slug.replace('-', ' '), common(), binomial()),
                        also().stream(),
                        about.names.values().stream().flatMap(List::stream))
                .flatMap(names -> names);
    }

    /** What a blend of the house is mixed of; empty for a herb. */
    public List<HouseBlend.Portion> mixedOf() {
        return about.mixedOf;
    }

    /** Whether it is a blend of the house. */
    public boolean mixed() {
        return !about.mixedOf.isEmpty();
    }

    public PlantPart part() {
        return about.part;
    }

    public String use() {
        return about.use;
    }

    public List<Bulk> bulk() {
        return weights.bulk;
    }

    public List<Piece> pieces() {
        return weights.pieces;
    }

    public Optional<Sourced> freshMoisture() {
        return weights.freshMoisture;
    }

    public Optional<Sourced> keepsMonths() {
        return weights.keepsMonths;
    }

    public List<DoseRange> doses() {
        return dosing.doses;
    }

    public Optional<Sourced> ageFloorYears() {
        return dosing.ageFloorYears;
    }

    public Optional<Sourced> longestRunDays() {
        return dosing.longestRunDays;
    }

    public Optional<UsualMethod> method() {
        return brewing.method;
    }

    public Gives gives() {
        return brewing.gives;
    }

    /** Whether schools differ on its turn in this way. */
    public boolean differs(Differs on) {
        return brewing.differs.filter(on::equals).isPresent();
    }

    public boolean sour() {
        return cup.sour;
    }

    public boolean curdles() {
        return cup.curdles;
    }

    public boolean liquid() {
        return cup.liquid;
    }

    public Optional<ColourTurn> withAcid() {
        return cup.withAcid;
    }

    public Optional<CupGate> inCup() {
        return cup.gate;
    }

    public boolean foraged() {
        return knowing.foraged;
    }

    public List<LookAlike> lookAlikes() {
        return knowing.lookAlikes;
    }

    public List<Substitute> substitutes() {
        return knowing.substitutes;
    }

    public List<Content> constituents() {
        return care.constituents;
    }

    public List<HerbCaution> cautions() {
        return care.cautions;
    }

    /** Whether anything is known of it that has this limited constituent. */
    public boolean holds(Constituent constituent) {
        return constituents().stream().anyMatch(c -> c.constituent() == constituent);
    }

    public boolean has(Trait.Kind trait) {
        return care.traits.contains(trait);
    }

    public Optional<Stop> stop() {
        return care.stop;
    }

    /** From how much on it poisons; empty where its usual most and its constituents say enough. */
    public Optional<Harmful> harmful() {
        return dosing.harmful;
    }

    /**
     * From how much on a herb poisons an adult.
     *
     * @param perDayG dried, at once or over a day, g
     * @param why what it does then, as a sentence
     */
    public record Harmful(double perDayG, String why, String source) {}

    /** A number with the key of its source. */
    public record Sourced(double value, String source) {}

    /** A level teaspoon (US, 4.93 mL) of this form and cut in grams. @param spreadSource of how far it may be off */
    public record Bulk(Form form, Cut cut, Spread gPerTsp, String source, String spreadSource) {
        public Bulk(Form form, Cut cut, Spread gPerTsp, String source) {
            this(form, cut, gPerTsp, source, source);
        }
    }

    /** One slice, stick, leaf or inch in grams. @param spreadSource of how far it may be off */
    public record Piece(Form form, Unit unit, Spread grams, String source, String spreadSource) {}

    /**
     * A usual dose.
     *
     * @param perCupG lowest and highest single dose in grams; empty when the tradition doses by the day
     * @param perDayG lowest and highest daily amount in grams
     * @param timesADay fewest and most cups a day
     */
    public record DoseRange(
            Tradition tradition, Form form, Range perCupG, Range perDayG, Range timesADay, String source) {

        /** Whether it is for the herb by itself, and not for its share of a formula. */
        public boolean ofOneHerb() {
            return tradition == Tradition.MONOGRAPH || tradition == Tradition.FOLK;
        }
    }

    /** Two ends of a range, low ≤ high. */
    public record Range(double low, double high) {
        /** @throws IllegalArgumentException when low > high */
        public Range {
            if (!(low <= high)) {
                throw new IllegalArgumentException("a range needs low <= high: " + low + ", " + high);
            }
        }
    }

    /**
     * How it is usually brewed.
     *
     * @param minutes of steeping or simmering
     * @param waterC temperature of the water that is poured on it, °C; empty when it is boiling or does not matter
     */
    public record UsualMethod(Method method, double minutes, OptionalDouble waterC, String source) {}

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
        return foraged() && lookAlikes().stream().anyMatch(LookAlike::poisonous);
    }

    /** What can stand in: grams of the other for one gram of this, and what changes. */
    public record Substitute(String herb, double ratio, String change, String source) {}

    /** Milligrams of a limited constituent for a gram of the dried herb, in the herb or in the cup that is made of it. */
    public record Content(Constituent constituent, In in, Spread mgPerG, String source) {}

    /** Where a content was measured. */
    public enum In {
        HERB,
        CUP
    }

    /**
     * A caution of the herb.
     *
     * @param when the condition it is for; empty when it is for everybody
     * @param trimesters of pregnancy, 1–3; empty for all of it
     */
    public record HerbCaution(
            Optional<Condition> when, Set<Integer> trimesters, Severity severity, String text, String source) {
        public HerbCaution {
            trimesters = Set.copyOf(trimesters);
        }
    }

    /** Why it is never brewed. */
    public record Stop(String text, String source) {}

    /**
     * Largest usual daily amount of a form in a tradition or in the monographs, in grams; where neither publishes one, that of
     * the handbooks. A formula's share of another tradition is no maximum for a kitchen pot.
     */
    public Optional<Sourced> mostPerDayG(Tradition tradition, Form form) {
        List<DoseRange> ofForm = doses().stream().filter(d -> d.form() == form).toList();
        List<DoseRange> published = ofForm.stream()
                .filter(d -> d.tradition() == tradition || d.tradition() == Tradition.MONOGRAPH)
                .toList();
        List<DoseRange> counted = published.isEmpty()
                ? ofForm.stream().filter(d -> d.tradition() == Tradition.FOLK).toList()
                : published;
        return counted.stream()
                .max(java.util.Comparator.comparingDouble(d -> d.perDayG().high()))
                .map(d -> new Sourced(d.perDayG().high(), d.source()));
    }

    /** Genus and species without the author; a kitchen name in Latin is one word. */
    public String binomial() {
        String[] words = latin().replace("× ", "").split("[ ,]+");
        return words.length < 2 ? words[0] : words[0] + " " + words[1];
    }

    /** The dose of a tradition and form; falls back to the monograph's, then to any of the form. */
    public Optional<DoseRange> dose(Tradition tradition, Form form) {
        List<DoseRange> ofForm = doses().stream().filter(d -> d.form() == form).toList();
        return ofForm.stream()
                .filter(d -> d.tradition() == tradition)
                .findFirst()
                .or(() -> ofForm.stream()
                        .filter(d -> d.tradition() == Tradition.MONOGRAPH)
                        .findFirst())
                .or(() -> ofForm.stream().filter(DoseRange::ofOneHerb).findFirst())
                .or(() -> ofForm.stream().findFirst());
    }
}
