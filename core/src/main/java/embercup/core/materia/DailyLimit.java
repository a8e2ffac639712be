package embercup.core.materia;

import java.util.OptionalDouble;

/**
 * What a person should not pass in a day, over all cups. Immutable; an end that is empty does not limit.
 *
 * @param mgPerDay milligrams a day for an adult
 * @param mgPerKgPerDay milligrams per kilogram of body weight a day
 * @param pregnantMgPerDay milligrams a day in pregnancy and breastfeeding
 * @param childMgPerKgPerDay milligrams per kilogram a day under 18 years
 * @param comparesOnly whether the figure serves to compare days and is no allowance that could be reached
 * @param words what the limit is, in one sentence
 */
public record DailyLimit(
        Constituent constituent,
        OptionalDouble mgPerDay,
        OptionalDouble mgPerKgPerDay,
        OptionalDouble pregnantMgPerDay,
        OptionalDouble childMgPerKgPerDay,
        boolean comparesOnly,
        String words,
        String source) {}
