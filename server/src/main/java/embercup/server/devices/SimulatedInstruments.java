package embercup.server.devices;

import embercup.core.live.SimulatedKitchen;
import embercup.server.brews.Brews;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The stand-ins: what they read follows from the brew and the core's physics alone. */
@Component
class SimulatedInstruments implements KitchenInstruments {

    private final Brews brews;

    SimulatedInstruments(Brews brews) {
        this.brews = brews;
    }

    @Override
    public SimulatedKitchen.Readings read(UUID brewId) {
        return brews.readings(brewId);
    }
}
