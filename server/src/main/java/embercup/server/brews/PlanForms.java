package embercup.server.brews;

import embercup.server.kept.Upcaster;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * How plans of earlier forms are brought forward. What stands here never changes: it speaks of documents that were written, in their
 * names, whatever the types of today are called.
 */
final class PlanForms {

    static final List<Upcaster> OF_FIGURES = List.of(PlanForms::underTheirName);

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /**
     * What plans of the first form came to say one by one, and what they meant before.
     *
     * @param has fields by which the object is known that may lack it
     * @param is names of members of a family, when it is one
     */
    private record Unsaid(Set<String> has, Set<String> is, String field, String meant) {

        void say(ObjectNode node) {
            if (!node.has(field)
                    && has.stream().allMatch(node::has)
                    && (is.isEmpty() || is.contains(node.path("is").asString("")))) {
                node.set(field, JSON.readTree(meant));
            }
        }
    }

    private static final String NO_END = "{\"minutesTo\":null,\"sign\":\"\"}";

    private static final List<Unsaid> FIRST_FORM = List.of(
            new Unsaid(Set.of("innerDiameterCm", "brimMl"), Set.of(), "companions", "[]"),
            new Unsaid(Set.of("altitudeM", "burner", "kettleW"), Set.of(), "atHand", "[]"),
            new Unsaid(
                    Set.of("recipe", "serving", "drinker", "kitchen", "spentHerbs"),
                    Set.of(),
                    "taking",
                    "{\"cupsADay\":null,\"prescribedDays\":null,\"prescribedBy\":null,\"others\":[]}"),
            new Unsaid(Set.of("cupsADay", "prescribedDays", "others"), Set.of(), "prescribedBy", "null"),
            new Unsaid(
                    Set.of("makes", "tradition", "additions", "stages"),
                    Set.of(),
                    "told",
                    "{\"fill\":null,\"ofBlend\":null,\"notFor\":[],\"keeping\":null,\"with\":[],\"notes\":[],\"written\":\"\"}"),
            new Unsaid(Set.of("fill", "ofBlend", "notFor", "keeping"), Set.of(), "with", "[]"),
            new Unsaid(
                    Set.of("when", "daysOn", "daysOff"),
                    Set.of(),
                    "more",
                    "{\"cupsADayTo\":null,\"dose\":null,\"moments\":[],\"mostDays\":null,\"childShare\":null}"),
            new Unsaid(
                    Set.of("herb", "quantity", "stage", "prep"),
                    Set.of(),
                    "open",
                    "{\"amountTo\":null,\"optional\":false,\"or\":[],\"into\":\"each-cup\"}"),
            new Unsaid(Set.of("herb", "quantity", "stage", "prep"), Set.of(), "spooned", "null"),
            new Unsaid(Set.of("amountTo", "optional", "or"), Set.of(), "into", "\"each-cup\""),
            new Unsaid(
                    Set.of("minutes", "lid"), Set.of("boil", "simmer", "steep", "macerate", "rest"), "until", NO_END),
            new Unsaid(Set.of("minutes", "lid"), Set.of("macerate"), "place", "\"room\""),
            new Unsaid(
                    Set.of("of", "measured", "prepared", "goes", "said"),
                    Set.of(),
                    "beside",
                    "{\"usualPerCup\":null,\"shareOfAdult\":1.0,\"optional\":false,\"or\":[],\"to\":null}"),
            new Unsaid(Set.of("usualPerCup", "optional", "or"), Set.of(), "shareOfAdult", "1.0"),
            new Unsaid(Set.of("of", "measured", "prepared", "goes", "said"), Set.of(), "blend", "null"),
            new Unsaid(Set.of("measure", "toEachCup", "weigh"), Set.of(), "into", "\"each-cup\""),
            new Unsaid(Set.of("perCup", "mostADay", "source"), Set.of("dose-clipped"), "clip", "null"));

    /** What plans of the second form could not say yet. */
    private static final List<Unsaid> SECOND_FORM = List.of(
            new Unsaid(Set.of("fill", "ofBlend", "notFor", "keeping", "with"), Set.of(), "cautions", "[]"),
            new Unsaid(Set.of("cupsADayTo", "moments", "mostDays", "childShare"), Set.of(), "rows", "[]"),
            new Unsaid(
                    Set.of("cupsADayTo", "moments", "mostDays", "childShare"),
                    Set.of(),
                    "often",
                    "{\"everyHours\":null,\"timesADay\":null,\"untilBetter\":false,\"cupsAWeek\":null}"));

    /** What plans of the third form could not say yet: where a strained liquor goes, the water of a blender, and what milk brings. */
    private static final List<Unsaid> THIRD_FORM = List.of(
            new Unsaid(Set.of("pressed"), Set.of("strain"), "into", "null"),
            new Unsaid(Set.of("kind"), Set.of("work"), "addMl", "null"),
            new Unsaid(Set.of("drainedMlPerG", "pressedMlPerG", "soakedMl"), Set.of(), "broughtMl", "0.0"),
            new Unsaid(Set.of("pouredMl", "yieldMl", "otherwiseKeptMl"), Set.of(), "broughtMl", "0.0"),
            new Unsaid(Set.of("startMl", "yieldMl", "dipMl"), Set.of(), "broughtMl", "0.0"),
            new Unsaid(Set.of("perCup", "inCup"), Set.of(), "broughtMl", "0.0"));

    static final List<Upcaster> UPCASTERS = List.of(
            document -> say(FIRST_FORM, document),
            document -> say(SECOND_FORM, document),
            document -> say(THIRD_FORM, document));

    private PlanForms() {}

    private static void say(List<Unsaid> all, JsonNode node) {
        if (node instanceof ObjectNode object) {
            all.forEach(unsaid -> unsaid.say(object));
        }
        node.forEach(child -> say(all, child));
    }

    private static void underTheirName(ObjectNode document) {
        ObjectNode figures = document.objectNode();
        figures.setAll(document);
        document.removeAll();
        document.set("figures", figures);
    }
}
