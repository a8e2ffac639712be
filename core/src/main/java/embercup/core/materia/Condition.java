package embercup.core.materia;

import embercup.core.workings.Code;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What is known of a drinker that changes which herbs suit. The code is the name in JSON. */
public enum Condition {
    PREGNANT,
    BREASTFEEDING,
    HIGH_BLOOD_PRESSURE,
    LOW_BLOOD_PRESSURE,
    BLOOD_THINNER,
    DIABETES_MEDICINE,
    SEDATIVE,
    GALLBLADDER,
    KIDNEY,
    LIVER,
    SURGERY_PLANNED,
    DAISY_ALLERGY,
    SALICYLATE_ALLERGY,
    REFLUX,
    STOMACH_IRRITATION,
    HEART,
    EPILEPSY,
    THYROID,
    ANTIDEPRESSANT,
    IMMUNOSUPPRESSANT,
    HORMONE_SENSITIVE,
    CONTRACEPTIVE_PILL,
    DIURETIC,
    ASTHMA,
    ULCER,
    KIDNEY_STONES,
    CARROT_ALLERGY,
    AUTOIMMUNE;

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
