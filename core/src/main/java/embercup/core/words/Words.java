package embercup.core.words;

import com.ibm.icu.text.ListFormatter;
import embercup.core.care.Blend;
import embercup.core.care.WayOut;
import embercup.core.keeping.Keeping;
import embercup.core.keeping.LaterCup;
import embercup.core.keeping.ShelfLife;
import embercup.core.live.LiveBrew;
import embercup.core.materia.HerbMeasure.Nearest;
import embercup.core.measure.HouseUnits;
import embercup.core.measure.KitchenAmount;
import embercup.core.measure.Quantity;
import embercup.core.measure.Unit;
import embercup.core.plan.BrewPlan;
import embercup.core.plan.Caution;
import embercup.core.plan.PlannedAddition;
import embercup.core.plan.SeveralPots;
import embercup.core.plan.Step;
import embercup.core.reading.Asked;
import embercup.core.reading.Understood;
import embercup.core.recipe.Menstruum;
import embercup.core.recipe.Posology;
import embercup.core.recipe.Reason;
import embercup.core.recipe.Schools;
import embercup.core.recipe.Told;
import embercup.core.workings.Code;
import embercup.core.workings.InvalidInputException.Violation;
import embercup.core.workings.Wanted;
import embercup.core.workings.Workings;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Says the facts of the trade in one language. The sentence of a fact is found by its type, its arguments are the record's
 * components ({@link Facts}). Immutable and thread-safe.
 */
public final class Words {

    /** Of a reader who asks for no language that ships. */
    private static final String FALLBACK = "en";

    private static final Map<String, Words> READY = new ConcurrentHashMap<>();

    private static final Pattern INDEXED = Pattern.compile("(\\w+)\\[(\\d+)]");
    /** Say nothing to a cook. */
    private static final Set<String> SILENT = Set.of("recipe", "person", "kitchen", "drinker");

    private final Catalogue catalogue;
    private final Numbers numbers;
    private final StepWords steps;
    private final CautionWords cautions;
    private final ReadingWords reading;
    private final Facts facts;
    private final ListFormatter and;
    private final ListFormatter or;

    Words(Catalogue catalogue) {
        this.catalogue = catalogue;
        this.numbers = catalogue.numbers();
        this.steps = new StepWords(this);
        this.cautions = new CautionWords(this);
        this.reading = new ReadingWords(this);
        this.facts = new Facts(this);
        this.and = ListFormatter.getInstance(catalogue.locale());
        this.or = ListFormatter.getInstance(catalogue.locale(), ListFormatter.Type.OR, ListFormatter.Width.WIDE);
    }

    /**
     * The words of a language, in the core's own units.
     *
     * @param language its code: "en"
     * @throws IllegalStateException when no words of it ship
     */
    public static Words ofLanguage(String language) {
        return READY.computeIfAbsent(language, code -> new Words(Catalogue.shipped(code)));
    }

    /** Of the first language that a reader asks for and that ships; of English when there is none. */
    public static Words best(List<Locale.LanguageRange> asked) {
        return ofLanguage(asked.stream()
                .map(range -> range.getRange().split("-")[0])
                .filter(language -> READY.containsKey(language) || Catalogue.ships(language))
                .findFirst()
                .orElse(FALLBACK));
    }

    /** How dates and lists are written. */
    public Locale locale() {
        return catalogue.locale();
    }

    /** The same words with every quantity in the units of a house. */
    public Words in(HouseUnits house) {
        return new Words(catalogue.in(house));
    }

    /** A text of the materia, whose quantities stand in brackets, in the units of the house: "it melts at [36 °C]". */
    public String quantities(String text) {
        return catalogue.quantities(text);
    }

    /**
     * A quantity as the house reads it: "620 mL", "21 fl oz".
     *
     * @param unit of the core: g, mL, cm, m or °C
     * @throws IllegalArgumentException for a unit that every house shows as the core has it
     */
    public String shown(double value, String unit) {
        return catalogue
                .units()
                .ofUnit(unit)
                .map(s -> numbers.shown(s, value))
                .orElseThrow(() -> new IllegalArgumentException("no house reads " + unit));
    }

