package embercup.core.kitchen;

import embercup.core.recipe.Companion;
import embercup.core.workings.InvalidInputException.Check;
import embercup.core.workings.Limit;
import java.util.Set;

/**
 * A pot, jar, press, teapot, thermos or mug that the cook really has. Immutable.
 *
 * @param innerDiameterCm inner diameter, 3–60 cm
 * @param heightCm inner height, 3–60 cm
 * @param brimMl volume to the brim, mL
 * @param wallJPerK heat that the warmed wall takes, J/K
 * @param companions what goes with it: a tea ball, a blender
 */
public record Vessel(
        String name,
        Kind kind,
        double innerDiameterCm,
        double heightCm,
        double brimMl,
        double wallJPerK,
        Set<Companion> companions) {

    public Vessel {
        companions = Set.copyOf(companions);
    }

    /** The same with what goes with it. */
    public Vessel with(Set<Companion> others) {
        return new Vessel(name, kind, innerDiameterCm, heightCm, brimMl, wallJPerK, others);
    }

    /** Kinds of vessel, with the share of the brim that may be filled. */
    public enum Kind {
        /** At a boil a pot is filled to four fifths. */
        POT(0.80),
        /** A jar keeps an inch of headspace; see {@link Vessel#mostMl}. */
        JAR(0.92),
        /** A press is filled to the mark below the spout. */
        PRESS(0.85),
        TEAPOT(0.90),
        THERMOS(0.92),
        MUG(0.88);

        private final double fill;

        Kind(double fill) {
            this.fill = fill;
        }
    }

    /** Headspace of a jar: one inch (common practice, no source), cm. */
    private static final double JAR_HEADSPACE_CM = 2.54;

    /** A mug in which a cup cools: 8 cm wide, 0.3 kJ/K (source key {@code kitchen-heat}). */
    public static Vessel mug(double cupMl) {
        double brim = Math.max(60, cupMl * 1.15);
        return new Vessel("mug", Kind.MUG, 8, brim / (Math.PI * 16), brim, 300 * Math.min(2, cupMl / 240), Set.of());
    }

    /** A vessel from its inner size, with the usual wall: 0.25 J/K for each mL of brim, metal or glass alike (source key {@code kitchen-heat}). */
    public static Vessel of(String name, Kind kind, double innerDiameterCm, double heightCm) {
        return of(name, kind, innerDiameterCm, heightCm, cylinderMl(innerDiameterCm, heightCm));
    }

    /** The same with a brim of its own, for walls that are not straight, mL. */
    public static Vessel of(String name, Kind kind, double innerDiameterCm, double heightCm, double brimMl) {
        return new Vessel(
                name,
                kind,
                innerDiameterCm,
                heightCm,
                brimMl,
                cylinderMl(innerDiameterCm, heightCm) * WALL_J_PER_K_PER_ML,
                Set.of());
    }

    private static final double WALL_J_PER_K_PER_ML = 0.25;

    /** Volume of straight walls, mL. */
    public static double cylinderMl(double innerDiameterCm, double heightCm) {
        return Math.PI * innerDiameterCm * innerDiameterCm / 4 * heightCm;
    }

    /** Complains of a size that no kitchen vessel has. @param path prefix of the field names */
    public void check(Check check, String path) {
        boolean size = check.range(path + "innerDiameterCm", innerDiameterCm, Limit.VESSEL_CM)
                & check.range(path + "heightCm", heightCm, Limit.VESSEL_CM);
        if (size) {
            double straight = cylinderMl(innerDiameterCm, heightCm);
            check.range(
                    path + "brimMl",
                    brimMl,
                    straight * Limit.BRIM_SHARE.low(),
                    straight * Limit.BRIM_SHARE.high(),
                    "mL");
        }
    }

    /** The most that goes in without boiling over, spilling or bursting, mL. */
    public double mostMl() {
        return kind == Kind.JAR ? brimMl * Math.max(0.5, (heightCm - JAR_HEADSPACE_CM) / heightCm) : brimMl * kind.fill;
    }

    /** Height of {@code millilitres} above the bottom, cm; a straight wall is assumed. */
    public double levelCm(double millilitres) {
        return millilitres / brimMl * heightCm;
    }

    /** What a wooden spoon measures: from the rim down to the surface, cm. */
    public double fromRimCm(double millilitres) {
        return heightCm - levelCm(millilitres);
    }

    /** Free surface, m². */
    public double surfaceM2() {
        return Math.PI * innerDiameterCm * innerDiameterCm / 4 / 1e4;
    }

    /** Wall from the bottom to the rim, m². */
    public double wallM2() {
        return Math.PI * innerDiameterCm * heightCm / 1e4;
    }

    /** Wetted wall and bottom at a fill, m². */
    public double wettedM2(double millilitres) {
        return surfaceM2() + Math.PI * innerDiameterCm * levelCm(millilitres) / 1e4;
    }
}
