/** Who may come in: the house's network, its certificates, paired devices and what happened at the door. */
@NullMarked
package embercup.server.door;

import org.jspecify.annotations.NullMarked;
