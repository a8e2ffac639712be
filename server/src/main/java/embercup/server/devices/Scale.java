package embercup.server.devices;

/** A kitchen scale. A real one implements this and takes the simulated one's place. */
public interface Scale {

    /** What the display shows: grams above the tare, and whether it stands still. */
    record Weight(double grams, boolean stable) {}

    Weight read();

    /** Makes what is on it now the new zero. */
    void tare();
}
