package embercup.core.materia;

/**
 * What a person should not pass in a day, over all cups.
 *
 * @param mgPerDay milligrams a day for an adult; infinite when the limit goes by body weight alone
 * @param mgPerKgPerDay milligrams per kilogram of body weight a day; infinite when it does not
 * @param pregnantMgPerDay milligrams a day in pregnancy and breastfeeding
 * @param childMgPerKgPerDay milligrams per kilogram a day under 18 years
 * @param words what the limit is, in one sentence
 */
public record DailyLimit(
        Constituent constituent,
        double mgPerDay,
        double mgPerKgPerDay,
        double pregnantMgPerDay,
        double childMgPerKgPerDay,
        String words,
        String source) {}