    /**
     * The same beside the core's own number.
     *
     * @param unit of the core: g, mL, cm, m or °C
     * @return empty for a unit that every house shows as the core has it, and when the house has the core's own
     */
    public Optional<String> beside(double value, String unit) {
        return catalogue.units().ofUnit(unit).filter(s -> !s.ofCore()).map(s -> numbers.shown(s, value));
    }

    Catalogue catalogue() {
        return catalogue;
    }

    Numbers numbers() {
        return numbers;
    }

    /**
     * A sentence that is no fact of the trade: what a program that uses it has to say.
     *
     * @throws IllegalStateException for a key that the language does not have
     */
    public String sentence(String key, Map<String, ?> arguments) {
        return text(key, arguments);
    }

    /** A fixed sentence with its arguments. */
    String text(String key, Map<String, ?> arguments) {
        return catalogue.say(key, arguments::get);
    }

    String text(String key, Catalogue.Arguments arguments) {
        return catalogue.say(key, arguments);
    }

    String text(String key) {
        return catalogue.say(key, Map.of());
    }

    // ---- facts

    /** The sentence of any fact: a caution, a way out, a piece of advice, an amount as a school says it. */
    public String say(Record fact) {
        return special(fact)
                .or(() -> cautions.say(fact))
                .or(() -> reading.say(fact))
                .orElseGet(() -> text(Facts.key(fact.getClass()), arguments(fact)));
    }

    /** Facts whose sentence depends on more than their components. */
    private Optional<String> special(Record fact) {
        String said = null;
        if (fact instanceof KitchenAmount.Spoons spoons) {
            said = spoons(spoons);
        } else if (fact instanceof KitchenAmount.Pieces pieces) {
            said = pieces(pieces);
        } else if (fact instanceof Quantity quantity) {
            said = quantity(quantity);
        } else if (fact instanceof Menstruum menstruum) {
            said = menstruum(menstruum);
        } else if (fact instanceof Posology posology) {
            said = new PosologyWords(this).say(posology);
        } else if (fact instanceof Reason reason) {
            said = text("reason." + Code.of(reason.because()), arguments(reason));
        } else if (fact instanceof Keeping keeping) {
            said = keeping(keeping);
        } else if (fact instanceof ShelfLife life) {
            said = text("shelf-life", arguments(life));
        } else if (fact instanceof Wanted wanted) {
            said = WantedWords.say(this, wanted);
        } else if (fact instanceof SeveralPots.Clash clash) {
            said = clash(clash);
        } else if (fact instanceof SeveralPots.HerbCombinations meeting) {
            said = meeting(meeting);
        } else if (fact instanceof Blend.LeftOut out) {
            said = text("left-out." + Code.of(out.because()), arguments(out));
        }
        return Optional.ofNullable(said);
    }

    /** The same for a member of a family that is known only as its family. */
    public String say(Caution caution) {
        return say((Record) caution);
    }

    public String say(KitchenAmount amount) {
        return say((Record) amount);
    }

    public String say(PlannedAddition.Said said) {
        return say((Record) said);
    }

    public String say(LiveBrew.Advice advice) {
        return say((Record) advice);
    }

    /** Why a thing keeps for as long as it does. */
    public String say(ShelfLife life) {
        return say((Record) life);
    }

    /** What is done for a cup out of a jar. */
    public String say(LaterCup.Act act) {
        return say((Record) act);
    }

    public String say(WayOut way) {
        return say((Record) way);
    }

    public String say(Understood understood) {
        return say((Record) understood);
    }

    public String say(Asked.Question question) {
        return say((Record) question);
    }

    /** The same for a member of a family that is known only as its family. */
    public String say(Asked.Choice choice) {
        return say((Record) choice);
    }

    /** Whom a recipe is not for. */
    public String say(Told.NotFor who) {
        return reading.say(who);
    }

    /** How long a recipe keeps. */
    public String say(Told.Keeps keeps) {
        return reading.say(keeps);
    }

    public String say(Wanted wanted) {
        return say((Record) wanted);
    }

