package embercup.core.materia;

import embercup.core.workings.Code;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What is known of a drinker that changes which herbs suit. The code is the name in JSON. */
public enum Condition {
    PREGNANT(Group.NOW),
    BREASTFEEDING(Group.NOW),
    HIGH_BLOOD_PRESSURE(Group.HEART_AND_PRESSURE),
    LOW_BLOOD_PRESSURE(Group.HEART_AND_PRESSURE),
    BLOOD_THINNER(Group.MEDICINES),
    DIABETES_MEDICINE(Group.MEDICINES),
    SEDATIVE(Group.MEDICINES),
    GALLBLADDER(Group.STOMACH_LIVER_KIDNEY),
    KIDNEY(Group.STOMACH_LIVER_KIDNEY),
    LIVER(Group.STOMACH_LIVER_KIDNEY),
    SURGERY_PLANNED(Group.NOW),
    DAISY_ALLERGY(Group.ALLERGIES),
    SALICYLATE_ALLERGY(Group.ALLERGIES),
    REFLUX(Group.STOMACH_LIVER_KIDNEY),
    STOMACH_IRRITATION(Group.STOMACH_LIVER_KIDNEY),
    HEART(Group.HEART_AND_PRESSURE),
    EPILEPSY(Group.ELSE),
    THYROID(Group.ELSE),
    ANTIDEPRESSANT(Group.MEDICINES),
    IMMUNOSUPPRESSANT(Group.MEDICINES),
    HORMONE_SENSITIVE(Group.ELSE),
    CONTRACEPTIVE_PILL(Group.MEDICINES),
    DIURETIC(Group.MEDICINES),
    ASTHMA(Group.ALLERGIES),
    ULCER(Group.STOMACH_LIVER_KIDNEY),
    KIDNEY_STONES(Group.STOMACH_LIVER_KIDNEY),
    CARROT_ALLERGY(Group.ALLERGIES),
    AUTOIMMUNE(Group.ELSE);

    /** What is asked together, in the order in which one would ask. */
    public enum Group {
        NOW,
        MEDICINES,
        HEART_AND_PRESSURE,
        STOMACH_LIVER_KIDNEY,
        ALLERGIES,
        ELSE
    }

    private final Group group;

    Condition(Group group) {
        this.group = group;
    }

    /** With what it is asked. */
    public Group group() {
        return group;
    }

    public String code() {
        return Code.of(this);
    }

    public static Optional<Condition> ofCode(String code) {
        return Arrays.stream(values()).filter(c -> c.code().equals(code)).findFirst();
    }

    /** All codes, for the message that says what would have been right. */
    public static List<String> codes() {
        return Arrays.stream(values()).map(Condition::code).toList();
    }
}
