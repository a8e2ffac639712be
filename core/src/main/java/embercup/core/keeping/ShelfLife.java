package embercup.core.keeping;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.PlantPart;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * How long a herb or a thing of the pantry is good where it stands, and why. Immutable.
 *
 * @param until the last day it is at its best; empty when no time is given for it
 * @param because what decides it
 * @param source key of the source
 */
public record ShelfLife(Optional<LocalDate> until, Because because, String source) {

    /**
     * What decides how long a thing is good, with the days that are given for it. What has no days has its own months, or nobody gives
     * a time.
     */
    public enum Because {
        /** A fresh rhizome, root or bulb. */
        FIRM_ON_COUNTER(OptionalInt.of(7), "practice"),
        FIRM_IN_FRIDGE(OptionalInt.of(30), "practice"),
        CITRUS_ON_COUNTER(OptionalInt.of(7), "foodkeeper"),
        CITRUS_IN_FRIDGE(OptionalInt.of(14), "foodkeeper"),
        /** Leaves, flowers, fruit and all else that wilts; its day on the counter from memory. */
        TENDER_ON_COUNTER(OptionalInt.of(2), "practice"),
        TENDER_IN_FRIDGE(OptionalInt.of(7), "foodkeeper"),
        STANDS_IN_WATER(OptionalInt.empty(), "practice"),
        FROZEN(OptionalInt.empty(), "practice"),
        /** Milk, juice and the like, left in the room. */
        SPOILS_IN_THE_ROOM(OptionalInt.of(0), "food-code"),
        /** A blend in which something is ground: powders lose their scent first. */
        POUNDED(OptionalInt.of(183), "practice"),
        OWN_TIME(OptionalInt.empty(), "practice"),
        NOT_KNOWN(OptionalInt.empty(), "practice");

        private final OptionalInt days;
        private final String source;

        Because(OptionalInt days, String source) {
            this.days = days;
            this.source = source;
        }
    }

    private static final Set<PlantPart> FIRM = EnumSet.of(PlantPart.RHIZOME, PlantPart.ROOT, PlantPart.BULB);

    /** The fruits that keep on a counter, by the name of their genus. */
    private static final String CITRUS = "Citrus ";

    /** What keeps for years is told to be about to go no sooner (design value), days. */
    private static final double LAST_DAYS = 30;

    /** 365.25 ÷ 12. */
    private static final double DAYS_A_MONTH = 30.4375;

    /**
     * The last day a thing is at its best: of what is dried, and of honey, fat, milk and the like, by its own time; of a fresh plant
     * by what it is and where it stands.
     */
    public static ShelfLife of(Herb herb, Form form, Place place, LocalDate filledOn) {
        if (Keeping.spoils(herb) && place != Place.FRIDGE) {
            return given(place == Place.FREEZER ? Because.FROZEN : Because.SPOILS_IN_THE_ROOM, filledOn);
        } else if (Place.freshPlant(herb, form)) {
            return given(fresh(herb, place), filledOn);
        }
        ShelfLife own = herb.keepsMonths()
                .map(m -> new ShelfLife(
                        Optional.of(filledOn.plusDays(Math.round(m.value() * DAYS_A_MONTH))),
                        Because.OWN_TIME,
                        m.source()))
                .orElseGet(() -> given(Because.NOT_KNOWN, filledOn));
        boolean pounded = herb.mixedOf().stream().anyMatch(p -> p.cut() == Cut.GROUND);
        ShelfLife powder = given(Because.POUNDED, filledOn);
        return pounded
                        && own.until
                                .filter(u -> u.isBefore(powder.until.orElseThrow()))
                                .isEmpty()
                ? powder
                : own;
    }

    /** Whether it is past its last day. */
    public boolean over(LocalDate today) {
        return until.filter(u -> u.isBefore(today)).isPresent();
    }

    /** Whether it is about to go: the last quarter of its time, a month of it at the most. */
    public boolean going(LocalDate filledOn, LocalDate today) {
        return until.filter(u -> !u.isBefore(today))
                .filter(u -> {
                    double last = Math.min(LAST_DAYS, ChronoUnit.DAYS.between(filledOn, u) * Jar.GOING_SHARE);
                    return ChronoUnit.DAYS.between(today, u) <= last;
                })
                .isPresent();
    }

    private static Because fresh(Herb herb, Place place) {
        boolean firm = FIRM.contains(herb.part());
        boolean citrus = herb.part() == PlantPart.FRUIT && herb.latin().startsWith(CITRUS);
        return switch (place) {
            case WATER -> Because.STANDS_IN_WATER;
            case FREEZER -> Because.FROZEN;
            case FRIDGE -> firm ? Because.FIRM_IN_FRIDGE : citrus ? Because.CITRUS_IN_FRIDGE : Because.TENDER_IN_FRIDGE;
            case COUNTER, SHELF ->
                firm ? Because.FIRM_ON_COUNTER : citrus ? Because.CITRUS_ON_COUNTER : Because.TENDER_ON_COUNTER;
        };
    }

    private static ShelfLife given(Because because, LocalDate filledOn) {
        Optional<LocalDate> until =
                because.days.isPresent() ? Optional.of(filledOn.plusDays(because.days.getAsInt())) : Optional.empty();
        return new ShelfLife(until, because, because.source);
    }
}
