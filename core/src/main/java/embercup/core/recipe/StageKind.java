package embercup.core.recipe;

import embercup.core.workings.Code;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Names of the stages as recipes say them; the code is the name in JSON. */
public enum StageKind {
    HEAT,
    POUR,
    BOIL,
    SIMMER,
    REDUCE,
    STEEP,
    MACERATE,
    REST,
    COOL,
    STRAIN,
    REFILL,
    COMBINE,
    FINISH,
    STIR,
    SHAKE,
    BLEND;

    /** Whether hands or a machine move what stands in the vessel. */
    public boolean worked() {
        return this == STIR || this == SHAKE || this == BLEND;
    }

    /** Whether the liquor boils or simmers in it, with the herbs that are in the pot. */
    public boolean boils() {
        return this == BOIL || this == SIMMER || this == REDUCE;
    }

    /** Whether it makes the liquor hot, however cold it was before. */
    public boolean heats() {
        return this == HEAT || this == POUR || boils();
    }

    public String code() {
        return Code.of(this);
    }

    public static Optional<StageKind> ofCode(String code) {
        return Arrays.stream(values()).filter(k -> k.code().equals(code)).findFirst();
    }

    /** All codes, for the message that says what would have been right. */
    public static List<String> codes() {
        return Arrays.stream(values()).map(StageKind::code).toList();
    }
}
