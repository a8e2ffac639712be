package embercup.core.plan;

/**
 * The water of a brew, mL; pour = yield + retained + evaporated.
 *
 * @param pourMl all water that goes in, refills included
 * @param startMl water at the start, without refills
 * @param dipMl level at which a reduction stops: strained liquor, what the herbs hold and what they displace; 0 without
 *     a reduction
 */
public record WaterPlan(
        double pourMl, double startMl, double retainedMl, double evaporatedMl, double yieldMl, double dipMl) {}
