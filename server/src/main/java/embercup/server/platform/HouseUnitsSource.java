package embercup.server.platform;

import embercup.core.measure.HouseUnits;

/** Who knows in which units the household reads its numbers. */
public interface HouseUnitsSource {

    /** As they are now; the core's own where nothing is known. */
    HouseUnits houseUnits();
}
