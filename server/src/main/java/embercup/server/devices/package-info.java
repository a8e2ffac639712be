/** The instruments of the kitchen behind small ports, and the simulated ones that ship. */
@NullMarked
package embercup.server.devices;

import org.jspecify.annotations.NullMarked;
