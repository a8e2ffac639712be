package embercup.server.brews;

import embercup.server.kept.Upcaster;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** How sheets that were told at the start in earlier forms are brought forward. What stands here never changes. */
final class SheetForms {

    static final List<Upcaster> UPCASTERS = List.of(SheetForms::saysWhatWasUnsaid);

    private SheetForms() {}

    /** The first form came to say these one by one. */
    private static void saysWhatWasUnsaid(ObjectNode sheet) {
        unlessSaid(sheet, "spentHerbs", false);
        for (JsonNode addition : sheet.path("additions")) {
            if (addition instanceof ObjectNode said && !said.has("leftShare")) {
                said.put("leftShare", 1.0);
            }
        }
        for (JsonNode step : sheet.path("steps")) {
            if (step instanceof ObjectNode said) {
                step(said);
            }
        }
    }

    private static void step(ObjectNode step) {
        unlessSaid(step, "aside", false);
        if (step.path("kind").asString("").equals("prep") && !step.has("addition")) {
            // Its key is "prep." with the index of what is got ready.
            step.put("addition", Integer.parseInt(step.path("key").asString().replaceAll("\\D", "")));
        }
        if (!step.path("handsOn").asBoolean(false)) {
            unlessSaid(step, "ripens", false);
        }
    }

    private static void unlessSaid(ObjectNode node, String field, boolean meant) {
        if (!node.has(field)) {
            node.put(field, meant);
        }
    }
}
