package embercup.core.brew;

import embercup.core.kitchen.Burner;
import embercup.core.recipe.Flame;
import java.util.Optional;

/** What a hand did to the lid or to the flame, other than the plan says. */
public enum Turn {
    LID_ON,
    LID_OFF,
    FLAME_OFF,
    FLAME_LOW,
    FLAME_MEDIUM,
    FLAME_HIGH;

    /** Whether it is the flame's; the others are the lid's. */
    public boolean ofFlame() {
        return this != LID_ON && this != LID_OFF;
    }

    /** The setting of the burner after it; empty when the flame is off, or for a lid. */
    public Optional<Flame> flame() {
        return switch (this) {
            case FLAME_LOW -> Optional.of(Flame.LOW);
            case FLAME_MEDIUM -> Optional.of(Flame.MEDIUM);
            case FLAME_HIGH -> Optional.of(Flame.HIGH);
            case FLAME_OFF, LID_ON, LID_OFF -> Optional.empty();
        };
    }

    /** Power after it, W; {@code before} for a lid. */
    public double watts(Burner burner, double before) {
        return ofFlame() ? flame().map(burner::watts).orElse(0.0) : before;
    }

    /** Whether the lid is on after it; {@code before} for the flame. */
    public boolean lid(boolean before) {
        return ofFlame() ? before : this == LID_ON;
    }
}
