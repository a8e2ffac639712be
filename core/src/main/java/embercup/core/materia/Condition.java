package embercup.core.materia;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What is known of a drinker that changes which herbs suit. The code is the name in JSON. */
public enum Condition {
    PREGNANT("pregnant"),
    BREASTFEEDING("breastfeeding"),
    HIGH_BLOOD_PRESSURE("high-blood-pressure"),
    LOW_BLOOD_PRESSURE("low-blood-pressure"),
    BLOOD_THINNER("blood-thinner"),
    DIABETES_MEDICINE("diabetes-medicine"),
    SEDATIVE("sedative"),
    GALLBLADDER("gallbladder"),
    KIDNEY("kidney"),
    LIVER("liver"),
    SURGERY_PLANNED("surgery-planned"),
    DAISY_ALLERGY("daisy-allergy"),
    SALICYLATE_ALLERGY("salicylate-allergy"),
    REFLUX("reflux"),
    STOMACH_IRRITATION("stomach-irritation");

    private final String code;

    Condition(String code) {
        this.code = code;
    }

    public String code() {
        return code;
    }

    public static Optional<Condition> ofCode(String code) {
        return Arrays.stream(values()).filter(c -> c.code.equals(code)).findFirst();
    }

    /** All codes, for the message that says what would have been right. */
    public static List<String> codes() {
        return Arrays.stream(values()).map(Condition::code).toList();
    }
}
