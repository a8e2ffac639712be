package embercup.core.measure;

/**
 * The kitchens whose spoons and cups a recipe may mean. Volumes in millilitres.
 *
 * <p>Source: US customary and imperial fluid ounces from NIST Handbook 44, appendix C (exact); metric and Australian
 * spoons and cups are the rounded trade sizes of those kitchens.
 */
public enum KitchenSystem {
    US("us", 29.5735295625 / 6, 29.5735295625 / 2, 8 * 29.5735295625, 29.5735295625, 16, 32),
    METRIC("metric", 5, 15, 250, 29.5735295625, 16, 32),
    AU("au", 5, 20, 250, 28.4130625, 20, 40),
    /** Spoons of a British kitchen are metric today; cup, pint and quart are imperial. */
    IMPERIAL("imperial", 5, 15, 284.130625, 28.4130625, 20, 40);

    private final String code;
    private final double teaspoonMl;
    private final double tablespoonMl;
    private final double cupMl;
    private final double fluidOunceMl;
    private final int ouncesInPint;
    private final int ouncesInQuart;

    KitchenSystem(
            String code,
            double teaspoonMl,
            double tablespoonMl,
            double cupMl,
            double fluidOunceMl,
            int ouncesInPint,
            int ouncesInQuart) {
        this.code = code;
        this.teaspoonMl = teaspoonMl;
        this.tablespoonMl = tablespoonMl;
        this.cupMl = cupMl;
        this.fluidOunceMl = fluidOunceMl;
        this.ouncesInPint = ouncesInPint;
        this.ouncesInQuart = ouncesInQuart;
    }

    public String code() {
        return code;
    }

    public double teaspoonMl() {
        return teaspoonMl;
    }

    public double tablespoonMl() {
        return tablespoonMl;
    }

    public double cupMl() {
        return cupMl;
    }

    public double fluidOunceMl() {
        return fluidOunceMl;
    }

    public double pintMl() {
        return ouncesInPint * fluidOunceMl;
    }

    public double quartMl() {
        return ouncesInQuart * fluidOunceMl;
    }
}
