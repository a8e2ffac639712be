package embercup.core.kitchen;

import embercup.core.workings.InvalidInputException.Check;
import embercup.core.workings.Limit;
import embercup.core.workings.Term;
import embercup.core.workings.Workings;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Where it is brewed. Immutable.
 *
 * @param altitudeM −400 to 5 000 m
 * @param roomC room temperature, °C
 * @param tapC temperature of the cold tap, °C
 * @param vessel the vessel chosen; empty when the plan is to choose
 * @param kettleW electric power of the kettle, W
 * @param atHand vessels of the household, of which the plan takes the smallest that fits; empty for a usual kitchen's
 */
public record Kitchen(
        double altitudeM,
        double roomC,
        double tapC,
        Optional<Vessel> vessel,
        Burner burner,
        double kettleW,
        List<Vessel> atHand) {

    public Kitchen {
        atHand = List.copyOf(atHand);
    }

    public Kitchen(
            double altitudeM, double roomC, double tapC, Optional<Vessel> vessel, Burner burner, double kettleW) {
        this(altitudeM, roomC, tapC, vessel, burner, kettleW, List.of());
    }

    /** The same with vessels at hand. */
    public Kitchen having(List<Vessel> vessels) {
        return new Kitchen(altitudeM, roomC, tapC, vessel, burner, kettleW, vessels);
    }

    /**
     * The smallest vessel at hand that is of a kind of the usual ones and holds {@code millilitres}; a usual one where none
     * does.
     */
    public Vessel fitting(List<Vessel> usual, double millilitres) {
        return atHand.stream()
                .filter(v -> usual.stream().anyMatch(u -> u.kind() == v.kind()))
                .filter(v -> v.mostMl() >= millilitres)
                .min(Comparator.comparingDouble(Vessel::brimMl))
                .orElseGet(() -> smallest(usual, millilitres));
    }

    /** Share of the kettle's power that reaches the water (source key {@code kitchen-heat}). */
    public static final double KETTLE_EFFICIENCY = 0.90;

    /** A fridge is no warmer (source key {@code food-code}), °C. */
    public static final double FRIDGE_C = 4;

    /** Sea level, 20 °C room, 15 °C tap, small burner, 2 000 W kettle (source key {@code kitchen-heat}). */
    public static final Kitchen STANDARD = new Kitchen(0, 20, 15, Optional.empty(), Burner.SMALL, 2000);

    /** Vessels of a usual kitchen, from small to large (source key {@code kitchen-heat}). */
    public static final List<Vessel> USUAL_POTS = List.of(
            Vessel.of("small pot", Vessel.Kind.POT, 16, 8.5),
            Vessel.of("middle pot", Vessel.Kind.POT, 20, 12),
            Vessel.of("large pot", Vessel.Kind.POT, 24, 16),
            Vessel.of("stock pot", Vessel.Kind.POT, 30, 28),
            Vessel.of("canning pot", Vessel.Kind.POT, 45, 48));

    /** Vessels for infusions, from small to large. */
    public static final List<Vessel> USUAL_INFUSERS = List.of(
            Vessel.of("mug", Vessel.Kind.MUG, 8, 9),
            Vessel.of("teapot", Vessel.Kind.TEAPOT, 12, 9.5),
            Vessel.of("large teapot", Vessel.Kind.TEAPOT, 15, 12),
            Vessel.of("big pot with a lid", Vessel.Kind.POT, 24, 16),
            Vessel.of("stock pot", Vessel.Kind.POT, 30, 28),
            Vessel.of("canning pot", Vessel.Kind.POT, 45, 48));

    /** Vessels for cold macerations and long jars, from small to large. */
    public static final List<Vessel> USUAL_JARS = List.of(
            Vessel.of("half-litre jar", Vessel.Kind.JAR, 8, 12),
            Vessel.of("litre jar", Vessel.Kind.JAR, 9.5, 17),
            Vessel.of("two-litre jar", Vessel.Kind.JAR, 12, 22),
            Vessel.of("demijohn", Vessel.Kind.JAR, 25, 35),
            Vessel.of("crock", Vessel.Kind.JAR, 40, 60));

    /** Boiling point of water here, °C. */
    public double boilingC() {
        return Water.boilingC(Atmosphere.pressurePa(altitudeM));
    }

    /** The same with its workings. */
    public Workings boiling() {
        Workings pressure = Workings.solved(
                        Term.AIR_PRESSURE,
                        "Pa",
                        KitchenEquation.STANDARD_ATMOSPHERE,
                        Workings.given(Term.ALTITUDE, altitudeM, "m"))
                .from("iso-2533");
        return Workings.solved(Term.BOILS_AT, "°C", KitchenEquation.SATURATION, pressure)
                .from("iapws-if97");
    }

    /** Power of the kettle that reaches the water, W. */
    public double kettleNetW() {
        return kettleW * KETTLE_EFFICIENCY;
    }

    /** Complains of every number that no kitchen has. @param path prefix of the field names */
    public void check(Check check, String path) {
        check.range(path + ".altitudeM", altitudeM, Limit.ALTITUDE_M);
        check.range(path + ".roomC", roomC, Limit.ROOM_C);
        check.range(path + ".tapC", tapC, Limit.TAP_C);
        check.range(path + ".kettleW", kettleW, Limit.KETTLE_W);
        burner.check(check, path + ".burner.");
        vessel.ifPresent(v -> v.check(check, path + ".vessel."));
    }

    public Kitchen withVessel(Vessel chosen) {
        return new Kitchen(altitudeM, roomC, tapC, Optional.of(chosen), burner, kettleW, atHand);
    }

    public Kitchen withBurner(Burner other) {
        return new Kitchen(altitudeM, roomC, tapC, vessel, other, kettleW, atHand);
    }

    /** The smallest vessel of a list that holds {@code millilitres}, else the largest. */
    public static Vessel smallest(List<Vessel> vessels, double millilitres) {
        return vessels.stream()
                .filter(v -> v.mostMl() >= millilitres)
                .min(Comparator.comparingDouble(Vessel::brimMl))
                .orElseGet(() -> vessels.get(vessels.size() - 1));
    }
}
