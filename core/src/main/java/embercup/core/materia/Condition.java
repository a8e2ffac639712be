package embercup.core.materia;

import java.util.Arrays;
import java.util.Optional;

/** What is known of a drinker that changes which herbs suit. The code is the name in JSON. */
public enum Condition {
    PREGNANT("pregnant", "pregnancy"),
    BREASTFEEDING("breastfeeding", "breastfeeding"),
    HIGH_BLOOD_PRESSURE("high-blood-pressure", "high blood pressure or tablets for it"),
    LOW_BLOOD_PRESSURE("low-blood-pressure", "low blood pressure"),
    BLOOD_THINNER("blood-thinner", "blood thinners"),
    DIABETES_MEDICINE("diabetes-medicine", "diabetes medicine"),
    SEDATIVE("sedative", "sedatives"),
    GALLBLADDER("gallbladder", "gallstones or a blocked bile duct"),
    KIDNEY("kidney", "kidney disease"),
    LIVER("liver", "liver disease"),
    SURGERY_PLANNED("surgery-planned", "planned surgery"),
    DAISY_ALLERGY("daisy-allergy", "allergy to the daisy family"),
    SALICYLATE_ALLERGY("salicylate-allergy", "salicylate allergy"),
    REFLUX("reflux", "reflux"),
    STOMACH_IRRITATION("stomach-irritation", "an easily irritated stomach");

    private final String code;
    private final String words;

    Condition(String code, String words) {
        this.code = code;
        this.words = words;
    }

    public String code() {
        return code;
    }

    /** As said in a sentence: "not with …". */
    public String words() {
        return words;
    }

    public static Optional<Condition> ofCode(String code) {
        return Arrays.stream(values()).filter(c -> c.code.equals(code)).findFirst();
    }

    /** All codes, for the message that says what would have been right. */
    public static String codes() {
        return String.join(" ", Arrays.stream(values()).map(Condition::code).toList());
    }
}
