package embercup.server.notebook;

import embercup.core.live.BrewEvent;

/**
 * What was noticed of a cup; empty where nothing was said.
 *
 * @param change what to do differently next time
 * @param colour a swatch of liquor colours
 * @param effect what it seemed to do, in the drinker's own words
 * @param meanwhile what else was going on
 */
public record Tasting(
        String taste, String change, String colour, String clarity, String smell, String effect, String meanwhile) {

    public static final Tasting NOTHING = new Tasting("", "", "", "", "", "", "");

    public static Tasting of(BrewEvent.Noted noted) {
        BrewEvent.Look look = noted.look();
        return new Tasting(
                noted.taste(),
                noted.change(),
                look.colour(),
                look.clarity(),
                look.smell(),
                look.effect(),
                look.meanwhile());
    }
}
