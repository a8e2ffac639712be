package embercup.server.devices;

import embercup.core.live.SimulatedKitchen;
import java.util.UUID;

/** Thermometer, scale under the pot, and the eye on the bubbles, for one brew. Real ones implement this. */
public interface KitchenInstruments {

    SimulatedKitchen.Readings read(UUID brewId);
}
