package embercup.server.herbs;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.brew.InfusionTimes;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Evidence;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.HouseBlend;
import embercup.core.materia.Materia;
import embercup.core.materia.PartDefaults;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Source;
import embercup.core.measure.MeasureCustom;
import embercup.core.measure.Quantity;
import embercup.core.measure.Spread;
import embercup.core.measure.Unit;
import embercup.core.plan.PlannedAddition.Skin;
import embercup.core.recipe.UsualAddition;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A herb as the interface shows it, flat on the wire; every number with the key of its source. */
public record HerbResponse(
        @JsonUnwrapped Name name,
        @JsonUnwrapped Measured measured,
        @JsonUnwrapped Used used,
        @JsonUnwrapped Kept kept,
        @JsonUnwrapped Known known,
        @JsonUnwrapped Careful careful) {

    /**
     * What it is.
     *
     * @param names in other languages, by the language's code
     * @param parts what a blend of the house is mixed of; empty for a herb
     */
    public record Name(
            String slug,
            String common,
            String latin,
            List<String> also,
            Map<String, List<String>> names,
            String part,
            String use,
            List<PartLine> parts) {}

    /** A herb of a blend of the house. @param share in its weight, 0–1 */
    public record PartLine(
            String herb, String common, String form, String cut, double amount, String unit, double share) {}

    /** What a spoon or a piece of it weighs, and how much of it is taken. */
    public record Measured(
            List<BulkLine> bulk,
            List<PieceLine> pieces,
            List<DoseLine> doses,
            List<GivesLine> gives,
            List<GivenLine> given,
            List<ContentLine> constituents) {}

    /** How it is brewed, and what stands in. @param withAcid how its colour turns */
    public record Used(
            @Nullable MethodLine method,
            List<String> prep,
            boolean stains,
            @Nullable String withAcid,
            List<Herb.Substitute> substitutes,
            List<StandsInLine> standsInFor) {}

    public record Kept(
            @Nullable Number keepsMonths,
            @Nullable String keepsSource,
            @Nullable Number longestRunDays) {}

    /**
     * How it is told from others, and how well all this is known.
     *
     * @param others whose figures are taken where it has none: "other roots"
     * @param evidence what its values rest on, a sentence each
     */
    public record Known(
            String identity, List<Herb.LookAlike> lookAlikes, boolean foraged, String others, List<String> evidence) {}

    /**
     * Where care is due.
     *
     * @param noneKnown conditions of which nothing is known that would ask for care
     * @param stop why it is not for tea at all
     */
    public record Careful(
            @Nullable Number ageFloorYears,
            @Nullable String ageSource,
            List<HerbCautionLine> cautions,
            List<String> noneKnown,
            @Nullable String stop) {}

    /**
     * @param source of the weight; {@code part} where it is the figure of its part
     * @param spreadSource of how far it may be off
     */
    public record BulkLine(String form, String cut, Spread gPerTsp, String source, String spreadSource) {}

    public record PieceLine(String form, String unit, Spread grams, String source) {}

    public record DoseLine(
            String tradition,
            String form,
            Herb.Range perCupG,
            Herb.Range perDayG,
            Herb.Range timesADay,
            String source) {}

    public record MethodLine(String kind, double minutes, String source) {}

    /** @param in where it was measured: herb or cup */
    public record ContentLine(String constituent, String in, Spread mgPerG, String source) {}

    /** @param trimesters of pregnancy; all of it when there are none */
    public record HerbCautionLine(
            @Nullable String when, String severity, List<Integer> trimesters, String text, String source) {}

    /** What it has given after so many minutes, dried, by cut and heat; shares of what it holds. */
    public record GivenLine(String cut, String heat, List<InfusionTimes.Given> over) {}

    /** Minutes until half is drawn, dried, in still water just off the boil. */
    public record GivesLine(String cut, double aromaMin, double bodyMin, double biteMin) {}

    /** Another herb that this one can stand in for, and what changes. */
    public record StandsInLine(String herb, String common, double ratio, String change, String source) {}

    /** One line of the list. @param named as it stands within a sentence */
    public record HerbLine(
            String slug,
            String common,
            String named,
            String latin,
            List<String> also,
            String part,
            String use,
            boolean stop,
            UsualLine usual) {}

    /** How it usually goes into a cup. */
    public record UsualLine(String form, String cut, double amount, String unit) {}

    private static UsualLine usual(Herb h) {
        Form form = UsualAddition.form(h);
        Quantity q = UsualAddition.perCup(h, form);
        return new UsualLine(
                Fields.code(form),
                Fields.code(UsualAddition.cut(h, form, q.unit())),
                q.amount(),
                q.unit().code());
    }

    static HerbLine line(Herb h) {
        return new HerbLine(
                h.slug(),
                h.common(),
                HouseWords.words().lower(h.common()),
                h.latin(),
                h.also(),
                Fields.code(h.part()),
                h.use(),
                h.stop().isPresent(),
                usual(h));
    }

    static HerbResponse of(Materia materia, Herb h) {
        return new HerbResponse(
                new Name(
                        h.slug(),
                        h.common(),
                        h.latin(),
                        h.also(),
                        h.about().names(),
                        Fields.code(h.part()),
                        h.use(),
                        parts(materia, h)),
                measured(materia, h),
                new Used(
                        h.method()
                                .map(m -> new MethodLine(Fields.code(m.method()), m.minutes(), m.source()))
                                .orElse(null),
                        prep(h),
                        h.cup().stains(),
                        h.withAcid().map(t -> t.from() + " to " + t.to()).orElse(null),
                        h.substitutes(),
                        standsInFor(materia, h)),
                new Kept(
                        h.keepsMonths().map(Herb.Sourced::value).orElse(null),
                        h.keepsMonths().map(Herb.Sourced::source).orElse(null),
                        h.longestRunDays().map(Herb.Sourced::value).orElse(null)),
                new Known(
                        h.knowing().identity(),
                        h.lookAlikes(),
                        h.foraged(),
                        HouseWords.words().say(new Evidence.Others(h.part())),
                        Evidence.of(materia, h).stream()
                                .map(HouseWords.words()::say)
                                .toList()),
                new Careful(
                        h.ageFloorYears().map(Herb.Sourced::value).orElse(null),
                        h.ageFloorYears().map(Herb.Sourced::source).orElse(null),
                        h.cautions().stream()
                                .map(c -> new HerbCautionLine(
                                        c.when().map(w -> w.code()).orElse(null),
                                        Fields.code(c.severity()),
                                        c.trimesters().stream().sorted().toList(),
                                        c.text(),
                                        c.source()))
                                .toList(),
                        h.care().noneKnown().stream()
                                .map(Condition::code)
                                .sorted()
                                .toList(),
                        h.stop().map(Herb.Stop::text).orElse(null)));
    }

    private static List<PartLine> parts(Materia materia, Herb blend) {
        if (!blend.mixed()) {
            return List.of();
        }
        return new HerbMeasure(materia, MeasureCustom.DEFAULT)
                .shares(blend).stream()
                        .map(of -> part(materia, of.portion(), of.share()))
                        .toList();
    }

    private static PartLine part(Materia materia, HouseBlend.Portion p, double share) {
        return new PartLine(
                p.herb(),
                materia.herb(p.herb(), "parts").common(),
                Fields.code(p.form()),
                Fields.code(p.cut()),
                p.quantity().amount(),
                p.quantity().unit().code(),
                share);
    }

    /** A spoon of a blend weighs what its herbs weigh for the spoons they fill. */
    private static BulkLine spoonOf(Materia materia, Herb blend) {
        Spread one = new HerbMeasure(materia, MeasureCustom.DEFAULT)
                .grams(blend, Form.DRIED, Cut.CHOPPED, Quantity.of(1, Unit.TEASPOON), "unit")
                .amount();
        return new BulkLine(Fields.code(Form.DRIED), Fields.code(Cut.CHOPPED), one, "practice", "practice");
    }

    private static Measured measured(Materia materia, Herb h) {
        return new Measured(
                bulk(materia, h),
                h.pieces().stream()
                        .map(p -> new PieceLine(Fields.code(p.form()), p.unit().code(), p.grams(), p.source()))
                        .toList(),
                h.doses().stream()
                        .map(d -> new DoseLine(
                                Fields.code(d.tradition()),
                                Fields.code(d.form()),
                                d.perCupG(),
                                d.perDayG(),
                                d.timesADay(),
                                d.source()))
                        .toList(),
                still(h) ? List.of() : gives(materia, h),
                still(h) ? List.of() : given(materia, h),
                h.constituents().stream()
                        .map(c -> new ContentLine(
                                Fields.code(c.constituent()), Fields.code(c.in()), c.mgPerG(), c.source()))
                        .toList());
    }

    private static List<BulkLine> bulk(Materia materia, Herb h) {
        if (h.mixed()) {
            return List.of(spoonOf(materia, h));
        }
        if (h.bulk().isEmpty() && h.stop().isEmpty()) {
            PartDefaults part = materia.part(h.part());
            return List.of(new BulkLine(
                    Fields.code(Form.DRIED),
                    Fields.code(Cut.CHOPPED),
                    part.gPerTsp(Form.DRIED),
                    Source.PART,
                    Source.PART));
        }
        return h.bulk().stream()
                .map(b -> new BulkLine(
                        Fields.code(b.form()), Fields.code(b.cut()), b.gPerTsp(), b.source(), b.spreadSource()))
                .toList();
    }

    /** What is done to the fresh herb first, in the cook's order. */
    private static List<String> prep(Herb h) {
        List<String> all = new ArrayList<>(h.brewing().prep());
        if (h.brewing().skin()) {
            all.add(HouseWords.words().name(Skin.PEELED) + " or "
                    + HouseWords.words().name(Skin.LEFT_ON));
        }
        if (!h.brewing().cutting().isEmpty()) {
            all.add(h.brewing().cutting());
        }
        return all;
    }

    private static List<StandsInLine> standsInFor(Materia materia, Herb herb) {
        return materia.herbs().stream()
                .flatMap(other -> other.substitutes().stream()
                        .filter(s -> s.herb().equals(herb.slug()))
                        .map(s -> new StandsInLine(other.slug(), other.common(), s.ratio(), s.change(), s.source())))
                .toList();
    }

    /** Whether nothing is known of how it infuses: it is never brewed, not steeped, or a blend. */
    private static boolean still(Herb h) {
        return h.stop().isPresent() || h.part() == PlantPart.PANTRY || h.mixed();
    }

    private static final List<Double> HOT_MINUTES = List.of(0.0, 1.0, 2.0, 4.0, 6.0, 8.0, 10.0, 15.0, 20.0, 25.0, 30.0);
    private static final List<Double> COLD_MINUTES =
            List.of(0.0, 15.0, 30.0, 60.0, 90.0, 120.0, 180.0, 240.0, 300.0, 360.0, 420.0, 480.0);

    private static List<GivenLine> given(Materia materia, Herb herb) {
        List<GivenLine> all = new ArrayList<>();
        for (InfusionTimes.Heat heat : InfusionTimes.Heat.values()) {
            for (Cut cut : List.of(Cut.WHOLE, Cut.CHOPPED, Cut.GROUND)) {
                List<Double> minutes = heat == InfusionTimes.Heat.COLD ? COLD_MINUTES : HOT_MINUTES;
                all.add(new GivenLine(
                        Fields.code(cut),
                        Fields.code(heat),
                        InfusionTimes.over(materia, herb, Form.DRIED, cut, heat, minutes)));
            }
        }
        return all;
    }

    private static List<GivesLine> gives(Materia materia, Herb herb) {
        return Stream.of(Cut.WHOLE, Cut.CHOPPED, Cut.GROUND)
                .map(cut -> InfusionTimes.of(materia, herb, Form.DRIED, cut))
                .map(g -> new GivesLine(Fields.code(g.cut()), g.aromaMin(), g.bodyMin(), g.biteMin()))
                .toList();
    }
}