    /** The word of a constant; its code when the catalogue has none. */
    public String name(Enum<?> constant) {
        String family = Code.of(constant.getDeclaringClass()) + ".";
        String code = Code.of(constant);
        return catalogue.has(family + code) ? text(family + code) : code;
    }

    /** Why a question has the default it has. */
    public String why(Schools.Question question) {
        return text("why." + question.code());
    }

    /** Every component of a record in all the ways it can be said, each when a sentence asks for it. */
    Catalogue.Arguments arguments(Record fact) {
        return facts.arguments(fact);
    }

    /** A name within a sentence: burdock root, but Iceland moss and St John’s wort. */
    public String lower(String name) {
        String first = name.split("\\s", 2)[0];
        List<String> proper =
                List.of(catalogue.pattern("names.proper").orElse("").split(",\\s*"));
        return name.isEmpty() || proper.contains(first)
                ? name
                : name.substring(0, 1).toLowerCase(catalogue.locale()) + name.substring(1);
    }

    static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }

    /** Somebody's own words as a sentence: with its capital and its end. */
    static String sentence(String text) {
        String said = capital(text.strip());
        return said.isEmpty() || ".!?…".indexOf(said.charAt(said.length() - 1)) >= 0 ? said : said + ".";
    }

    /** The same of whatever is said already. */
    String join(Collection<?> several) {
        return and.format(several);
    }

    /** "linden or mint". */
    String either(Collection<String> several) {
        return or.format(several);
    }

    /** "linden and mint", "a, b and c". */
    public String list(Collection<String> several) {
        return and.format(several);
    }

    // ---- amounts

    private String pieces(KitchenAmount.Pieces pieces) {
        String quantity = quantity(Quantity.of(pieces.count(), pieces.unit()));
        return text(
                "kitchen-amount.pieces", Map.of("aboutTrue", Boolean.toString(pieces.about()), "quantity", quantity));
    }

    private String spoons(KitchenAmount.Spoons spoons) {
        return String.join(
                text("kitchen-amount.join"),
                spoons.parts().stream().map(this::quantity).toList());
    }

    /** "1½ tsp". */
    private String quantity(Quantity quantity) {
        return text(
                "kitchen-amount.quantity",
                Map.of(
                        "amount",
                        numbers.fraction(quantity.amount()),
                        "unit",
                        unit(quantity.unit(), quantity.amount())));
    }

    /** The word of a unit as printed after an amount. */
    public String unit(Unit unit, double amount) {
        String several = "units." + unit.code();
        return text(amount > 1 && catalogue.has(several) ? several : "unit." + unit.code());
    }

    /** How an addition is measured: "2 tsp", "1 tsp to each cup". */
    public String measure(PlannedAddition addition) {
        PlannedAddition.Measured out = addition.out();
        String measure = say(out.measure());
        return out.toEachCup()
                ? text("kitchen-amount.to-cups." + Code.of(out.into()), Map.of("measure", measure))
                : measure;
    }

    /** What is done to a herb first; empty when nothing. */
    public String prep(PlannedAddition addition) {
        List<String> all = new ArrayList<>(addition.prepared().steps());
        addition.prepared().skin().map(this::name).ifPresent(all::add);
        addition.prepared()
                .comminution()
                .map(c -> text("comminution." + Code.of(c)))
                .ifPresent(all::add);
        return String.join(", ", all);
    }

    /** How warm the cup is for it; empty when that does not matter. */
    public String inCup(PlannedAddition addition) {
        return addition.goes().inCup().map(this::say).orElse("");
    }

    /** What was used instead of a figure that is not known. */
    public String nearest(Nearest nearest) {
        return say((Record) nearest);
    }

    private String menstruum(Menstruum menstruum) {
        return text("menstruum", arguments(menstruum).with(Map.of("percent", Math.round(menstruum.alcoholPercent()))));
    }

    private String keeping(Keeping keeping) {
        return text(
                "keeping",
                arguments(keeping)
                        .with(Map.of(
                                "hours",
                                keeping.hours(),
                                "mostHours",
                                keeping.mostHours(),
                                "days",
                                keeping.hours() / 24)));
    }

    // ---- several pots

    private String clash(SeveralPots.Clash clash) {
        String key = clash.onTheMinute() ? "clash.on-the-minute" : "clash.no-room";
        return text(key, Map.of("why", meeting(clash.why())));
    }

    private String meeting(SeveralPots.HerbCombinations meeting) {
        Map<String, Object> all = new HashMap<>();
        all.put("with", meeting.with());
        all.put("own", steps.label(meeting.own().plan(), meeting.own().step()));
        all.put("other", steps.label(meeting.other().plan(), meeting.other().step()));
        if (meeting.what() instanceof SeveralPots.Hold.OnBurner burner) {
            all.put("burner", burner.name());
        }
        return text(Facts.key(meeting.what().getClass()), all);
    }

    // ---- steps

    /** What to do, short and imperative. */
    public String label(BrewPlan plan, Step step) {
        return steps.label(plan, step);
    }

    /** What ends it when not the clock; empty for the clock. */
    public String until(BrewPlan plan, Step step) {
        return steps.until(plan, step);
    }

    /** What the cook confirms when it is done, as a button says it. */
    public String confirm(BrewPlan plan, Step step) {
        return steps.confirm(plan, step);
    }

    /** What the recipe itself wants minded at a step, as sentences: of the herb that is got ready, of the stage, and at its end of taking. */
    public List<String> minded(BrewPlan plan, Step step) {
        return steps.minded(plan, step);
    }

    // ---- figures

    /** What a figure is: "strained liquor", "weight of one slice". */
    public String label(Workings figure) {
        String of = of(figure.of());
        return text("term." + figure.term().code(), Map.of("of", lower(of), "Of", of));
    }

    private String of(String what) {
        if (what.isEmpty()) {
            return "";
        }
        for (String family : List.of("unit.", "cut.", "plant-part.", "constituent.", "stage-kind.")) {
            if (catalogue.has(family + what)) {
                return text(family + what);
            }
        }
        return what;
    }

    /** How it comes about: "strained liquor + kept by the herbs + steam"; empty for what somebody gave. */
    public String formula(Workings figure) {
        List<String> of = figure.inputs().stream().map(this::label).toList();
        return switch (figure.op()) {
            case GIVEN -> "";
            case SUM -> of.size() > 6 ? text("op.sum-of-many") : String.join(" + ", of);
            case DIFFERENCE -> String.join(" − ", of);
            case PRODUCT -> String.join(" × ", of);
            case QUOTIENT -> String.join(" ÷ ", of);
            case LEAST, MOST ->
                of.size() == 1
                        ? of.get(0)
                        : text("op." + Code.of(figure.op()), Map.of("inputs", String.join(", ", of)));
            case CHOSEN -> text("op.chosen", Map.of("first", of.get(0)));
            case SOLVED -> text("equation." + figure.equation());
        };
    }

    // ---- what is wrong

    /** What would have been right. */
    public String wanted(Violation violation) {
        return say(violation.wanted());
    }

    /** Everything that is wrong, each with its field as the cook calls it. */
    public String message(List<Violation> violations) {
        return String.join(
                "; ",
                violations.stream()
                        .map(v -> field(v.field()) + ": " + wanted(v))
                        .toList());
    }

    /** A field as the cook calls it: {@code recipe.additions[2].unit} is "herb 3, unit". */
    public String field(String path) {
        List<String> all = new ArrayList<>();
        for (String part : path.split("\\.")) {
            Matcher indexed = INDEXED.matcher(part);
            if (indexed.matches()) {
                int number = Integer.parseInt(indexed.group(2)) + 1;
                all.add(
                        catalogue.has("field.each." + indexed.group(1))
                                ? text("field.each." + indexed.group(1), Map.of("n", number))
                                : indexed.group(1) + " " + number);
            } else if (!SILENT.contains(part)) {
                all.add(catalogue.has("field." + part) ? text("field." + part) : part);
            }
        }
        return all.isEmpty() ? path : String.join(", ", all);
    }

    /** Every key that the catalogue has, for a test that walks it. */
    public Set<String> keys() {
        return catalogue.keys();
    }
}
