package embercup.core.brew;

import embercup.core.kitchen.Burner;
import embercup.core.recipe.Flame;
import java.util.Optional;

/** What a hand did to the lid, to the flame or to the marc, other than the plan says. */
public enum Turn {
    LID_ON(Of.LID),
    LID_OFF(Of.LID),
    FLAME_OFF(Of.FLAME),
    FLAME_LOW(Of.FLAME),
    FLAME_MEDIUM(Of.FLAME),
    FLAME_HIGH(Of.FLAME),
    /** The herbs were only let drip off. */
    MARC_DRAINED(Of.MARC),
    /** The rest was pressed out of the herbs. */
    MARC_PRESSED(Of.MARC);

    private enum Of {
        LID,
        FLAME,
        MARC
    }

    private final Of of;

    Turn(Of of) {
        this.of = of;
    }

    public boolean ofFlame() {
        return of == Of.FLAME;
    }

    /** The setting of the burner after it; empty when the flame is off, or when it is not the flame's. */
    public Optional<Flame> flame() {
        return switch (this) {
            case FLAME_LOW -> Optional.of(Flame.LOW);
            case FLAME_MEDIUM -> Optional.of(Flame.MEDIUM);
            case FLAME_HIGH -> Optional.of(Flame.HIGH);
            default -> Optional.empty();
        };
    }

    /** Power after it, W; {@code before} when it is not the flame's. */
    public double watts(Burner burner, double before) {
        return ofFlame() ? flame().map(burner::watts).orElse(0.0) : before;
    }

    /** Whether the lid is on after it; {@code before} when it is not the lid's. */
    public boolean lid(boolean before) {
        return of == Of.LID ? this == LID_ON : before;
    }

    /** Whether the marc is pressed after it; {@code before} when it is not the marc's. */
    public boolean pressed(boolean before) {
        return of == Of.MARC ? this == MARC_PRESSED : before;
    }
}
