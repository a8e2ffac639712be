package embercup.server.plans;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.server.learned.LearnedResponse;
import embercup.server.platform.WorkingsLine;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.annotation.JsonSerialize;

/**
 * A plan, flat on the wire. Times in seconds from the first step unless they are moments.
 *
 * @param learned what the household's own brews taught of this stove and this drinker
 * @param workings why the numbers are what they are, for who asks
 */
public record PlanResponse(
        @JsonUnwrapped Order order,
        @JsonUnwrapped Brewing brewing,
        @JsonUnwrapped Drawn drawn,
        @JsonUnwrapped Times times,
        @JsonUnwrapped Cup cup,
        @JsonUnwrapped Judged judged,
        List<LearnedResponse> learned,
        Map<String, WorkingsLine> workings) {

    /**
     * What was ordered.
     *
     * @param drinkerName empty for somebody who is not of the household
     * @param schools every question on which schools differ, with the choice that is held
     * @param posology how it is taken, in words
     */
    public record Order(
            String name,
            String tradition,
            double cups,
            double cupMl,
            String drinkerName,
            Map<String, String> schools,
            boolean spentHerbs,
            @Nullable String posology,
            @JsonUnwrapped Taken taken) {}

    /**
     * How it is taken.
     *
     * @param cupsADay cups that are counted for the drinker's day
     * @param days for how many days the pot is
     * @param others who else drinks of it; nothing of this is known of plans that an earlier version wrote
     */
    public record Taken(
            @Nullable Double cupsADay,
            @Nullable Integer prescribedDays,
            @Nullable Integer days,
            @Nullable List<SharerLine> others) {}

    /** @param serving part of a cup in one serving */
    public record SharerLine(@Nullable UUID drinkerId, String name, double cupsADay, double serving) {}

    /** What goes in, how much water, what happens, and why. */
    public record Brewing(
            List<AdditionLine> additions,
            Water water,
            double boilingC,
            List<StepLine> steps,
            List<Point> curve,
            List<ReasonLine> reasons) {}

    /**
     * What the drawings are made of.
     *
     * @param mug one of the mugs, filled; none for what is kept in a jar or a bottle
     * @param servedKey the step after which the liquor is in the mugs
     */
    public record Drawn(
            VesselLine vessel,
            @Nullable VesselLine mug,
            @Nullable String servedKey,
            BurnerLine burner) {}

    /**
     * When.
     *
     * @param stageStartS when the first stage begins, s
     * @param totalS when everything is done, s
     * @param readyS when the first cup can be drunk, s: before it waits for honey; missing in plans of earlier versions
     */
    public record Times(
            double stageStartS, double totalS, @Nullable Double readyS, Instant startAt, Instant readyAt) {}

    /** The cup when it is ready. @param keeps missing for what keeps for months, and for plans that an earlier version wrote */
    public record Cup(
            @JsonUnwrapped Strength felt,
            @JsonUnwrapped Shares shares,
            @JsonUnwrapped Warmth warmth,
            @Nullable KeepsLine keeps) {}

    /**
     * How long what is left is good, closed and in the fridge.
     *
     * @param hours the cautious time; 0 when none is kept
     * @param mostHours the longest
     */
    public record KeepsLine(int hours, int mostHours, String text, String source) {}

    /** Against the recipe's own standard cup, which is 1; with the spread of what was measured. */
    public record Strength(double strength, double strengthLow, double strengthHigh) {}

    /**
     * What of the herbs' own reaches the cup, 0–1.
     *
     * @param body not known of plans that an earlier version wrote
     */
    public record Shares(@Nullable Double body, double aroma, double bite) {}

    /** @param cupC °C in the cup when it is poured, @param drinkableAfterS s from ready, @param honeyAfterS s from ready */
    public record Warmth(
            double cupC,
            @Nullable Double drinkableAfterS,
            @Nullable Double honeyAfterS) {}

    /**
     * What care says of it, the gravest first; what can be done about a stop.
     *
     * @param ask when to stop and ask a clinician; not known of plans that an earlier version wrote
     * @param identityChecks herbs that the cook confirms before she starts: gathered, with a poisonous look-alike, and no tin of
     *     them on the shelf
     */
    public record Judged(
            List<CautionLine> cautions,
            boolean stopped,
            List<WayLine> waysOut,
            List<Load> dailyLoads,
            @Nullable List<AskLine> ask,
            List<String> identityChecks) {}

    /** Signs with which to stop and ask a clinician. */
    public record AskLine(String signs, String source) {}

    /**
     * One herb, measured.
     *
     * @param leftShare what a first brew has left in it; 1 for a new one
     * @param line index in the recipe as it is written, the same for all herbs of a blend; missing in plans of earlier versions
     * @param blend the blend of the house with which it is measured out; missing for a herb by itself
     */
    public record AdditionLine(
            @JsonUnwrapped HerbAsked of,
            @JsonUnwrapped Goes goes,
            @JsonUnwrapped Weighed weighed,
            @JsonUnwrapped Told told,
            double leftShare,
            @JsonUnwrapped BesideLine beside,
            @Nullable Integer line,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            BlendLine blend) {

        /** A line of an earlier version says nothing beside. */
        public AdditionLine {
            beside = beside == null ? BesideLine.NOTHING : beside;
        }
    }

    /**
     * A blend of the house, measured out at the first of its herbs.
     *
     * @param slug names it beside the herbs
     * @param leads whether the herb is the first of it
     */
    public record BlendLine(
            String slug,
            String name,
            boolean leads,
            @JsonUnwrapped Weighed weighed,
            String measure,
            @JsonUnwrapped BesideLine beside) {}

    /**
     * What stands beside the amount.
     *
     * @param usualLowG lowest usual single dose in a cup, g; missing when none is published
     * @param usualHighG highest
     * @param usualG its middle
     * @param usualAsWrittenG what the recipe must have in a cup, so that this drinker gets the middle
     * @param usualSide "less" or "more" when the amount is outside it
     * @param optional whether the recipe may go without it
     * @param or what the recipe has instead
     * @param measureTo upper end of a range that the recipe says
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record BesideLine(
            @Nullable Double usualLowG,
            @Nullable Double usualHighG,
            @Nullable Double usualG,
            @Nullable Double usualAsWrittenG,
            @Nullable String usualSide,
            @Nullable String usualSource,
            @Nullable Boolean optional,
            @Nullable List<OtherHerb> or,
            @Nullable String measureTo) {
        static final BesideLine NOTHING = new BesideLine(null, null, null, null, null, null, null, null, null);
    }

    public record OtherHerb(String herb, String common) {}

    public record HerbAsked(String herb, String common, String form, String cut) {}

    /** Where it goes: into the pot at the start of a stage, or into each cup, how warm. */
    public record Goes(int stage, boolean perCup, String inCup) {}

    /** @param weigh whether a spoon is not sure enough */
    public record Weighed(double grams, double lowG, double highG, double perCupG, boolean weigh) {}

    /**
     * In words.
     *
     * @param said the amount as the cook's school says it
     * @param nearest which figure stands in for one that is not known
     */
    public record Told(
            String measure,
            String prep,
            String said,
            @Nullable String nearest) {}

    /** Millilitres; {@code broughtMl} by milk and juice; {@code startCups} in the cups of this household. */
    public record Water(
            double pourMl,
            double startMl,
            double retainedMl,
            double evaporatedMl,
            double yieldMl,
            double dipMl,
            @Nullable Double broughtMl,
            @Nullable String startCups) {}

    public record VesselLine(
            String name,
            String kind,
            double innerDiameterCm,
            double heightCm,
            double brimMl,
            double mostMl,
            @JsonUnwrapped Levels levels) {}

    /**
     * In cm above the bottom, of the water and what the herbs displace.
     *
     * @param dipLevelCm the mark to boil down to; 0 for none
     * @param bedCm top of the wet herbs
     * @param displacedCm what the herbs take of the height
     */
    public record Levels(
            double startLevelCm,
            double endLevelCm,
            double dipLevelCm,
            double bedCm,
            @Nullable Double displacedCm) {}

    public record BurnerLine(String name, double lowW, double mediumW, double highW) {}

    /** When a step is, by its key. */
    public record When(String key, double startS, double durationS) {}

    @JsonSerialize(using = PointWriter.class)
    public record Point(double tS, double tempC, double waterMl, double body, double aroma, double bite) {}

    /**
     * One caution.
     *
     * @param herb the one herb it is about
     * @param herbs all of them
     * @param drinker whom it is for, of those who drink beside the drinker
     * @param asks whether it looks like a slip, and is to be asked before the start
     * @param openStage index of the stage whose lid may come off to mend it
     * @param coverStage index of the stage whose lid goes on to mend it
     */
    public record CautionLine(
            String code,
            String severity,
            @Nullable String herb,
            @Nullable List<String> herbs,
            @Nullable String drinker,
            String text,
            String source,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            DecideLine decide,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            Integer openStage,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            Integer coverStage,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            Boolean asks) {}

    /**
     * What has to be decided of a recipe that contradicts itself: its cups are meant, or what says otherwise.
     *
     * @param says what says otherwise: "reduction-stops-at" or "water-leaves"
     * @param cups how many cups it is when that is meant
     * @param cupMl what is in each of them
     */
    public record DecideLine(String says, double cups, double cupMl) {}

    /**
     * What can be done about a stop: another herb, less of it or without it, fewer cups or fewer a day, a practitioner's word, another menstruum, another drinker,
     * not for one of several drinkers, another vessel, a stage under the lid; another pot, when it names nothing.
     */
    public record WayLine(
            @Nullable String herb,
            @Nullable String with,
            @Nullable Integer cups,
            @Nullable Integer cupsADay,
            @Nullable Integer prescribedDays,
            @Nullable Double share,
            @Nullable String menstruum,
            @Nullable UUID drinkerId,
            @Nullable UUID vesselId,
            @Nullable Integer coveredStage,
            @Nullable Integer notFor,
            @Nullable UUID recipeId,
            String text) {

        /** Says only what to do; nothing of it is a value yet. */
        private static WayLine says(String text) {
            return new WayLine(null, null, null, null, null, null, null, null, null, null, null, null, text);
        }

        static WayLine ofHerb(String herb, @Nullable String with, @Nullable Double share, String text) {
            return new WayLine(herb, with, null, null, null, share, null, null, null, null, null, null, text);
        }

        static WayLine ofMenstruum(String menstruum, String text) {
            return new WayLine(null, null, null, null, null, null, menstruum, null, null, null, null, null, text);
        }

        static WayLine forDrinker(UUID id, String text) {
            return new WayLine(null, null, null, null, null, null, null, id, null, null, null, null, text);
        }

        static WayLine inVessel(UUID id, String text) {
            return new WayLine(null, null, null, null, null, null, null, null, id, null, null, null, text);
        }

        static WayLine ofCups(int cups, String text) {
            return new WayLine(null, null, cups, null, null, null, null, null, null, null, null, null, text);
        }

        static WayLine ofCupsADay(int cups, String text) {
            return new WayLine(null, null, null, cups, null, null, null, null, null, null, null, null, text);
        }

        static WayLine prescribed(int days, String text) {
            return new WayLine(null, null, null, null, days, null, null, null, null, null, null, null, text);
        }

        /** Another recipe for the same occasion. */
        static WayLine otherRecipe(UUID id, String text) {
            return new WayLine(null, null, null, null, null, null, null, null, null, null, null, id, text);
        }

        /** Nothing can be done with this one. */
        static WayLine anotherPot(String text) {
            return says(text);
        }

        /** @param other index of who drinks of it beside the drinker */
        static WayLine notFor(int other, String text) {
            return new WayLine(null, null, null, null, null, null, null, null, null, null, other, null, text);
        }

        static WayLine covered(int stage, String text) {
            return new WayLine(null, null, null, null, null, null, null, null, null, stage, null, null, text);
        }
    }

    /** Why a stage is there, for stages that the plan itself proposes. */
    public record ReasonLine(int stage, String text, String source) {}

    /** @param drinker whose day it is, of those who drink beside the drinker */
    public record Load(
            String constituent,
            double mg,
            double limitMg,
            @Nullable String drinker) {}
}
