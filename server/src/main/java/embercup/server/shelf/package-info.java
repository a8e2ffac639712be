/** The tins on the shelf: which herbs are in the house and how long they keep. */
@NullMarked
package embercup.server.shelf;

import org.jspecify.annotations.NullMarked;
